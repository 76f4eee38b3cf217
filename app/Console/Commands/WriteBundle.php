<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bundle\BundleWriter;
use App\Models\Crew;
use Illuminate\Console\Command;

/** All data of a crew as one file, to be moved or kept (docs/bundle.md). */
final class WriteBundle extends Command
{
    protected $signature = 'thicket:bundle {file : ZIP file to write} {--crew= : id; the only crew where not given}';

    protected $description = 'Write all data of a crew as one file';

    public function handle(BundleWriter $writer): int
    {
        $id = $this->option('crew');
        $crews = Crew::query()->when(is_string($id), static fn($q) => $q->whereKey($id))->limit(2)->get();
        if ($crews->count() !== 1) {
            $this->error($crews->isEmpty() ? 'There is no such crew.' : 'There are more crews: say which (--crew=ID).');

            return 1;
        }
        $file = strval($this->input->getArgument('file'));
        /** @var Crew $crew */
        $crew = $crews->firstOrFail();
        $head = $writer->write($crew, $file);
        /** @var list<array{rows: int}> $tables */
        $tables = $head['tables'];
        $this->info(array_sum(array_column($tables, 'rows')) . " rows of {$crew->name} in {$file}.");

        return 0;
    }
}
