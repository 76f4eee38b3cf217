<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Text\Languages;
use App\Text\Sentences;
use Illuminate\Console\Command;
use Thicket\Assess\Gaps;
use Thicket\Catalogue\CatalogueFiles;

/** Checks core/data against its schemas and compiles it to one PHP file (rulings B29); the words of lang/ too. */
final class CompileCatalogue extends Command
{
    protected $signature = 'thicket:catalogue';

    protected $description = 'Check and compile the catalogue';

    public function handle(): int
    {
        $cache = config()->string('thicket.var') . '/cache';
        $catalogue = (new CatalogueFiles(base_path('core/data'), base_path('docs/schemas')))->compile($cache);
        file_put_contents("{$cache}/catalogue.current", $catalogue->hash);
        foreach (Languages::all() as $locale) {
            (new Sentences(base_path('lang'), $locale))->compile("{$cache}/words.{$locale}.php");
        }
        $first = new Sentences(base_path('lang'), Languages::FIRST);
        foreach ((new Gaps($catalogue, $first->has(...)))->all() as $gap) {
            $this->warn($gap);
        }
        $this->info("Catalogue {$catalogue->hash}: " . count($catalogue->allSpecies()) . ' species.');

        return 0;
    }
}
