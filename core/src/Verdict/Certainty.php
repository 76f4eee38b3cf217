<?php

declare(strict_types=1);

namespace Thicket\Verdict;

/** How surely a fact is known (model.md), surest first. */
enum Certainty: string
{
    case Measured = 'measured';
    case Observed = 'observed';
    case Estimated = 'estimated';
    case Typical = 'typical';
    case Assumed = 'assumed';
    case Unknown = 'unknown';
}
