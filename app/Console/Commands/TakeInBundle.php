<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bundle\BundleReader;
use App\Exceptions\Stopped;
use App\Models\PasswordReset;
use App\Models\User;
use Illuminate\Console\Command;

/** Takes a crew's data into an empty installation (docs/bundle.md); leads get a code for a new password. */
final class TakeInBundle extends Command
{
    protected $signature = 'thicket:take-in {file : ZIP file that thicket:bundle wrote}';

    protected $description = 'Take all data of a crew into an empty installation';

    public function handle(BundleReader $reader): int
    {
        try {
            $crew = $reader->takeIn(strval($this->input->getArgument('file')));
        } catch (Stopped $e) {
            $this->error($e->getMessage());

            return 1;
        }
        $this->info("{$crew->name} is here. Passwords do not travel: leads choose a new one with their code.");
        foreach ($crew->members()->where('role', 'lead')->get() as $lead) {
            /** @var User $lead */
            $this->line("  {$lead->email}  " . PasswordReset::code($lead, null));
        }

        return 0;
    }
}
