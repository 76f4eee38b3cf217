<?php

declare(strict_types=1);

namespace App\Bundle;

use App\Exceptions\Stopped;
use App\Models\Crew;
use App\Models\Sealed;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Seal\Chain;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/**
 * Takes a crew's data into an installation that is empty: every part is held against its checksum, every sealed thing
 * against its seal, and all of it is kept or none. The links of the seals are made anew with this installation's key;
 * passwords, second factors and tokens do not travel.
 */
final readonly class BundleReader
{
    private const ROWS_AT_ONCE = 200;

    public function __construct(private PhotoStore $photos, private Chain $chain) {}

    /** @throws Stopped where it cannot be taken in; it says why */
    public function takeIn(string $source): Crew
    {
        $zip = new \ZipArchive();
        if ($zip->open($source, \ZipArchive::RDONLY) !== true) {
            throw new Stopped(422, "{$source} is no ZIP file that can be read.");
        }
        $head = json_decode((string) $zip->getFromName(BundleWriter::HEAD), true, 32);
        if (!is_array($head) || ($head['format'] ?? null) !== BundleWriter::FORMAT) {
            throw new Stopped(422, 'This is no bundle: bundle.json is missing, or of another format.');
        }
        if (($head['version'] ?? null) !== BundleWriter::VERSION) {
            throw new Stopped(
                422,
                'This bundle is of another version; take it in with the release that wrote it, and move on from there.',
            );
        }
        if (User::query()->exists() || Crew::query()->exists()) {
            throw new Stopped(409, 'There is a crew here already: a bundle goes into an empty installation.');
        }
        $id = is_string($head['crew']['id'] ?? null) ? $head['crew']['id'] : '';

        return DB::transaction(function () use ($zip, $head, $id): Crew {
            foreach (array_keys(Tables::OF_CREW) as $table) {
                $this->table($zip, $head, $table);
            }
            $this->sealsHold($id);
            foreach (is_array($head['files'] ?? null) ? $head['files'] : [] as $file) {
                $this->file($zip, is_string($file['file'] ?? null) ? $file['file'] : '', $file['sha256'] ?? null);
            }
            DB::table('installation')->where('key', 'setup_code')->delete();

            return Crew::query()->findOrFail($id);
        });
    }

    /** @param array<array-key, mixed> $head */
    private function table(\ZipArchive $zip, array $head, string $table): void
    {
        $listed = array_column(is_array($head['tables'] ?? null) ? $head['tables'] : [], null, 'table')[$table] ?? null;
        $lines = $zip->getFromName("tables/{$table}.jsonl");
        if (!is_array($listed) || !is_string($lines)) {
            throw new Stopped(422, "The bundle lacks the table {$table}.");
        }
        if (!hash_equals((string) ($listed['sha256'] ?? ''), hash('sha256', $lines))) {
            throw new Stopped(422, "The table {$table} is not as it was written: its checksum differs.");
        }
        $columns = array_flip(Tables::columns($table));
        $rows = [];
        foreach (array_filter(explode("\n", $lines)) as $line) {
            $row = json_decode($line, true, 8, JSON_THROW_ON_ERROR);
            if (!is_array($row) || array_diff_key($row, $columns) !== [] || array_diff_key($columns, $row) !== []) {
                throw new Stopped(422, "A row of {$table} has other columns than are kept here.");
            }
            $rows[] = $row + self::withoutSecrets($table);
        }
        $table === 'seals' && ($rows = $this->chain->linkedAnew($rows));
        foreach (array_chunk($rows, self::ROWS_AT_ONCE) as $some) {
            DB::table($table)->insert($some);
        }
    }

    /** @return array<string, string> what stands in place of a secret that did not travel */
    private static function withoutSecrets(string $table): array
    {
        return $table === 'users' ? ['password' => Hash::make(Str::random(40))] : [];
    }

    /** What was sealed is what its seal says, whichever key linked it. */
    private function sealsHold(string $crewId): void
    {
        foreach (DB::table('seals')->where('crew_id', $crewId)->orderBy('seq')->lazy(500) as $seal) {
            $kind = Sealed::from((string) $seal->kind);
            $dropped = $kind === Sealed::Photo && !DB::table('photos')->where('id', $seal->subject_id)->exists();
            if (!$dropped && $kind->digest((string) $seal->subject_id) !== $seal->content) {
                throw new Stopped(422, "The {$kind->value} of link {$seal->seq} is not what was sealed.");
            }
        }
    }

    private function file(\ZipArchive $zip, string $name, mixed $sha256): void
    {
        $bytes = $zip->getFromName($name);
        $parts = [];
        if (
            preg_match('#^files/([0-9a-f-]{36})\.(\w+)\.jpg$#D', $name, $parts) !== 1 ||
            !in_array($parts[2], PhotoStore::SIZES, true) ||
            !is_string($bytes) ||
            !is_string($sha256) ||
            !hash_equals($sha256, hash('sha256', $bytes))
        ) {
            throw new Stopped(422, "The file {$name} is missing or is not as it was written.");
        }
        $this->photos->put($parts[1], $parts[2], $bytes);
    }
}
