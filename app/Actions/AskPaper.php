<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Stopped;
use App\Jobs\MakePaper;
use App\Models\Paper;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes down what is to be printed, as it is now, and puts it in the queue; what was made already is not made again.
 */
final readonly class AskPaper
{
    /** Waiting at once for one person, and for everybody: a queue that nobody would wait for is not begun. */
    private const MOST_OF_ONE = 5;
    private const MOST_OF_ALL = 60;

    /** @throws Stopped 429 where too many wait already */
    public function __invoke(User $user, string $kind, string $name, string $html): Paper
    {
        $this->tidy();
        $digest = hash('sha256', $html);
        $made = Paper::query()
            ->where('crew_id', $user->crew_id)
            ->where('digest', $digest)
            ->whereIn('state', [...Paper::OPEN, 'ready'])
            ->latest('id')
            ->first();
        if ($made instanceof Paper && ($made->state !== 'ready' || is_file($made->file('pdf')))) {
            return $made;
        }
        $open = Paper::query()->whereIn('state', Paper::OPEN);
        $own = (clone $open)->where('asked_by', $user->id)->count();
        if ($own >= self::MOST_OF_ONE || $open->count() >= self::MOST_OF_ALL) {
            throw new Stopped(429, 'Several PDFs are being made already; wait for them.', ['retryAfter' => 5]);
        }
        $paper = Paper::create([
            'crew_id' => $user->crew_id,
            'asked_by' => $user->id,
            'kind' => $kind,
            'name' => $name,
            'digest' => $digest,
            'state' => 'waiting',
        ]);
        is_dir(dirname($paper->file('html'))) || mkdir(dirname($paper->file('html')), 0o770, true);
        file_put_contents($paper->file('html'), $html);
        DB::afterCommit(static fn() => MakePaper::dispatch($paper->id));

        return $paper;
    }

    /** What lay a day is gone; what a worker died over has failed. */
    private function tidy(): void
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Paper> $old */
        $old = Paper::query()->where('created_at', '<', now()->subHours(Paper::KEPT_HOURS))->limit(20)->get();
        foreach ($old as $paper) {
            foreach (['html', 'pdf', 'part'] as $ending) {
                @unlink($paper->file($ending));
            }
            $paper->delete();
        }
        $lost = Paper::query()->whereIn('state', Paper::OPEN)->where('created_at', '<', now()->subMinutes(10));
        $lost->update(['state' => 'failed']);
    }
}
