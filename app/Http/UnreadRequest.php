<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/**
 * A request whose body the framework leaves alone: as it comes, an unfolded body could fill a worker's memory before
 * anybody was asked who they are. Controllers read it, after that (Controller::fields).
 */
final class UnreadRequest extends Request
{
    public function isJson(): bool
    {
        return false;
    }
}
