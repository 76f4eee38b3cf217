<?php

declare(strict_types=1);

namespace App\Bundle;

use App\Models\Crew;
use App\Photos\PhotoStore;
use App\Seal\Chain;
use App\Seal\Verifier;
use Illuminate\Support\Facades\DB;

/**
 * All data of one crew as one file (docs/bundle.md): a ZIP of `bundle.json` that names every part with its checksum, a
 * JSON line a row for each table, and the files of pictures.
 */
final readonly class BundleWriter
{
    public const FORMAT = 'gallant-thicket-bundle';
    public const VERSION = 1;
    public const HEAD = 'bundle.json';

    public function __construct(private PhotoStore $photos, private Chain $chain, private Verifier $verifier) {}

    /** @return array<string, mixed> the head, as it stands in the file */
    public function write(Crew $crew, string $target): array
    {
        $zip = new \ZipArchive();
        if ($zip->open($target, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException("Cannot write {$target}.");
        }
        // one moment of the database for all tables
        $head = DB::transaction(function () use ($crew, $zip): array {
            $tables = $files = [];
            foreach (array_keys(Tables::OF_CREW) as $table) {
                $lines = '';
                $rows = 0;
                foreach (Tables::rows($table, $crew->id)->lazy(500) as $row) {
                    $lines .= json_encode($row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
                    $lines .= "\n";
                    ++$rows;
                }
                $zip->addFromString("tables/{$table}.jsonl", $lines);
                $tables[] = ['table' => $table, 'rows' => $rows, 'sha256' => hash('sha256', $lines)];
            }
            foreach (Tables::rows('photos', $crew->id)->get() as $photo) {
                foreach (PhotoStore::SIZES as $size) {
                    $path = $this->photos->find((string) $photo->file, $size);
                    if ($path === null) {
                        continue;
                    }
                    $name = "files/{$photo->file}.{$size}.jpg";
                    $zip->addFile($path, $name);
                    $files[] = ['file' => $name, 'sha256' => (string) hash_file('sha256', $path)];
                }
            }

            return [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'at' => now()
                    ->utc()
                    ->format(\DATE_RFC3339),
                'crew' => ['id' => $crew->id, 'name' => $crew->name],
                'tables' => $tables,
                'files' => $files,
                'seals' => [
                    'head' => $this->chain->head($crew),
                    'whole' => $this->verifier->crew($crew)->faults === [],
                ],
            ];
        });
        $zip->addFromString(
            self::HEAD,
            json_encode(
                $head,
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
        );
        if (!$zip->close()) {
            throw new \RuntimeException("Cannot write {$target}.");
        }

        return $head;
    }
}
