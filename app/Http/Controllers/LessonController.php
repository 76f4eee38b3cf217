<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\RecordLesson;
use App\Resources\ShedResource;
use App\Support\JobClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/**
 * Whether what a record says of the mix or the time it took counts: a person decides where it is out of the common.
 */
final class LessonController extends Controller
{
    public function update(Request $request, string $lessonId, ShedResource $resource, JobClock $clock): JsonResponse
    {
        Gate::authorize('lead');
        $user = $this->user($request);
        $crew = $user->crew;
        $lesson = RecordLesson::query()->where('crew_id', $crew->id)->findOrFail($lessonId);
        $in = $this->fields($request);
        $counts = $in->bool('counts', true);
        $why = $in->text('why', 500);
        $this->done($in);
        $this->mustMatch($request, $crew->revision, static fn(): array => $resource->shed($crew));
        DB::transaction(static function () use ($lesson, $crew, $user, $clock, $counts, $why): void {
            RecordLesson::query()
                ->where(['record_id' => $lesson->record_id, 'of' => $lesson->of])
                ->update([
                    'counts' => $counts,
                    'why' => $why,
                    'answered_by' => $user->id,
                    'answered_at' => Carbon::instance($clock->now()),
                ]);
            $crew->revision++;
            $crew->save();
        });

        return $this->json($resource->shed($crew), 200, $crew->revision);
    }
}
