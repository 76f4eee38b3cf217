<?php

declare(strict_types=1);

namespace Thicket\FieldDay;

/** What can be noted on a field day; each note stands for itself, so that they may come in any order, and twice. */
enum EventKind: string
{
    /** Something of a list is done, or is not after all. */
    case Tick = 'tick';
    /** Stems of one size treated. */
    case Count = 'count';
    /** Stems of one size left on purpose. */
    case Skip = 'skip';
    /** Somebody begins, pauses or stops. */
    case Work = 'work';
    /** Wind, air, sky as measured or seen. */
    case Reading = 'reading';
    /** Mix filled into a bottle or sprayer. */
    case Refill = 'refill';
    /** A clock is started or over. */
    case Timer = 'timer';
    /** A spot treated, left on purpose or missed. */
    case Mark = 'mark';
    /** Where somebody went, piece by piece. */
    case Track = 'track';
    /** A field of the record, said anew: it names what it takes the place of. */
    case Say = 'say';
    /** A picture, whose file comes after it. */
    case Photo = 'photo';
    case Incident = 'incident';
    case Note = 'note';
    /** One of the others is taken back. */
    case Undo = 'undo';
}
