<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/**
 * Fills an empty database for bin/start: the demo, or a setup code for the first account. A filled one is left alone.
 */
final class Prepare extends Command
{
    protected $signature = 'thicket:prepare {--empty : no demo; print a setup code}';

    protected $description = 'Load the demo, or make a setup code, into an empty database';

    public function handle(): int
    {
        if (DB::table('users')->exists()) {
            if ($this->option('empty') && DB::table('installation')->where('key', 'demo')->exists()) {
                $this->warn('This database holds the demo; start with --fresh --empty to begin anew.');
            }

            return 0;
        }
        if ($this->option('empty')) {
            $code =
                DB::table('installation')->where('key', 'setup_code')->value('value') ??
                implode('-', str_split(bin2hex(random_bytes(6)), 4));
            DB::table('installation')->updateOrInsert(['key' => 'setup_code'], ['value' => $code]);
            $this->line("Setup code for the first account: {$code}");

            return 0;
        }
        $seeder = $this->laravel->make(DemoSeeder::class);
        app()->call([$seeder, 'run']);
        $this->info('The demo is loaded.');

        return 0;
    }
}
