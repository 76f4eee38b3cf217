<?php

declare(strict_types=1);

namespace Thicket\Assess;

use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\Method;
use Thicket\Catalogue\WindowSpec;

/**
 * What the catalogue names and nobody has written: words, tools, hours. The schemas hold the shape of each file; this
 * holds them together, in sentences that say what to write and where.
 */
final readonly class Gaps
{
    /** @param \Closure(string): bool $hasWord whether lang/ has a sentence of this code */
    public function __construct(private Catalogue $catalogue, private \Closure $hasWord) {}

    /** @return list<string> a sentence each; none where all is there */
    public function all(): array
    {
        $out = [];
        foreach ($this->catalogue->allMethods() as $method) {
            array_push($out, ...$this->ofMethod($method));
        }
        foreach ($this->worded() as $who => $codes) {
            array_push($out, ...$this->words($who, $codes));
        }

        return $out;
    }

    /** @return iterable<string, list<string>> who is told by words, methods apart, and by which */
    private function worded(): iterable
    {
        foreach ($this->catalogue->toolKinds() as $kind) {
            yield "Tool {$kind->id()}" => ["tool.{$kind->id()}"];
        }
        foreach ($this->catalogue->clearances() as $clearance) {
            yield "Clearance {$clearance}" => ["clearance.{$clearance}"];
        }
        foreach ($this->catalogue->allActives() as $active) {
            yield "Active {$active->id()}" => [
                "selectivity.{$active->selectivity()}",
                ...self::each('caution.active-', $active->cautions()),
            ];
        }
        foreach ($this->catalogue->allSchools() as $school) {
            yield "School {$school->id()}" => [
                "school.{$school->id()}",
                "reason.{$school->reason()}",
                ...self::each("choice.{$school->id()}.", $school->choices()),
            ];
        }
        foreach ($this->catalogue->windowRows() as $row) {
            yield "Windows of season {$row->season()}" => array_map(
                static fn(WindowSpec $window): string => "why.{$window->reason()}",
                $row->windows(),
            );
        }
        foreach ($this->catalogue->characters() as $character) {
            yield "Character {$character->id()}" => [
                "character.{$character->id()}",
                ...self::each('state.', $character->states()),
            ];
        }
        foreach ($this->catalogue->allProgrammes() as $programme) {
            yield "Programme {$programme->id()}" => ["programme.{$programme->id()}"];
        }
        foreach ($this->catalogue->allSpecies() as $species) {
            yield "Species {$species->id()}" => [
                "habit.{$species->habit()}",
                ...self::each('caution.plant-', $species->hazards()),
            ];
        }
    }

    /**
     * @param list<string> $of
     *
     * @return list<string>
     */
    private static function each(string $kind, array $of): array
    {
        return array_map(static fn(string $one): string => "{$kind}{$one}", $of);
    }

    /** @return list<string> */
    private function ofMethod(Method $method): array
    {
        $who = "Method {$method->id()}";
        $out = $this->words($who, [
            "method.{$method->id()}",
            "family.{$method->family()}",
            ...self::each('step.', $method->steps()),
            ...self::each('mistake.', $method->mistakes()),
        ]);
        foreach ($method->tools() as $need) {
            $this->catalogue->toolsThatMeet($need) === [] &&
                ($out[] = "{$who}: no line of core/data/tools.yaml is, or serves, '{$need}'.");
        }
        if ($method->clearance() !== 'none' && !in_array($method->clearance(), $this->catalogue->clearances(), true)) {
            $out[] = "{$who}: core/data/tools.yaml has no clearance '{$method->clearance()}'.";
        }
        foreach ($method->actives() as $active) {
            $this->catalogue->hasActive($active) || ($out[] = "{$who}: there is no core/data/actives/{$active}.yaml.");
        }
        $known = $method->removesNothing() || $this->catalogue->coefficients()->labour()->knows($method);
        if ($known === $method->isOfUnknownHours()) {
            $out[] = $known
                ? "{$who}: it says hoursUnknown, and core/data/coefficients.yaml has minutes for it."
                : "{$who}: core/data/coefficients.yaml has no minutes for it; write them, or say hoursUnknown.";
        }

        return $out;
    }

    /**
     * @param list<string> $codes
     *
     * @return list<string>
     */
    private function words(string $who, array $codes): array
    {
        return array_values(
            array_map(
                static fn(string $code): string => "{$who}: lang/ has no words for '{$code}'.",
                array_filter($codes, fn(string $code): bool => !($this->hasWord)($code)),
            ),
        );
    }
}
