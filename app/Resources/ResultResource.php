<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\LookBack;
use App\Models\Patch;
use App\Models\Record;
use App\Models\Stand;
use App\Models\Step;
use App\Support\Format;
use App\Support\JobClock;
use App\Text\Sentences;
use Thicket\Calendar\Day;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Species;
use Thicket\Economics\PlannedWork;
use Thicket\Measure\Quantity;
use Thicket\Review\Causes;
use Thicket\Review\Done;
use Thicket\Review\GapPlan;
use Thicket\Review\OpenGround;
use Thicket\Review\Result;
use Thicket\Review\Retreat;
use Thicket\Situation\Schools;

/** What a scored look-back says of a record, and why it may have gone as it did. */
final readonly class ResultResource
{
    public function __construct(private Sentences $sentences, private Catalogue $catalogue, private JobClock $clock) {}

    /** @return array<string, mixed> how much is dead, how sure that is, and against what was expected */
    public function of(Record $record, LookBack $look): array
    {
        $result = self::judged($record, $look);
        $percent = static fn(float $share): int => (int) round($share * 100);

        return [
            'low' => $percent($result->low),
            'high' => $percent($result->high),
            'level' => (int) (Result::LEVEL * 100),
            'against' => $result->against,
            'text' => $result->against === null ? null : $this->sentences->name("result.{$result->against}"),
        ];
    }

    /**
     * What is to be seen when, and what is no failure, as it was signed with the record.
     *
     * @return list<array{code: string, from: string|null, to: string|null, text: string}>
     */
    public function signs(Record $record): array
    {
        $told = [];
        $signs = $record->content()['signs'] ?? null;
        foreach (is_array($signs) ? $signs : [] as $sign) {
            $code = is_array($sign) ? $sign['code'] ?? null : null;
            if (!is_string($code) || !$this->sentences->has($code)) {
                continue;
            }
            $days = array_filter(
                ['from' => $sign['from'] ?? null, 'to' => $sign['to'] ?? null],
                static fn(mixed $day): bool => is_string($day),
            );
            $values = array_map(fn(string $day): string => $this->sentences->day(Day::parse($day)), $days);
            $told[] = ['code' => $code] +
                $days + ['from' => null, 'to' => null, 'text' => $this->sentences->both($code, $values)['us']];
        }

        return $told;
    }

    private static function judged(Record $record, LookBack $look): Result
    {
        $expected = $record->sheet->snapshot['reason']['expected'] ?? null;

        return Result::of(
            (int) $look->body['dead'],
            (int) $look->body['counted'],
            is_int($expected['low'] ?? null) && is_int($expected['high'] ?? null)
                ? ['low' => $expected['low'], 'high' => $expected['high']]
                : null,
            self::plots($look),
        );
    }

    /** @return list<array{dead: int, counted: int}> */
    private static function plots(LookBack $look): array
    {
        $plots = $look->body['plots'] ?? null;

        return array_values(
            array_map(
                static fn(array $p): array => ['dead' => (int) $p['dead'], 'counted' => (int) $p['counted']],
                array_filter(is_array($plots) ? $plots : [], is_array(...)),
            ),
        );
    }

    /**
     * @return array{survivors: int, said: list<array{us: string, metric: string}>}|null what is to be done with what
     *     survived, once somebody scored it
     */
    public function retreat(Record $record): ?array
    {
        $scored = $record->scored();
        if ($scored === null) {
            return null;
        }
        $snapshot = $record->sheet->snapshot;
        $treated = $record->content()['treated'] ?? null;
        $survivors = Retreat::survivors(
            is_int($treated) ? $treated : 0,
            (int) $scored->body['dead'],
            (int) $scored->body['counted'],
        );
        $scientific = $snapshot['target']['scientific'] ?? '';
        $species = is_string($scientific) ? $this->catalogue->speciesCalled($scientific) : null;
        $result = self::judged($record, $scored);
        $explained = Causes::explain(self::done($record));
        $said = Retreat::of(
            $result,
            $survivors,
            $explained,
            is_string($snapshot['product']['group'] ?? null) ? $snapshot['product']['group'] : null,
            $species?->isWoody() === true,
        );
        $otherSchools =
            $survivors > 0 && $result->against === Result::WORSE && !$explained ? $this->otherSchools($record) : [];

        return [
            'survivors' => $survivors,
            'said' => array_map(
                /** @return array{us: string, metric: string} */
                fn(array $one): array => $this->sentences->both($one['code'], $one['values']),
                [...$said, ...$otherSchools],
            ),
        ];
    }

    /** @return list<array{code: string, values: array<string, int|string>}> */
    private function otherSchools(Record $record): array
    {
        $step = Step::query()->findOrFail($record->step_id);

        return $step->method === null
            ? []
            : Retreat::schools(
                $this->catalogue,
                Schools::of($this->catalogue, $step->schools ?? []),
                $step->method,
                $step->active,
            );
    }

    /** @return list<array{us: string, metric: string}> where the newest score is worse than expected, why */
    public function causes(Record $record): array
    {
        $scored = $record->scored();
        if ($scored === null || self::judged($record, $scored)->against !== Result::WORSE) {
            return [];
        }

        return array_map(
            /** @return array{us: string, metric: string} */
            fn(array $cause): array => $this->sentences->both($cause['code'], $cause['values']),
            Causes::of(self::done($record)),
        );
    }

    private static function done(Record $record): Done
    {
        $body = $record->content() ?? [];
        $list = static fn(mixed $of): array => is_array($of) ? array_values($of) : [];
        $number = static fn(mixed $n): int => is_int($n) ? $n : 0;
        $used = Quantity::ofWire($body['mixUsed'] ?? null);
        $planned = PlannedWork::kept($record->sheet->snapshot['planned'] ?? null);

        return new Done(
            array_values(array_filter($list($body['outsideLimits'] ?? null), is_string(...))),
            array_values(
                array_map(
                    static fn(array $p): array => ['gate' => (string) $p['gate'], 'reason' => (string) $p['reason']],
                    array_filter($list($record->sheet->snapshot['passes'] ?? null), is_array(...)),
                ),
            ),
            $used === null ? null : $planned?->dose($number($body['treated'] ?? null), $used),
            $number($body['skipped'] ?? null),
            count(
                array_filter(
                    $list($body['field']['marks'] ?? null),
                    static fn(mixed $m): bool => is_array($m) && ($m['state'] ?? null) === 'missed',
                ),
            ),
            ($body['incident'] ?? false) === true,
        );
    }

    /** @return array<string, mixed> what may fill the gap, and when: openapi Record/gap */
    public function gap(Record $record): array
    {
        $snapshot = $record->sheet->snapshot;
        $cards = array_column(
            array_filter([$snapshot['product'] ?? null, ...(array) ($snapshot['partners'] ?? [])], is_array(...)),
            'card',
        );
        $plan = GapPlan::of(
            $this->catalogue,
            $record->patch->ground->seasonShift(),
            $record->worked_on->toDateTimeImmutable(),
            array_map(
                static fn(mixed $card): ?int => is_array($card) && is_numeric($card['replantDays'] ?? null)
                    ? (int) $card['replantDays']
                    : null,
                $cards,
            ),
            $this->clock->today($record->patch->ground->time_zone),
            new OpenGround(
                Quantity::ofWire($snapshot['recipe']['working']['area'] ?? null) ??
                    Quantity::ofWire($snapshot['place']['area'] ?? null),
                $record->patch->setting,
                self::foughtOn($record->patch->ground_id),
            ),
        );
        $inSoil = array_filter(
            array_column(
                array_filter([$snapshot['product'] ?? null, ...(array) ($snapshot['partners'] ?? [])], is_array(...)),
                'active',
            ),
            fn(mixed $id): bool => is_string($id) &&
                $this->catalogue->hasActive($id) &&
                $this->catalogue->active($id)->harmsTreesByRoots() !== 'no',
        );

        return [
            'from' => Format::day($plan->from),
            'text' => $this->sentences->both(
                match (true) {
                    $plan->from === null => 'gap.unknown',
                    $cards === [] => 'gap.at-once',
                    default => 'gap.from',
                },
                ['from' => $plan->from === null ? '' : $this->sentences->day($plan->from)],
            ),
            'sowings' => array_map(
                fn(array $one): array => [
                    'cover' => $one['cover']->id(),
                    'name' => $this->sentences->name("cover-kind.{$one['cover']->id()}"),
                    'first' => Format::day($one['first']),
                    'last' => Format::day($one['last']),
                    'seed' => Format::quantity($one['seed']),
                ],
                $plan->sowings,
            ),
            'plantings' => array_map(
                fn(array $one): array => [
                    'kind' => $one['kind']->id(),
                    'name' => $this->sentences->name("planting.{$one['kind']->id()}"),
                    'first' => Format::day($one['first']),
                    'last' => Format::day($one['last']),
                    'seed' => Format::quantity($one['seed']),
                    'plants' => $one['plants'],
                    'apart' => Format::quantity($one['kind']->apart()),
                    'care' => $one['kind']->isWoody() && $inSoil !== [] ? $this->sentences->name('gap.roots') : null,
                    'natives' => array_map(
                        fn(Species $s): array => [
                            'id' => $s->id(),
                            'name' => $this->sentences->called($s->commonName()),
                        ],
                        $one['natives'],
                    ),
                ],
                $plan->plantings,
            ),
        ];
    }

    /** @return list<string> species that are fought anywhere on that ground */
    private static function foughtOn(string $groundId): array
    {
        /** @var list<string> */
        return Stand::query()
            ->whereIn('patch_id', Patch::query()->where('ground_id', $groundId)->select('id'))
            ->whereNotNull('species')
            ->distinct()
            ->pluck('species')
            ->all();
    }
}
