<?php

declare(strict_types=1);

namespace Thicket\Practice;

/** What can stop a job sheet (rulings B2). */
enum GateKind: string
{
    case Named = 'named';
    case LookAlike = 'look-alike';
    case Chosen = 'chosen';
    case NotAllowed = 'not-allowed';
    case CannotTell = 'cannot-tell';
    case NotNow = 'not-now';
    case DoesNotSuit = 'does-not-suit';
    case Clearance = 'clearance';
    case NoCard = 'no-card';
    case CardUnconfirmed = 'card-unconfirmed';
    case CardNewer = 'card-newer';
    case Recipe = 'recipe';
    case Ceiling = 'ceiling';
    case CeilingTimes = 'ceiling-times';
    case CeilingApplication = 'ceiling-application';
    case CeilingLeft = 'ceiling-left';
    case IntervalUnknown = 'interval-unknown';
    case Interval = 'interval';
    case Licence = 'licence';
    case Calibration = 'calibration';
    case Cleaning = 'cleaning';
    case CleaningDue = 'cleaning-due';
    case Permit = 'permit';
    case PermitOver = 'permit-over';
    case Notice = 'notice';
    case EstimatedTally = 'estimated-tally';

    /** Where what opens it is done. */
    public function station(): string
    {
        return match ($this) {
            self::Named, self::LookAlike, self::CannotTell, self::EstimatedTally => 'scout',
            self::Chosen, self::NotAllowed, self::NotNow, self::DoesNotSuit => 'methods',
            self::CardNewer,
            self::Recipe,
            self::Ceiling,
            self::CeilingTimes,
            self::CeilingApplication,
            self::CeilingLeft
                => 'mix',
            self::Interval => 'when',
            self::Clearance,
            self::NoCard,
            self::CardUnconfirmed,
            self::IntervalUnknown,
            self::Licence,
            self::Calibration,
            self::Cleaning,
            self::CleaningDue
                => 'shed',
            self::Permit, self::PermitOver, self::Notice => 'field-day',
        };
    }

    /**
     * Effect, calibration, estimate and a cleaning that changes no product may be passed by a lead with a written
     * reason; label, law, licence, look-alike and cannot-tell never are.
     */
    public function isPassable(): bool
    {
        return in_array(
            $this,
            [self::NotNow, self::DoesNotSuit, self::EstimatedTally, self::Calibration, self::CleaningDue],
            true,
        );
    }
}
