<?php

declare(strict_types=1);

namespace Thicket\Practice;

use Thicket\Label\LabelCard;
use Thicket\Mix\MixedProduct;
use Thicket\Mix\Residue;
use Thicket\Mix\TankTerms;
use Thicket\Safety\Duty;
use Thicket\Safety\Settled;
use Thicket\Survey\StemGroup;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/** Which gates of a job are shut (rulings B2), each by what is known of one side of it. */
final readonly class Gates
{
    private function __construct() {}

    /**
     * What the board says of the way chosen: each kind of refusal once, by its first finding. Of several products of a
     * tank all findings are handed in, so that the strictest decides (rulings J16).
     *
     * @param list<Finding> $findings
     *
     * @return list<Gate> the fact that is missing under missing, whose it is under keeper
     */
    public static function ofFindings(array $findings): array
    {
        $shut = [];
        foreach ($findings as $finding) {
            $kind = match ($finding->outcome) {
                Outcome::NotAllowed => GateKind::NotAllowed,
                Outcome::CannotTell => GateKind::CannotTell,
                Outcome::NotNow => GateKind::NotNow,
                Outcome::DoesNotSuit => GateKind::DoesNotSuit,
                default => null,
            };
            $keeper = $finding->values['keeper'] ?? '';
            $kind === null ||
                ($shut[$kind->value] ??= new Gate($kind, [
                    'missing' => $finding->missing ?? '',
                    'keeper' => is_string($keeper) ? $keeper : '',
                ]));
        }

        return array_values($shut);
    }

    /**
     * Limits of the cards for what is put there at once, in a year, or how often: the first product that passes one or
     * of which it cannot be told, with what the card still leaves.
     *
     * @param list<MixedProduct> $products
     */
    public static function ofCeilings(array $products): ?Gate
    {
        foreach ($products as $one) {
            $ceiling = $one->ceiling;
            if ($ceiling?->kept === true) {
                continue;
            }
            $values = ['product' => $one->option->card->product ?? ''];

            return match (true) {
                $ceiling === null || $ceiling->kept === null => new Gate(GateKind::Ceiling),
                $ceiling->by === 'times' => new Gate(
                    GateKind::CeilingTimes,
                    $values + ['most' => $ceiling->most ?? ''],
                ),
                $ceiling->by === 'application' => new Gate(
                    GateKind::CeilingApplication,
                    $values + ['planned' => $ceiling->planned ?? '', 'most' => $ceiling->most ?? ''],
                ),
                $ceiling->left === null => new Gate(GateKind::Ceiling),
                default => new Gate(GateKind::CeilingLeft, $values + ['left' => $ceiling->left]),
            };
        }

        return null;
    }

    /**
     * The wait that the cards of the tank ask for since their actives were last put there, or that one of them cannot
     * tell.
     *
     * @param array<string, \DateTimeImmutable> $last by active id
     * @param string|null $site word of the site where the job is
     */
    public static function ofWait(TankTerms $terms, array $last, ?string $site, \DateTimeImmutable $today): ?Gate
    {
        ['opens' => $opens, 'silent' => $silent, 'since' => $since] = $terms->wait($last, $site, $today);
        if ($silent !== null && $since !== null) {
            return new Gate(GateKind::IntervalUnknown, ['product' => $silent->product, 'last' => $since]);
        }

        return $opens === null ? null : new Gate(GateKind::Interval, ['opens' => $opens]);
    }

    /** Licensed products want somebody with a licence that holds on the day. */
    public static function ofLicence(TankTerms $terms, bool $anybodyLicensed): ?Gate
    {
        return $terms->licensedOnly() && !$anybodyLicensed ? new Gate(GateKind::Licence) : null;
    }

    /** What a sprayer puts out is known till the day its next calibration is due, that day included. */
    public static function ofCalibration(?\DateTimeInterface $due, \DateTimeImmutable $today): ?Gate
    {
        return $due === null || $due->format('Y-m-d') < $today->format('Y-m-d')
            ? new Gate(GateKind::Calibration)
            : null;
    }

    /**
     * A sprayer that held something else is washed first, whoever asks; one that holds the same since an earlier day
     * ought to have been (rulings B2, J10, J64).
     *
     * @param list<string> $cards ids of the label cards that go in now
     */
    public static function ofCleaning(
        string $sprayer,
        ?Residue $held,
        array $cards,
        string $carrier,
        \DateTimeImmutable $today,
    ): ?Gate {
        $kind = match (true) {
            $held === null => null,
            !$held->isOf($cards, $carrier) => GateKind::Cleaning,
            $held->day->format('Y-m-d') < $today->format('Y-m-d') => GateKind::CleaningDue,
            default => null,
        };

        return $held === null || $kind === null
            ? null
            : new Gate($kind, ['sprayer' => $sprayer, 'held' => $held->told, 'day' => $held->day]);
    }

    /**
     * What has to be settled with others first: a paper that nobody holds or that has run out, people whom nobody told
     * (rulings B2, J15, J19, J20).
     *
     * @param list<Duty> $duties
     * @param list<Settled> $recorded newest first
     *
     * @return list<Gate> the code of the duty under duty, what it is about under keeper
     */
    public static function ofDuties(array $duties, array $recorded, \DateTimeImmutable $today): array
    {
        $shut = [];
        foreach ($duties as $duty) {
            $settled = Settled::of($duty, $recorded, $today);
            if ($settled?->holdsOn($today) === true) {
                continue;
            }
            $values = [
                'duty' => $duty->kind->value,
                'keeper' => $duty->keeper ?? '',
                'about' => $duty->keeper === null ? 'no' : 'yes',
            ];
            $over = $settled === null || $settled->state === Settled::UNDER_WAY ? null : $settled->until;
            $shut[] = match (true) {
                !$duty->kind->isPaper() => new Gate(GateKind::Notice, $values),
                $over !== null => new Gate(GateKind::PermitOver, $values + ['day' => $over]),
                default => new Gate(GateKind::Permit, $values),
            };
        }

        return $shut;
    }

    /** @param list<StemGroup> $stems counted or estimated */
    public static function ofCount(array $stems): ?Gate
    {
        return array_filter($stems, static fn(StemGroup $g): bool => $g->estimated) === []
            ? null
            : new Gate(GateKind::EstimatedTally);
    }

    /**
     * Actives whose last day counts for the wait.
     *
     * @param list<LabelCard> $cards
     *
     * @return list<string>
     */
    public static function actives(array $cards): array
    {
        $all = array_merge(
            [],
            ...array_map(static fn(LabelCard $card): array => array_column($card->contents->actives, 'active'), $cards),
        );

        return array_values(array_unique($all));
    }
}
