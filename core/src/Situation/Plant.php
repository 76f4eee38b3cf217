<?php

declare(strict_types=1);

namespace Thicket\Situation;

use Thicket\Catalogue\Species;
use Thicket\Identify\Unnamed;

/** What stands there: a named plant, or what it could be while nobody has named it. */
final readonly class Plant
{
    public function __construct(public ?Species $target, public ?Unnamed $unnamed = null) {}
}
