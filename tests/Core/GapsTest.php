<?php

declare(strict_types=1);

use Thicket\Assess\Gaps;
use Thicket\Catalogue\Catalogue;
use Thicket\Catalogue\CatalogueFiles;

/** @return list<string> */
function gaps(array $changes = []): array
{
    $root = dirname(__DIR__, 2);
    $data = (new CatalogueFiles("{$root}/core/data", "{$root}/docs/schemas"))->read(false);
    $words = [];
    foreach (glob("{$root}/lang/en/*.json") ?: [] as $file) {
        $words += json_decode((string) file_get_contents($file), true);
    }

    return (new Gaps(
        new Catalogue(array_replace_recursive($data, $changes), 'test'),
        static fn(string $code): bool => isset($words[$code]),
    ))->all();
}

it('has words, tools, windows and minutes for all that the catalogue names', function () {
    expect(gaps())->toBe([]);
});

it('says of a new method what nobody has written for it', function () {
    $data = (new CatalogueFiles(dirname(__DIR__, 2) . '/core/data', ''))->read(false);
    $twist =
        [
            'id' => 'twist-pull',
            'tools' => ['twister'],
            'clearance' => 'twisting',
            'steps' => ['check-name', 'twist-and-turn'],
            'mistakes' => ['twisted-off'],
        ] + $data['methods']['lever-pull'];
    expect(gaps(['methods' => ['twist-pull' => $twist]]))->toBe([
        "Method twist-pull: lang/ has no words for 'method.twist-pull'.",
        "Method twist-pull: lang/ has no words for 'step.twist-and-turn'.",
        "Method twist-pull: lang/ has no words for 'mistake.twisted-off'.",
        "Method twist-pull: no line of core/data/tools.yaml is, or serves, 'twister'.",
        "Method twist-pull: core/data/tools.yaml has no clearance 'twisting'.",
        'Method twist-pull: core/data/coefficients.yaml has no minutes for it; write them, or say hoursUnknown.',
    ]);
    expect(gaps(['methods' => ['dig' => ['hoursUnknown' => true, 'actives' => ['luck']]]]))->toBe([
        'Method dig: there is no core/data/actives/luck.yaml.',
        'Method dig: it says hoursUnknown, and core/data/coefficients.yaml has minutes for it.',
    ]);
});
