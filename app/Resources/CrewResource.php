<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Act;
use App\Models\Crew;
use App\Models\Invite;
use App\Models\Record;
use App\Models\User;
use App\Repositories\CrewSettings;
use App\Support\Format;
use App\Text\Sentences;
use Thicket\Calendar\Day;

/** The crew: who is of it, who is asked to be, and what it set for all its work: openapi Crew. */
final readonly class CrewResource
{
    /** Acts in which a setting may have changed, the newest first. */
    private const ACTS_OF_SETTINGS = ['PATCH crew', 'PATCH shed/choices'];
    private const MOST_ACTS = 500;

    public function __construct(private Sentences $sentences) {}

    /**
     * @param list<string> $changed settings that this person changed just now, before the trail tells it
     *
     * @return array<string, mixed>
     */
    public function crew(Crew $crew, User $asks, array $changed = []): array
    {
        $lead = $asks->isLead();

        return [
            'id' => $crew->id,
            'name' => $crew->name,
            'revision' => $crew->revision,
            'members' => $crew
                ->members()
                ->with('person')
                ->get()
                ->map(
                    static fn(User $u): array => [
                        'id' => $u->id,
                        'name' => $u->name,
                        // others of the crew know each other's names; addresses are for who manages them
                        'email' => $lead || $u->is($asks) ? $u->email : null,
                        'role' => $u->role,
                        'me' => $u->is($asks),
                        'personId' => $u->person?->id,
                        'secondFactor' => $lead ? $u->hasSecondFactor() : null,
                        'since' => Format::moment($u->created_at),
                    ],
                )
                ->values()
                ->all(),
            'invites' => $lead ? $this->invites($crew) : [],
            'settings' => $this->settings($crew, $asks, $changed),
            'keptUntil' => Format::day(self::keptUntil($crew)),
        ];
    }

    /** The first day on which no record has to be kept any more; null where nothing was signed. */
    public static function keptUntil(Crew $crew): ?\DateTimeImmutable
    {
        $last = Record::query()->where('crew_id', $crew->id)->max('worked_on');
        $years = (int) CrewSettings::of($crew)['keepYears'];

        return is_string($last) ? Day::parse($last)->add(new \DateInterval("P{$years}Y")) : null;
    }

    /** @return list<array<string, mixed>> */
    private function invites(Crew $crew): array
    {
        $told = [];
        $open = Invite::query()->open()->with('maker')->where('crew_id', $crew->id)->orderByDesc('created_at');
        /** @var Invite $one */
        foreach ($open->get() as $one) {
            $told[] = [
                'id' => $one->id,
                'role' => $one->role,
                'name' => $one->name,
                'email' => $one->email,
                'by' => $one->maker->name,
                'until' => Format::moment($one->expires_at),
            ];
        }

        return $told;
    }

    /**
     * @param list<string> $changed
     *
     * @return list<array<string, mixed>> each with what it changes, and who changed it last
     */
    private function settings(Crew $crew, User $asks, array $changed): array
    {
        /** @var \Illuminate\Database\Eloquent\Collection<int, Act> $acts */
        $acts = Act::query()
            ->with('user')
            ->where('crew_id', $crew->id)
            ->whereIn('act', self::ACTS_OF_SETTINGS)
            ->orderByDesc('id')
            ->limit(self::MOST_ACTS)
            ->get();
        $told = [];
        foreach (CrewSettings::of($crew) as $name => $value) {
            $now = in_array($name, $changed, true);
            $by = $acts->first(static fn(Act $act): bool => isset($act->changes[$name]));
            $told[] = [
                'name' => $name,
                'value' => $value,
                'label' => $this->sentences->name("setting.{$name}"),
                'does' => $this->sentences->name("setting.{$name}.does"),
                'by' => $now ? $asks->name : $by?->user->name,
                'at' => Format::moment($now ? now() : $by?->at, $crew->timeZone()),
            ];
        }

        return $told;
    }
}
