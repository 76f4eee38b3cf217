<?php

declare(strict_types=1);

/*
 * Closed sets of the core as TypeScript, for web/src/api/vocabulary.ts (npm run vocabulary). VocabularyTest holds that
 * the file is what this prints, and that openapi.yaml lists the same words.
 */

use Thicket\Catalogue\Carrier;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\CatalogueFiles;
use Thicket\Catalogue\FactName;
use Thicket\Catalogue\Method;
use Thicket\Catalogue\Cover;
use Thicket\Catalogue\SprayerKind;
use Thicket\FieldDay\FieldEventReader;
use Thicket\FieldDay\RecordFields;
use Thicket\Mix\Advice\MixPlan;
use Thicket\Mix\MeasuringKind;
use Thicket\Review\LookSigns;
use Thicket\Review\Patrols;
use Thicket\Safety\Settled;
use Thicket\Safety\Spill;
use Thicket\Situation\ProtectedFeature;
use Thicket\Verdict\Certainty;
use Thicket\Verdict\Outcome;

require_once dirname(__DIR__, 2) . '/vendor/autoload.php';

/** @return array<string, list<string>> name in TypeScript => words */
function vocabulary(Catalogue $catalogue): array
{
    return [
        'OUTCOMES' => array_column(Outcome::cases(), 'value'),
        'CERTAINTIES' => array_column(Certainty::cases(), 'value'),
        'KEEPER_KINDS' => ProtectedFeature::KINDS,
        'CARRIERS' => Carrier::ALL,
        'WATERS' => MixPlan::WATERS,
        'TANK_MATERIALS' => MixPlan::MATERIALS,
        'SPRAYER_KINDS' => array_column(SprayerKind::cases(), 'value'),
        'MEASURING_KINDS' => array_column(MeasuringKind::cases(), 'value'),
        'STAGES' => FactName::Stage->choices() ?? [],
        'SITES' => $catalogue->sites(),
        'FAMILIES' => Method::FAMILIES,
        'COMPASS' => FactName::COMPASS,
        'SKIES' => FieldEventReader::SKY,
        'MARKS' => FieldEventReader::MARKS,
        'INCIDENTS' => FieldEventReader::INCIDENTS,
        'SURFACES' => Spill::SURFACES,
        'AMENDED' => RecordFields::AMENDED,
        'FURTHER' => RecordFields::FURTHER,
        'DROPLETS' => RecordFields::DROPLETS,
        'DUTY_STATES' => Settled::STATES,
        'PATROL_FINDS' => Patrols::FOUND,
        'LOOK_INJURIES' => LookSigns::INJURIES,
        'LOOK_MEASURES' => LookSigns::MEASURED,
    ];
}

/** @return array<string, string|list<string>> fact => yes-no, day, amount, or the words it may be */
function kindsOfFact(Catalogue $catalogue): array
{
    $out = [];
    foreach (FactName::cases() as $fact) {
        $out[$fact->value] = match (true) {
            $fact === FactName::Setting => $catalogue->sites(),
            $fact === FactName::CoverKind => array_map(
                static fn(Cover $kind): string => $kind->id(),
                $catalogue->covers(),
            ),
            $fact->isYesNo() => 'yes-no',
            $fact->isDay() => 'day',
            default => $fact->choices() ?? 'amount',
        };
    }

    return $out;
}

function vocabularyFile(Catalogue $catalogue): string
{
    $text = "/* Made from the core by bin/lib/vocabulary.php; not to be written by hand. */\n\n";
    foreach (vocabulary($catalogue) as $name => $list) {
        $text .= "export const {$name} = [\n";
        foreach ($list as $word) {
            $text .= "  '{$word}',\n";
        }
        $text .= "] as const;\n\n";
    }
    $text .= "/** What may be said of a fact: yes or no, a day, an amount, or one of some words. */\n";
    $text .= "export const FACTS: Record<string, 'yes-no' | 'day' | 'amount' | readonly string[]> = {\n";
    foreach (kindsOfFact($catalogue) as $fact => $kind) {
        if (is_string($kind)) {
            $text .= "  '{$fact}': '{$kind}',\n";
            continue;
        }
        $named = array_search($kind, vocabulary($catalogue), true);
        if (is_string($named)) {
            $text .= "  '{$fact}': {$named},\n";
            continue;
        }
        $text .= "  '{$fact}': [\n";
        foreach ($kind as $word) {
            $text .= "    '{$word}',\n";
        }
        $text .= "  ],\n";
    }

    return "{$text}};\n";
}

if (realpath($_SERVER['SCRIPT_FILENAME'] ?? '') === __FILE__) {
    $root = dirname(__DIR__, 2);
    echo vocabularyFile(
        new Catalogue((new CatalogueFiles("{$root}/core/data", "{$root}/docs/schemas"))->read(false), ''),
    );
}
