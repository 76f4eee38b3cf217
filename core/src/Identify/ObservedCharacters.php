<?php

declare(strict_types=1);

namespace Thicket\Identify;

use Thicket\Catalogue\Catalogue;
use Thicket\Input\Fields;
use Thicket\Input\Refused;

/**
 * What somebody saw of a plant: of each character one state, several (a vine with three and with five leaflets), or an
 * open answer, 'not-sure' or 'not-visible', which is neither for nor against (handbook 1).
 */
final readonly class ObservedCharacters
{
    public const OPEN_ANSWERS = ['not-sure', 'not-visible'];
    /** More states of one character than this is no description any more. */
    private const MOST_STATES = 4;

    /**
     * @param array<string, list<string>> $states character => states seen
     * @param array<string, string> $open character => open answer
     */
    private function __construct(public array $states, public array $open) {}

    /**
     * @param array<array-key, mixed> $seen character => state or list of states
     * @param string $pointer of the field that holds it, for faults
     *
     * @throws Refused when a character or state does not exist, or an open answer stands beside a state
     */
    public static function of(array $seen, Catalogue $catalogue, string $pointer = '/seen'): self
    {
        $known = [];
        foreach ($catalogue->characters() as $character) {
            $known[$character->id()] = $character->states();
        }
        $states = $open = $faults = [];
        foreach ($seen as $character => $given) {
            $character = (string) $character;
            $at = "{$pointer}/" . mb_strimwidth(mb_scrub($character), 0, 60);
            $list = array_values(array_unique(is_array($given) ? $given : [$given], SORT_REGULAR));
            if (!isset($known[$character])) {
                $faults[] = [
                    'pointer' => $at,
                    'message' => 'There is no such character; there are: ' . implode(', ', array_keys($known)) . '.',
                ];
            } elseif ($list === [] || count($list) > self::MOST_STATES) {
                $faults[] = [
                    'pointer' => $at,
                    'message' => 'Give one state, or up to ' . self::MOST_STATES . ' where the plant shows several.',
                ];
            } elseif (count($list) === 1 && in_array($list[0], self::OPEN_ANSWERS, true)) {
                $open[$character] = (string) $list[0];
            } else {
                $wrong = array_filter(
                    $list,
                    static fn(mixed $state): bool => !is_string($state) || !in_array($state, $known[$character], true),
                );
                $both = array_intersect(array_filter($wrong, is_string(...)), self::OPEN_ANSWERS) !== [];
                if ($wrong !== []) {
                    $faults[] = [
                        'pointer' => $at,
                        'message' => $both
                            ? "'Not sure' stands alone: take it out, or the states."
                            : 'This is not one of: ' .
                                implode(', ', [...$known[$character], ...self::OPEN_ANSWERS]) .
                                '.',
                    ];
                } else {
                    /** @var list<string> $list */
                    $states[$character] = $list;
                }
            }
        }
        if ($faults !== []) {
            throw new Refused($faults);
        }

        return new self($states, $open);
    }

    /** Reads the field 'seen' of a document; a missing one is nothing seen. */
    public static function read(Fields $in, Catalogue $catalogue): self
    {
        $raw = $in->raw('seen');
        if ($raw !== null && (!is_array($raw) || ($raw !== [] && array_is_list($raw)))) {
            $in->fault('seen', 'Give an object: character to state, or to a list of states.');
            $raw = [];
        }

        return self::of($raw ?? [], $catalogue, "{$in->pointer}/seen");
    }

    public static function nothing(): self
    {
        return new self([], []);
    }

    public function isEmpty(): bool
    {
        return $this->states === [];
    }

    /** @return array<string, string|list<string>> as it is kept and sent: one state plain, several as a list */
    public function toWire(): array
    {
        return array_map(
            static fn(array $states): string|array => count($states) === 1 ? $states[0] : $states,
            $this->states,
        ) + $this->open;
    }

    public function saw(string $character, string ...$any): bool
    {
        return array_intersect($any, $this->states[$character] ?? []) !== [];
    }
}
