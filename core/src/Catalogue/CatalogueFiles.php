<?php

declare(strict_types=1);

namespace Thicket\Catalogue;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;
use Thicket\Catalogue\Exception\BrokenData;

/**
 * Reads core/data, checks each file against docs/schemas, and compiles it to one PHP file of plain arrays
 * (rulings B22, B29). Only the compiler and tests come here; everything else is handed a Catalogue.
 */
final readonly class CatalogueFiles
{
    private const FOLDERS = [
        'species' => 'species',
        'actives' => 'active',
        'methods' => 'method',
        'programmes' => 'programme',
        'schools' => 'school',
        'lookalikes' => 'lookalike',
    ];
    private const SINGLES = [
        'characters',
        'traps',
        'windows',
        'coefficients',
        'life',
        'weighing',
        'sites',
        'sums',
        'tools',
        'mixtures',
        'covers',
        'plantings',
        'card-templates',
    ];

    public function __construct(private string $dataDirectory, private string $schemaDirectory) {}

    /**
     * Hash of every file's name and content, and of what works the table of the key out of them: either changed makes
     * another catalogue.
     */
    public function hash(): string
    {
        $context = hash_init('sha256');
        foreach ($this->paths() as $path) {
            hash_update($context, $path . "\0" . file_get_contents($path) . "\0");
        }

        hash_update($context, (string) file_get_contents(__DIR__ . '/KeyTable.php'));

        return substr(hash_final($context), 0, 16);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws BrokenData
     */
    public function read(bool $check): array
    {
        $faults = [];
        $data = [];
        foreach (self::FOLDERS as $folder => $schema) {
            $entries = [];
            foreach ($this->glob($folder) as $path) {
                $entry = Yaml::parseFile($path);
                $id = basename($path, '.yaml');
                if ($check) {
                    $faults = [...$faults, ...$this->faults($path, $schema)];
                }
                if (!is_array($entry) || ($folder !== 'lookalikes' && ($entry['id'] ?? null) !== $id)) {
                    $faults[] = "{$path}: /id: must be '{$id}', like the file";
                }
                $entries[$id] = $entry;
            }
            $data[$folder] = $entries;
        }
        foreach (self::SINGLES as $name) {
            $entry = Yaml::parseFile("{$this->dataDirectory}/{$name}.yaml");
            if ($check) {
                $faults = [...$faults, ...$this->faults("{$this->dataDirectory}/{$name}.yaml", $name)];
            }
            $data[$name] = $entry;
        }
        if ($faults !== []) {
            throw BrokenData::in($faults);
        }
        /** @var list<array<string, mixed>> $characters checked above */
        $characters = $data['characters'];
        /** @var array<string, array<string, mixed>> $species */
        $species = $data['species'];
        $data['keyTable'] = KeyTable::compile($characters, $species);

        return $data;
    }

    /** Writes the compiled file when it is missing and returns the catalogue. Safe to run twice at once. */
    public function compile(string $cacheDirectory): Catalogue
    {
        $hash = $this->hash();
        $target = "{$cacheDirectory}/catalogue.{$hash}.php";
        if (!is_file($target)) {
            $temporary =
                tempnam($cacheDirectory, 'cat') ?: throw new \RuntimeException("Cannot write in {$cacheDirectory}.");
            file_put_contents($temporary, "<?php\n\nreturn " . var_export($this->read(true), true) . ";\n");
            chmod($temporary, 0o644);
            rename($temporary, $target);
        }

        return self::load($target, $hash);
    }

    public static function load(string $compiled, string $hash): Catalogue
    {
        /** @var array<string, mixed> $data */
        $data = require $compiled;

        return new Catalogue($data, $hash);
    }

    /** @return list<string> */
    private function faults(string $path, string $schema): array
    {
        $validator = new Validator();
        $validator->resolver()?->registerPrefix('https://gallant-thicket.example/schemas/', $this->schemaDirectory);
        $result = $validator->validate(
            Yaml::parseFile($path, Yaml::PARSE_OBJECT_FOR_MAP),
            "https://gallant-thicket.example/schemas/{$schema}.schema.json",
        );
        $error = $result->error();
        if ($error === null) {
            return [];
        }
        $out = [];
        foreach ((new ErrorFormatter())->format($error, false) as $pointer => $message) {
            $out[] = basename($path) . ": {$pointer}: " . (is_string($message) ? $message : json_encode($message));
        }

        return $out;
    }

    /** @return list<string> */
    private function paths(): array
    {
        $paths = [];
        foreach (array_keys(self::FOLDERS) as $folder) {
            $paths = [...$paths, ...$this->glob($folder)];
        }
        foreach (self::SINGLES as $name) {
            $paths[] = "{$this->dataDirectory}/{$name}.yaml";
        }

        return $paths;
    }

    /** @return list<string> */
    private function glob(string $folder): array
    {
        return glob("{$this->dataDirectory}/{$folder}/*.yaml") ?: [];
    }
}
