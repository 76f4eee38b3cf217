<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

/** How good a season is for a method, best first (handbook 4: best, workable, avoid). */
enum WindowGrade: string
{
    case Best = 'best';
    case Workable = 'workable';
    case WithCare = 'with-care';
    case Avoid = 'avoid';
}
