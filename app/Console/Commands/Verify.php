<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Crew;
use App\Seal\Chain;
use App\Seal\Verifier;
use Illuminate\Console\Command;

/**
 * Checks the seals of a crew, or of all: every link, what it sealed, the files of pictures, and a head kept outside.
 * Ends with 0 where all is whole, 1 where anything is not, 2 where the head cannot be read.
 */
final class Verify extends Command
{
    protected $signature = 'thicket:verify {--crew= : id of one crew}
        {--head= : file with a head that was kept outside} {--json : answer as JSON}
        {--export : print the head of one crew, to be kept outside}';

    protected $description = 'Check the seals on sheets, records, look-backs and pictures';

    public function handle(Verifier $verifier, Chain $chain): int
    {
        $head = null;
        if (is_string($this->option('head'))) {
            $head = json_decode((string) @file_get_contents($this->option('head')), true);
            if (!is_array($head) || !is_string($head['crew'] ?? null)) {
                $this->components->error(
                    'The head cannot be read: give the file that GET /seal or thicket:verify --export wrote.',
                );

                return 2;
            }
        }
        $wanted = $this->option('crew') ?? ($head['crew'] ?? null);
        /** @var \Illuminate\Database\Eloquent\Collection<int, Crew> $crews */
        $crews = Crew::query()->when(is_string($wanted), fn($q) => $q->whereKey($wanted))->orderBy('id')->get();
        if ($crews->isEmpty() && $wanted !== null) {
            $this->components->error('There is no such crew.');

            return 2;
        }
        if ($this->option('export')) {
            foreach ($crews as $crew) {
                $this->line((string) json_encode($chain->head($crew), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
            }

            return 0;
        }
        $broken = 0;
        $told = [];
        foreach ($crews as $crew) {
            $found = $verifier->crew($crew, $head);
            $broken += count($found->faults);
            $told[] = [
                'crew' => $crew->id,
                'name' => $crew->name,
                'links' => $found->links,
                'faults' => $found->faults,
            ];
        }
        if ($this->option('json')) {
            $this->line((string) json_encode(['crews' => $told], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
        }
        foreach ($this->option('json') ? [] : $told as $one) {
            $this->line(
                "{$one['name']}: {$one['links']} links, " .
                    ($one['faults'] === [] ? 'all whole.' : count($one['faults']) . ' broken.'),
            );
            foreach ($one['faults'] as $fault) {
                $this->line("  {$fault['code']}: {$fault['text']} ({$fault['subject']})");
            }
        }

        return $broken === 0 ? 0 : 1;
    }
}
