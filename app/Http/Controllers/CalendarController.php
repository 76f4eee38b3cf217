<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SecurityLog;
use App\Models\CalendarFeed;
use App\Models\User;
use App\Print\CalendarFile;
use App\Support\Format;
use App\Support\JobClock;
use App\Workflow\CalendarDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Thicket\Calendar\Day;

/** One person's days as a file, and a private address to subscribe to, which can be taken back. */
final class CalendarController extends Controller
{
    private const TOKEN_LETTERS = 43;
    private const MOST_DAYS = 800;

    public function __construct(private readonly CalendarDesk $desk, private readonly JobClock $clock) {}

    public function show(Request $request): JsonResponse
    {
        return $this->json(self::told($this->feed($this->user($request))));
    }

    /** Days of the crew, or of whoever asks, between two days. */
    public function days(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $in = $this->query($request);
        [$first, $last] = [$in->day('first'), $in->day('last')];
        if ($first !== null && $last !== null && ($last < $first || Day::between($first, $last) > self::MOST_DAYS)) {
            $in->fault('last', 'Give a day on or after the first, at most ' . self::MOST_DAYS . ' days later.');
        }
        $mine = $in->choiceOrNull('who', ['me', 'all']) === 'me';
        $this->done($in);
        $told = [];
        foreach ($this->desk->of($user, !$mine) as $entry) {
            $day = Day::parse($entry->day->format('Y-m-d'));
            if ($day >= $first && $day <= $last) {
                $told[] = [
                    'id' => $entry->uid,
                    'kind' => $entry->kind,
                    'day' => Format::day($day),
                    'title' => $entry->title,
                    'where' => $entry->where,
                    'path' => $entry->path,
                    'job' => $entry->job,
                ];
            }
        }

        return $this->json([
            'today' => Format::day($this->clock->today($user->crew->timeZone())),
            'entries' => $told,
        ]);
    }

    /** A new address; one given before holds no longer. It is told this once. */
    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $token = Str::random(self::TOKEN_LETTERS);
        $this->feed($user)?->delete();
        $feed = CalendarFeed::create(['user_id' => $user->id, 'token_hash' => CalendarFeed::hashOf($token)])->refresh();
        SecurityLog::note('calendar address given', $request);

        return $this->json(
            ['address' => config()->string('app.url') . "/api/v1/calendar/{$token}.ics"] + self::told($feed),
            201,
        );
    }

    public function destroy(Request $request): JsonResponse
    {
        $this->feed($this->user($request))?->delete();
        SecurityLog::note('calendar address taken back', $request);

        return $this->json(self::told(null));
    }

    /** By the session: to save, or to look at. */
    public function file(Request $request): Response
    {
        SecurityLog::note('exported', $request, ['what' => 'calendar']);

        return $this->calendar($this->user($request));
    }

    /** By the private address alone: whoever has it reads, and nothing else. */
    public function subscribed(string $token): Response
    {
        $feed = CalendarFeed::query()
            ->where('token_hash', CalendarFeed::hashOf($token))
            ->with('user.crew')
            ->firstOrFail();
        $feed->update(['read_at' => now()]);

        return $this->calendar($feed->user);
    }

    private function calendar(User $user): Response
    {
        $text = CalendarFile::text(
            $this->desk->of($user),
            $user->crew->name,
            $this->clock->now(),
            config()->string('app.url'),
        );

        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'inline; filename="thicket.ics"',
            'Cache-Control' => 'private, no-store',
        ]);
    }

    private function feed(User $user): ?CalendarFeed
    {
        return CalendarFeed::query()->where('user_id', $user->id)->first();
    }

    /** @return array{given: string|null, read: string|null} */
    private static function told(?CalendarFeed $feed): array
    {
        return ['given' => Format::moment($feed?->created_at), 'read' => Format::moment($feed?->read_at)];
    }
}
