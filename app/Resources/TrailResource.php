<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\Act;
use App\Models\Crew;
use App\Support\Format;
use App\Text\Sentences;
use Thicket\Measure\System;

/** Who did what when, in words: openapi Trail. */
final readonly class TrailResource
{
    private const PAGE = 100;
    /** Every name that a sentence may ask for. */
    public const NAMES = [
        'new',
        'ground',
        'patch',
        'stand',
        'step',
        'sheet',
        'record',
        'sighting',
        'card',
        'version',
        'container',
        'sprayer',
        'tool',
        'loan',
        'person',
        'keeper',
        'zone',
        'member',
        'invite',
        'id',
    ];

    public function __construct(private Sentences $sentences) {}

    /** @return array<string, mixed> */
    public function of(Crew $crew, ?int $before): array
    {
        $acts = Act::query()
            ->where('crew_id', $crew->id)
            ->when($before !== null, static fn($q) => $q->where('id', '<', $before))
            ->with('user')
            ->orderByDesc('id')
            ->limit(self::PAGE + 1)
            ->get();

        $told = [];
        /** @var Act $act */
        foreach ($acts->take(self::PAGE) as $act) {
            $told[] = [
                'id' => $act->id,
                'at' => Format::moment($act->at, $crew->timeZone()),
                'who' => $act->user->name,
                'text' => $this->text($act),
                'changes' => $this->changes($act),
            ];
        }

        return [
            'acts' => $told,
            'more' => $acts->count() > self::PAGE,
        ];
    }

    /** Code of the sentence of an act: "POST grounds/{ground}/patches" is trail.post.grounds.ground.patches. */
    public static function code(string $act): string
    {
        return 'trail.' . strtolower(strtr($act, [' ' => '.', '/' => '.', '{' => '', '}' => '']));
    }

    private function text(Act $act): string
    {
        return rtrim(
            $this->sentences->in(self::code($act->act), $act->names + array_fill_keys(self::NAMES, ''), System::Us),
            ' :',
        );
    }

    /** @return list<array{setting: string, from: string|null, to: string|null}> */
    private function changes(Act $act): array
    {
        $told = [];
        foreach ($act->changes ?? [] as $name => ['from' => $from, 'to' => $to]) {
            $told[] = ['setting' => $this->sentences->name("setting.{$name}"), 'from' => $from, 'to' => $to];
        }

        return $told;
    }
}
