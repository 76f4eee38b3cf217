<?php

declare(strict_types=1);

use Thicket\Assess\Rounds;
use Thicket\Situation\Option;
use Thicket\Verdict\Finding;

/** @return list<string> each with its days, without the years */
function rounds(array $document, string $row): array
{
    [$situation, $option] = situated($document, $row);

    return told($situation, $option);
}

/** @return list<string> */
function told(Thicket\Situation\Situation $situation, Option $option): array
{
    return array_map(static function (Finding $f): string {
        $days = array_map(
            static fn(DateTimeImmutable $d): string => $d->format('m-d'),
            array_filter($f->values, static fn(mixed $v): bool => $v instanceof DateTimeImmutable),
        );

        return implode(' ', [$f->missing ?? substr($f->code, 6), ...array_values($days)]);
    }, Rounds::of($situation, $option));
}

it('tells every laying of a preventer by the card, and what stays open (J48)', function (
    string $date,
    array $card,
    array $expected,
) {
    $document = herbs(
        'orchard',
        'large-crabgrass',
        $date,
        [seen('weeds-up', false), seen('soil-texture', 'loam')],
        ['cards' => [preventerCard($card)]],
    );
    expect(rounds($document, 'pre-emergent/pendimethalin/preventer'))->toBe($expected);
})->with([
    // 1 May less 30 days; it works the other 60 of its 90, to 29 June; the second covers the rest to 1 August
    'in winter' => ['2026-02-01', [], ['first 02-01 04-01 05-01 06-29', 'repeat-by 04-02 05-31 06-30 08-28']],
    'only if needed' => [
        '2026-02-01',
        ['repeatIfNeeded' => true],
        ['first 02-01 04-01 05-01 06-29', 'look-first 04-02 05-31 06-30 08-28'],
    ],
    'once a year by the card' => [
        '2026-02-01',
        ['applications' => 1],
        ['first 02-01 04-01 05-01 06-29', 'open 06-30 08-01'],
    ],
    // 2 July and 30 days is 1 August: the last day that helps; then next year's
    'the last day that helps' => [
        '2026-07-02',
        [],
        [
            'first 07-02 07-02 08-01 09-29',
            'open 07-02 07-31',
            'first 02-01 04-01 05-01 06-29',
            'repeat-by 04-02 05-31 06-30 08-28',
        ],
    ],
    'a day later it is too late' => [
        '2026-07-03',
        [],
        ['too-late 08-01', 'first 02-01 04-01 05-01 06-29', 'repeat-by 04-02 05-31 06-30 08-28'],
    ],
    'no card says how long' => [
        '2026-02-01',
        ['leadDays' => null, 'lastingDays' => null],
        ['usual-terms', 'first 02-01 04-01 05-01 06-29', 'repeat-by 04-02 05-31 06-30 08-28'],
    ],
]);

it('counts what was laid already: covered is covered, and the card allows no more than it does', function (
    string $date,
    string $laid,
    array $card,
    array $expected,
) {
    $document = herbs(
        'orchard',
        'large-crabgrass',
        $date,
        [seen('weeds-up', false), seen('soil-texture', 'loam')],
        [
            'cards' => [preventerCard($card)],
            'history' => [['on' => $laid, 'method' => 'pre-emergent', 'active' => 'pendimethalin']],
        ],
    );
    expect(rounds($document, 'pre-emergent/pendimethalin/preventer'))->toBe($expected);
})->with([
    // laid on 1 April it works from 1 May to 29 June
    'covered to 29 June' => [
        '2026-05-10',
        '2026-04-01',
        [],
        ['repeat-by 05-10 05-31 06-30 08-28', 'first 02-01 04-01 05-01 06-29'],
    ],
    'no second one this year' => [
        '2026-05-10',
        '2026-04-01',
        ['applications' => 1],
        // nor the next
        ['open 06-30 08-01', 'first 02-01 04-01 05-01 06-29', 'open 06-30 08-01'],
    ],
    'not before sixty days are over' => [
        '2026-05-10',
        '2026-04-01',
        ['intervalDays' => 60],
        ['repeat-by 05-31 05-31 06-30 08-28', 'first 02-01 04-01 05-01 06-29'],
    ],
]);

it('mows new native grass by height and grazes it a day a week, not in its first winter (handbook 2)', function (
    string $date,
    string $method,
    array $facts,
    array $expected,
) {
    expect(rounds(herbs('new-native-grass', 'giant-foxtail', $date, $facts), $method))->toBe($expected);
})->with([
    'mown till 1 August' => ['2026-06-01', 'mow', [], ['mow-at 06-01 08-01']],
    'on its last day' => ['2026-08-01', 'mow', [], ['mow-at 08-01 08-01']],
    'then when growth starts' => ['2026-08-02', 'mow', [], ['mow-at 04-01 08-01']],
    'sown in April: no stock this winter' => [
        '2026-06-01',
        'flash-graze',
        [seen('planted-on', '2026-04-20')],
        ['first-winter 08-16 03-31', 'graze 06-01 08-15'],
    ],
    'sown the year before: as every year' => [
        '2026-06-01',
        'flash-graze',
        [seen('planted-on', '2025-04-20')],
        ['graze 06-01 08-15'],
    ],
    'nobody told when' => ['2026-06-01', 'flash-graze', [], ['planted-on', 'graze 06-01 08-15']],
    'in August of its first year' => [
        '2026-08-16',
        'flash-graze',
        [seen('planted-on', '2026-04-20')],
        ['first-winter 08-16 03-31', 'graze 04-01 08-15'],
    ],
]);

it('grazes at most 11 days from 1 June to 15 August (handbook 4)', function (string $date, int $days) {
    [$situation, $option] = situated(herbs('new-native-grass', 'giant-foxtail', $date, []), 'flash-graze');
    expect(array_slice(Rounds::of($situation, $option), -1)[0]->values['days'])->toBe($days);
})->with([
    'worked date' => ['2026-06-01', 11],
    'a week in which nothing is left but a day' => ['2026-08-15', 1],
    'eight days are two weeks begun' => ['2026-08-08', 2],
    'seven are one' => ['2026-08-09', 1],
]);

it('tells the rounds of a season by their days while the plant grows, and none of what is done once', function (
    string $date,
    string $species,
    string $method,
    array $expected,
) {
    expect(rounds(herbs('pasture', $species, $date, []), $method))->toBe($expected);
})->with([
    // every month, five times (handbook 9)
    'in June' => [
        '2026-06-01',
        'canada-thistle',
        'repeat-cut',
        ['pass 06-01', 'pass 07-01', 'pass 07-31', 'pass 08-30', 'pass 09-29'],
    ],
    // its leaves are gone by November
    'late in its year' => ['2026-09-03', 'canada-thistle', 'repeat-cut', ['pass 09-03', 'pass 10-03', 'rest']],
    'dug once' => ['2026-04-01', 'common-teasel', 'dig', []],
]);
