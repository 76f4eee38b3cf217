<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Problem;
use App\Models\Crew;
use App\Models\User;
use App\Repositories\KeptWork;
use Illuminate\Database\ConcurrencyErrorDetector;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * Writes of one crew go one after the other. The crew's row is held from before a write looks at anything until it is
 * kept, and its turn is counted; so whatever the write checks (a revision, a gate, a number, an open loan, what is
 * left in a jug) still holds when it is kept. A write that is refused, or that dies on the way, leaves nothing behind;
 * one that lost a deadlock to another crew is done again.
 */
final readonly class InTurn
{
    private const TRIES = 3;

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $user = $request->user();
        if (!($user instanceof User)) {
            return $next($request);
        }
        for ($try = 1; ; ++$try) {
            app(KeptWork::class)->pause();
            $outermost = DB::transactionLevel() === 0;
            DB::beginTransaction();
            try {
                if (!$this->waited($user)) {
                    DB::rollBack();

                    return Problem::answer(
                        409,
                        'Somebody of your crew is keeping something large; send this again in a moment.',
                    );
                }
                $response = $next($request);
                $lost = self::lost($response->exception ?? null);
                if ($response->isSuccessful()) {
                    DB::table('crews')->where('id', $user->crew_id)->increment('turn');
                    $user->setRelations([]);
                    DB::commit();
                } else {
                    DB::rollBack();
                }
            } catch (\Throwable $e) {
                DB::transactionLevel() > 0 && DB::rollBack();
                if (!self::lost($e) || !$outermost || $try >= self::TRIES) {
                    throw $e;
                }
                $lost = true;
                $response = null;
            }
            if ($response !== null && (!$lost || !$outermost || $try >= self::TRIES)) {
                return $response;
            }
            // nothing that was read in the lost try is used again
            $request->route()?->flushController();
            app()->forgetScopedInstances();
        }
    }

    /** Takes the crew's row; false where another write kept it for too long. */
    private function waited(User $user): bool
    {
        try {
            Crew::query()->whereKey($user->crew_id)->lockForUpdate()->value('id');
        } catch (\Illuminate\Database\QueryException $e) {
            return ($e->errorInfo[1] ?? null) === 1205 ? false : throw $e;
        }
        // the crew may have been changed by whoever had the turn before
        $user->setRelations([]);

        return true;
    }

    private static function lost(?\Throwable $e): bool
    {
        return $e !== null && (new ConcurrencyErrorDetector())->causedByConcurrencyError($e);
    }
}
