<?php

declare(strict_types=1);

namespace Tests\Live;

use Symfony\Component\Yaml\Yaml;

/**
 * Requests made from openapi.yaml by a seed: every operation in turn, with paths of real, foreign and made-up ids, and
 * bodies after the schema in which some values are what no form would send.
 */
final class Fuzz
{
    /** Texts that have broken readers elsewhere. */
    private const NASTY = [
        '',
        ' ',
        '0',
        '-1',
        '1e999',
        'NaN',
        'null',
        '[]',
        "\u{0000}",
        "a\nb",
        "\u{202E}gnp.exe",
        "\u{FF11}\u{FF12} in",
        "\u{0663} ft",
        '1/0 in',
        '1 1/0 in',
        '0 0/0 in',
        '99999999999999999999 gal',
        '1,5 l',
        '1:0',
        '0:1',
        '-5 gal',
        '-900 F',
        '99999 mph',
        '2 qt/ac',
        '15%',
        '1:4',
        '½ in',
        '1½ in',
        '¾',
        "1\u{00A0}in",
        '2026-02-30',
        '0000-00-00',
        '9999-12-31',
        '1899-12-31',
        "2026-09-03\n",
        '2026-09-03T25:00:00Z',
        '2026-09-03T10:00:00+99:99',
        'Etc/GMT+5',
        '../../etc/passwd',
        "'; DROP TABLE users; --",
        '<script>alert(1)</script>',
        '{{7*7}}',
        '${7*7}',
        '%s%n',
        '=cmd|x',
        '__proto__',
        'constructor',
        "\xC3\x28",
        "\u{1F331}",
        'ﷺ',
        '0x10',
        '1_000',
        'true',
        '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31',
        '00000000-0000-0000-0000-000000000000',
        'tree-of-heaven',
        'basal-bark',
        'triclopyr-ester',
        'woods',
        'water',
        'backpack',
        '3 in',
        '12',
        '44.1',
    ];

    /** @var array<string, mixed> */
    private array $contract;

    /** @var list<array{string, string, array<string, mixed>}> method, path, operation */
    private array $operations = [];

    private int $turn = 0;

    /** @param array<string, list<string>> $ids by the name of a path's part; under '' all there are */
    public function __construct(private readonly array $ids, int $seed)
    {
        mt_srand($seed, MT_RAND_MT19937);
        $this->contract = Yaml::parseFile(dirname(__DIR__, 2) . '/openapi.yaml');
        foreach ($this->contract['paths'] as $path => $operations) {
            foreach ($operations as $method => $operation) {
                // these end or change who is signed in, hold a line open, or break the weather of all; DoorsTest and
                // the journeys have them
                if (
                    is_array($operation) &&
                    isset($operation['responses']) &&
                    !in_array(
                        "{$method} {$path}",
                        ['delete /session', 'post /session/password', 'get /stand-ins/gps', 'put /stand-ins/weather'],
                        true,
                    )
                ) {
                    $this->operations[] = [strtoupper((string) $method), (string) $path, $operation];
                }
            }
        }
        shuffle($this->operations);
    }

    /** @return array{string, string, array<mixed>|string|null, array<string, string>} for Visitor::together() */
    public function next(): array
    {
        [$method, $path, $operation] = $this->operations[$this->turn++ % count($this->operations)];
        $query = [];
        foreach ($operation['parameters'] ?? [] as $parameter) {
            $shared = explode('/', (string) ($parameter['$ref'] ?? ''));
            $parameter = $this->contract['components']['parameters'][$shared[3] ?? ''] ?? $parameter;
            if ($parameter['in'] === 'path') {
                $path = str_replace("{{$parameter['name']}}", rawurlencode($this->id($parameter['name'])), $path);
            } elseif ($parameter['in'] === 'query' && self::chance(60)) {
                $query[$parameter['name']] = self::chance(50)
                    ? $this->nasty()
                    : $this->value($parameter['schema'] ?? [], 2);
            }
        }
        self::chance(5) && ($query['stray'] = $this->nasty());
        $headers = self::chance(40)
            ? ['If-Match' => self::pick(['"1"', 'W/"1"', '"2"', '*', '1', '"x"', '', '"1", "2"', "\"\u{1F331}\""])]
            : [];
        self::chance(30) &&
            ($headers['Idempotency-Key'] = self::pick([
                'short',
                'fuzz-key-0001',
                'fuzz-key-0002',
                str_repeat('k', 81),
                "bad key \u{00E9}",
            ]));
        self::chance(5) && ($headers['Accept-Language'] = self::pick(['es', 'zz-ZZ', '*', str_repeat('a', 300)]));
        $schema = $operation['requestBody']['content']['application/json']['schema'] ?? null;
        $body =
            $method === 'GET'
                ? null
                : match (true) {
                    self::chance(4) => self::pick([
                        '',
                        '{',
                        'null',
                        '[]',
                        '7',
                        '"x"',
                        str_repeat('[', 200) . str_repeat(']', 200),
                        "{\"a\":\"\xC3\x28\"}",
                        '{"a":1e400}',
                    ]),
                    $schema === null => self::chance(80) ? '{}' : (array) $this->anything(2),
                    default => $this->value($schema, 6),
                };

        return [
            $method,
            $path . ($query === [] ? '' : '?' . http_build_query($query)),
            is_array($body) || is_string($body) || $body === null ? $body : json_encode($body),
            $headers,
        ];
    }

    private function id(string $name): string
    {
        return match (true) {
            self::chance(80) && ($this->ids[$name] ?? []) !== [] => self::pick($this->ids[$name]),
            self::chance(50) => self::pick($this->ids['']),
            default => self::pick([
                '0198c1d2-7e4a-7b3c-8f10-2a9b6d5e4c31',
                'x',
                "\u{1F331}",
                '0',
                str_repeat('a', 300),
                'tree-of-heaven',
                '-1',
                "a'b",
            ]),
        };
    }

    /** @param array<string, mixed>|bool $schema */
    private function value(array|bool $schema, int $depth): mixed
    {
        if (is_bool($schema) || self::chance(12)) {
            return $this->anything(2);
        }
        if (isset($schema['$ref'])) {
            $node = $this->contract;
            foreach (explode('/', substr((string) $schema['$ref'], 2)) as $key) {
                $node = $node[$key] ?? [];
            }

            return $depth <= 0 ? null : $this->value($node, $depth - 1);
        }
        foreach (['oneOf', 'anyOf'] as $many) {
            if (isset($schema[$many])) {
                return $this->value(self::pick($schema[$many]), $depth);
            }
        }
        if (isset($schema['enum'])) {
            return self::pick($schema['enum']);
        }
        $type = $schema['type'] ?? 'object';
        $type = is_array($type) ? self::pick($type) : $type;

        return match ($type) {
            'object' => $this->object($schema, $depth),
            'array' => $depth <= 0
                ? []
                : array_map(
                    fn(): mixed => $this->value($schema['items'] ?? [], $depth - 1),
                    array_fill(0, mt_rand(0, 3), 0),
                ),
            'integer' => self::pick([0, 1, 2, 3, 12, -1, 1_000_000, PHP_INT_MAX]),
            'number' => self::pick([0, 1, 0.5, -71.2, 44.1, 1e308]),
            'boolean' => self::chance(50),
            'null' => null,
            default => $this->text($schema),
        };
    }

    /**
     * @param array<string, mixed> $schema
     *
     * @return array<string, mixed>|\stdClass
     */
    private function object(array $schema, int $depth): array|\stdClass
    {
        $out = [];
        foreach ($schema['properties'] ?? [] as $name => $property) {
            if (self::chance(in_array($name, $schema['required'] ?? [], true) ? 96 : 45)) {
                $out[$name] = $this->value($property, $depth - 1);
            }
        }
        if (!isset($schema['properties'])) {
            $out = self::pick([
                [],
                ['type' => 'Point', 'coordinates' => [-71.38, 44.05]],
                [
                    'type' => 'Polygon',
                    'coordinates' => [[[-71.38, 44.05], [-71.379, 44.05], [-71.379, 44.051], [-71.38, 44.05]]],
                ],
                ['type' => 'Polygon', 'coordinates' => 'x'],
                ['habit' => 'tree'],
                ['habit' => ['tree', 7]],
            ]);
        }
        self::chance(4) && ($out[self::pick(['stray', '__proto__', '0', ''])] = $this->anything(1));

        return $out === [] ? new \stdClass() : $out;
    }

    /** @param array<string, mixed> $schema */
    private function text(array $schema): string
    {
        return match (true) {
            self::chance(35) => $this->nasty(),
            ($schema['format'] ?? '') === 'uuid' => self::chance(70) ? self::pick($this->ids['']) : self::uuid(),
            ($schema['format'] ?? '') === 'date' => self::pick([
                '2026-09-03',
                '2026-09-01',
                '2027-05-01',
                '2020-01-01',
            ]),
            ($schema['format'] ?? '') === 'date-time' => '2026-09-03T10:00:00-05:00',
            default => self::pick([
                'dry',
                '3 in',
                '2 gal',
                '5 L',
                '40 m',
                '1 pt',
                '3 mph',
                '66 F',
                '09:30',
                'Ada Thornbury',
                'woods',
                'smooth',
                'stream',
                'loppers',
                'glyphosate',
                'cut-stump',
                '10',
                '1.25',
                'USD',
                'oak',
            ]),
        };
    }

    private function anything(int $depth): mixed
    {
        return match (mt_rand(0, 9)) {
            0 => null,
            1 => self::chance(50),
            2 => self::pick([0, -1, 1, 2 ** 53, PHP_INT_MAX, 1.5, -0.0, 1e308]),
            3 => str_repeat(self::pick(['x', "\u{00E9}", '9', ' 1 in']), mt_rand(1, 3000)),
            4 => $depth <= 0 ? [] : [$this->anything($depth - 1), $this->anything($depth - 1)],
            5 => $depth <= 0 ? new \stdClass() : ['value' => $this->anything($depth - 1), 'unit' => $this->nasty()],
            6 => ['typed' => $this->nasty()],
            7 => [
                'value' => self::pick(['1', '-1', '1e9', '1.5', '999999999999999', $this->nasty()]),
                'unit' => self::pick(['in', 'gal_us', 'pct_vv_product', 'degF', 'ha', 'mph']),
            ],
            default => $this->nasty(),
        };
    }

    private function nasty(): string
    {
        return self::pick(self::NASTY);
    }

    private static function uuid(): string
    {
        return sprintf('0198c1d2-7e4a-7b3c-8f10-%012x', mt_rand());
    }

    private static function chance(int $percent): bool
    {
        return mt_rand(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param array<T> $from
     *
     * @return T
     */
    private static function pick(array $from): mixed
    {
        return $from[array_keys($from)[mt_rand(0, count($from) - 1)]];
    }
}
