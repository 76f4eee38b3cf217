<?php

declare(strict_types=1);

namespace Thicket\Mix\Formula;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;

/** One sum of handbook 2 and 3 that goes one way, from a document of its own (docs/schemas/mix.schema.json). */
interface Formula
{
    /** Reads only its own fields, and notes each fault at its field. */
    public function solve(Fields $in, Catalogue $catalogue): FormulaAnswer;
}
