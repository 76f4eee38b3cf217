<?php

declare(strict_types=1);

use Thicket\Input\Refused;
use Thicket\Verdict\Finding;
use Thicket\Verdict\Outcome;

/*
 * Hand-worked situations: what a row must say, by outcome and reason code. Both sides of each limit.
 * Typical product rows are 'method/active'; with a card 'method/active/card'.
 */

$dry = ['fact' => 'bark-wetness', 'value' => 'dry'];
$clear = ['fact' => 'grass-at-base', 'value' => false];
$bare = ['fact' => 'snow-at-base', 'value' => '0 in'];
$umbel = [
    'flower-form' => 'umbel',
    'flower-colour' => 'white',
    'habit' => 'broadleaf-herb',
    'leaf-type' => 'pinnate',
    'stem-marks' => 'purple-blotches',
];

it('judges a row', function (string $id, array $changes, Outcome $outcome, string $code) {
    $row = row(stand($changes), $id);
    expect([$row->outcome, in_array($code, codes($row), true) ? $code : codes($row)])->toBe([$outcome, $code]);
})->with([
    // basal bark: season
    'suckering tree in May' => [
        'basal-bark/triclopyr-ester',
        ['species' => 'tree-of-heaven', 'date' => '2026-05-10'],
        Outcome::NotNow,
        'season.opens',
    ],
    'suckering tree on 30 June' => [
        'basal-bark/triclopyr-ester',
        ['species' => 'tree-of-heaven', 'date' => '2026-06-30'],
        Outcome::NotNow,
        'season.opens',
    ],
    'suckering tree on 1 July' => [
        'basal-bark/triclopyr-ester',
        ['species' => 'tree-of-heaven', 'date' => '2026-07-01'],
        Outcome::WithCare,
        'season.best',
    ],
    'suckering tree in August' => [
        'basal-bark/triclopyr-ester',
        ['species' => 'tree-of-heaven', 'date' => '2026-08-15'],
        Outcome::WithCare,
        'season.best',
    ],
    'suckering tree in November' => [
        'basal-bark/triclopyr-ester',
        ['species' => 'tree-of-heaven', 'date' => '2026-11-05'],
        Outcome::NotNow,
        'season.opens',
    ],
    'maple in January on bare dry ground' => [
        'basal-bark/triclopyr-ester/ester',
        [
            'date' => '2026-01-15',
            'facts' => [$dry, $clear, $bare, ['fact' => 'setting', 'value' => 'woods']],
            'cards' => [esterCard()],
        ],
        Outcome::WithCare,
        'season.workable',
    ],
    'maple in January with snow at the base' => [
        'basal-bark/triclopyr-ester/ester',
        [
            'date' => '2026-01-15',
            'facts' => [
                $dry,
                $clear,
                ['fact' => 'snow-at-base', 'value' => '2 in'],
                ['fact' => 'setting', 'value' => 'woods'],
            ],
            'cards' => [esterCard()],
        ],
        Outcome::NotNow,
        'bark.snow-at-base',
    ],
    'maple in January, snow nobody looked at' => [
        'basal-bark/triclopyr-ester/ester',
        [
            'date' => '2026-01-15',
            'facts' => [$dry, $clear, ['fact' => 'setting', 'value' => 'woods']],
            'cards' => [esterCard()],
        ],
        Outcome::WithCare,
        'unknown.not-checked',
    ],
    'wet bark after rain' => [
        'basal-bark/triclopyr-ester',
        ['facts' => [['fact' => 'bark-wetness', 'value' => 'wet']]],
        Outcome::NotNow,
        'bark.wet',
    ],
    'silt after a flood' => [
        'basal-bark/triclopyr-ester',
        ['facts' => [['fact' => 'silt-on-bark', 'value' => true]]],
        Outcome::NotNow,
        'bark.silted',
    ],
    'grass round the stems' => [
        'basal-bark/triclopyr-ester',
        ['facts' => [['fact' => 'grass-at-base', 'value' => true]]],
        Outcome::WithCare,
        'bark.grass-at-base',
    ],
    'spring, cautious default' => [
        'basal-bark/triclopyr-ester',
        ['date' => '2026-04-10'],
        Outcome::WithCare,
        'season.with-care',
    ],
    'spring, school that avoids it' => [
        'basal-bark/triclopyr-ester',
        ['date' => '2026-04-10', 'schools' => ['basal-spring' => 'avoid']],
        Outcome::NotNow,
        'season.opens',
    ],
    // basal bark: size and bark
    'just under 6 in' => [
        'basal-bark/triclopyr-ester',
        ['stems' => [['diameter' => '5.99 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.too-thick-none',
    ],
    'exactly 6 in' => [
        'basal-bark/triclopyr-ester',
        ['stems' => [['diameter' => '6 in', 'count' => 1]]],
        Outcome::DoesNotSuit,
        'size.too-thick',
    ],
    'exactly 6 in, school six or less' => [
        'basal-bark/triclopyr-ester',
        ['schools' => ['basal-size' => 'six-or-less'], 'stems' => [['diameter' => '6 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.too-thick-none',
    ],
    'class up to 6 in' => [
        'basal-bark/triclopyr-ester',
        ['stems' => [['from' => '5 in', 'below' => '6 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.too-thick-none',
    ],
    'class across 6 in asks to be split' => [
        'basal-bark/triclopyr-ester',
        ['stems' => [['from' => '5 in', 'below' => '7 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.split-class',
    ],
    'some too thick' => [
        'basal-bark/triclopyr-ester',
        ['stems' => [['diameter' => '4 in', 'count' => 9], ['diameter' => '8 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.too-thick-some',
    ],
    'corky bark seen' => [
        'basal-bark/triclopyr-ester',
        ['facts' => [['fact' => 'bark-thickness', 'value' => 'corky']]],
        Outcome::DoesNotSuit,
        'bark.too-thick',
    ],
    'no tally' => ['basal-bark/triclopyr-ester', ['stems' => []], Outcome::CannotTell, 'unknown.need'],
    'on a herb' => ['basal-bark', ['species' => 'canada-thistle', 'stems' => []], Outcome::DoesNotSuit, 'form.not-for'],
    // injection
    'maple in sap flow' => ['hack-and-squirt/imazapyr', ['date' => '2026-03-15'], Outcome::NotNow, 'sap.pushes-out'],
    'maple in early winter, default' => [
        'hack-and-squirt/imazapyr',
        ['date' => '2026-12-01'],
        Outcome::WithCare,
        'season.workable',
    ],
    'maple in early winter, school not leafless' => [
        'hack-and-squirt/imazapyr',
        ['date' => '2026-12-01', 'schools' => ['injection-winter' => 'not-leafless']],
        Outcome::NotNow,
        'season.opens',
    ],
    'maple in March in every school' => [
        'hack-and-squirt/imazapyr',
        ['date' => '2026-03-15', 'schools' => ['injection-winter' => 'all-winter']],
        Outcome::NotNow,
        'sap.pushes-out',
    ],
    'honeysuckle in March, all-winter school' => [
        'cut-stump/glyphosate',
        ['species' => 'bush-honeysuckle', 'date' => '2026-03-01', 'schools' => ['injection-winter' => 'all-winter']],
        Outcome::WithCare,
        'season.with-care',
    ],
    'too thin to cut' => [
        'hack-and-squirt/imazapyr',
        ['stems' => [['diameter' => '0.9 in', 'count' => 1]]],
        Outcome::DoesNotSuit,
        'size.too-thin',
    ],
    'exactly 1 in' => [
        'hack-and-squirt/imazapyr',
        ['stems' => [['diameter' => '1 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.too-thin-none',
    ],
    'exactly 10 in still fits' => [
        'hack-and-squirt/imazapyr',
        ['stems' => [['diameter' => '10 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.too-thick-none',
    ],
    'above 10 in' => [
        'hack-and-squirt/imazapyr',
        ['stems' => [['diameter' => '10.1 in', 'count' => 1]]],
        Outcome::DoesNotSuit,
        'size.too-thick',
    ],
    'five stems a clump' => [
        'hack-and-squirt/imazapyr',
        ['stems' => [['diameter' => '4 in', 'count' => 5, 'stemsPerClump' => 5]]],
        Outcome::DoesNotSuit,
        'clump.too-many-to-cut',
    ],
    'four stems a clump' => [
        'hack-and-squirt/imazapyr',
        ['stems' => [['diameter' => '4 in', 'count' => 4, 'stemsPerClump' => 4]]],
        Outcome::WithCare,
        'clump.cut-each',
    ],
    // cut stump
    'suckering tree is not cut first' => [
        'cut-stump/triclopyr-ester',
        ['species' => 'tree-of-heaven'],
        Outcome::DoesNotSuit,
        'suckering.never-knock-down',
    ],
    'conifer stump needs none' => [
        'cut-stump',
        ['species' => 'eastern-redcedar'],
        Outcome::DoesNotSuit,
        'form.softwood-stump',
    ],
    // pulling
    'thumb thick exactly' => [
        'hand-pull',
        ['stems' => [['diameter' => '0.75 in', 'count' => 1]]],
        Outcome::WithCare,
        'size.too-thick-none',
    ],
    'thicker than a thumb' => [
        'hand-pull',
        ['stems' => [['diameter' => '0.8 in', 'count' => 1]]],
        Outcome::DoesNotSuit,
        'size.too-thick',
    ],
    'moist soil lets go' => [
        'hand-pull',
        [
            'stems' => [['diameter' => '0.5 in', 'count' => 1]],
            'facts' => [['fact' => 'soil-moisture', 'value' => 'moist']],
        ],
        Outcome::Fits,
        'soil.moist',
    ],
    'dry soil holds' => [
        'hand-pull',
        [
            'stems' => [['diameter' => '0.5 in', 'count' => 1]],
            'facts' => [['fact' => 'soil-moisture', 'value' => 'dry']],
        ],
        Outcome::WithCare,
        'soil.dry-holds',
    ],
    'rhizome pieces' => [
        'hand-pull',
        ['species' => 'quackgrass', 'stems' => []],
        Outcome::DoesNotSuit,
        'roots.pieces-regrow',
    ],
    'taproot whole' => [
        'hand-pull',
        ['species' => 'curly-dock', 'stems' => []],
        Outcome::WithCare,
        'roots.taproot-whole',
    ],
    'fibrous root seen overrides' => [
        'hand-pull',
        [
            'species' => 'curly-dock',
            'date' => '2026-05-01',
            'stems' => [],
            'facts' => [['fact' => 'root-form', 'value' => 'fibrous'], ['fact' => 'soil-moisture', 'value' => 'moist']],
        ],
        Outcome::Fits,
        'roots.come-whole',
    ],
    'lever at 2 in' => [
        'lever-pull',
        [
            'stems' => [['diameter' => '2 in', 'count' => 1]],
            'facts' => [['fact' => 'soil-moisture', 'value' => 'moist']],
        ],
        Outcome::Fits,
        'size.too-thick-none',
    ],
    'lever above 2 in' => [
        'lever-pull',
        ['stems' => [['diameter' => '2.1 in', 'count' => 1]]],
        Outcome::DoesNotSuit,
        'size.too-thick',
    ],
    'jaw opens less' => [
        'lever-pull',
        ['stems' => [['diameter' => '1.8 in', 'count' => 1]], 'leverJaw' => '1.5 in', 'tools' => ['lever-puller']],
        Outcome::DoesNotSuit,
        'size.beyond-reach',
    ],
    'deep root, thumb school' => [
        'lever-pull',
        [
            'species' => 'mesquite',
            'schools' => ['deep-roots' => 'thumb-size'],
            'stems' => [['diameter' => '1 in', 'count' => 1]],
        ],
        Outcome::DoesNotSuit,
        'size.beyond-reach',
    ],
    'deep root, jaw school' => [
        'lever-pull',
        [
            'species' => 'mesquite',
            'schools' => ['deep-roots' => 'to-jaw'],
            'stems' => [['diameter' => '1 in', 'count' => 1]],
        ],
        Outcome::WithCare,
        'size.deep-roots-try',
    ],
    'cactus is dug' => ['dig', ['species' => 'prickly-pear', 'stems' => []], Outcome::WithCare, 'hazard.gloves'],
    'no lever puller' => [
        'lever-pull',
        ['stems' => [['diameter' => '1 in', 'count' => 1]], 'tools' => ['hatchet']],
        Outcome::DoesNotSuit,
        'tool.missing',
    ],
    // mowing
    'cactus is never mown' => [
        'mow',
        ['species' => 'prickly-pear', 'stems' => []],
        Outcome::DoesNotSuit,
        'form.mow-spreads-pads',
    ],
    'poisonous stalks are never trimmed' => [
        'mow',
        ['species' => 'poison-hemlock', 'stems' => []],
        Outcome::NotAllowed,
        'hazard.never-trim',
    ],
    'knotweed is never mown' => [
        'mow',
        ['species' => 'japanese-knotweed', 'stems' => []],
        Outcome::DoesNotSuit,
        'water.knotweed-never-mown',
    ],
    'new grass: weeds below 12 in' => [
        'mow',
        [
            'species' => 'common-lambsquarters',
            'date' => '2026-06-20',
            'stems' => [],
            'facts' => [['fact' => 'setting', 'value' => 'new-native-grass'], ['fact' => 'height', 'value' => '11 in']],
        ],
        Outcome::NotNow,
        'grass.weeds-still-low',
    ],
    'new grass: weeds at 12 in' => [
        'mow',
        [
            'species' => 'common-lambsquarters',
            'date' => '2026-06-20',
            'stems' => [],
            'facts' => [['fact' => 'setting', 'value' => 'new-native-grass'], ['fact' => 'height', 'value' => '12 in']],
        ],
        Outcome::Fits,
        'grass.mow-now',
    ],
    'new grass: 1 August still open' => [
        'mow',
        [
            'species' => 'common-lambsquarters',
            'date' => '2026-08-01',
            'stems' => [],
            'facts' => [['fact' => 'setting', 'value' => 'new-native-grass'], ['fact' => 'height', 'value' => '14 in']],
        ],
        Outcome::Fits,
        'grass.mow-now',
    ],
    'new grass: 2 August closed' => [
        'mow',
        [
            'species' => 'common-lambsquarters',
            'date' => '2026-08-02',
            'stems' => [],
            'facts' => [['fact' => 'setting', 'value' => 'new-native-grass'], ['fact' => 'height', 'value' => '14 in']],
        ],
        Outcome::NotNow,
        'grass.mowing-closed',
    ],
    // foliar
    'under 5 ft' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'facts' => [['fact' => 'height', 'value' => '4.9 ft']],
        ],
        Outcome::WithCare,
        'height.fits',
    ],
    '5 ft with care' => [
        'foliar-spot/glyphosate',
        ['species' => 'bush-honeysuckle', 'date' => '2026-09-20', 'facts' => [['fact' => 'height', 'value' => '5 ft']]],
        Outcome::WithCare,
        'height.near-limit',
    ],
    '6 ft still with care' => [
        'foliar-spot/glyphosate',
        ['species' => 'bush-honeysuckle', 'date' => '2026-09-20', 'facts' => [['fact' => 'height', 'value' => '6 ft']]],
        Outcome::WithCare,
        'height.near-limit',
    ],
    'over 6 ft' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'facts' => [['fact' => 'height', 'value' => '6.1 ft']],
        ],
        Outcome::DoesNotSuit,
        'height.too-tall',
    ],
    'drought' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'canada-thistle',
            'date' => '2026-06-05',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '2 ft'], ['fact' => 'drought', 'value' => true]],
        ],
        Outcome::NotNow,
        'leaf.drought',
    ],
    'mown seven weeks ago' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'canada-thistle',
            'date' => '2026-09-10',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '2 ft'], ['fact' => 'last-mown', 'value' => '2026-07-17']],
        ],
        Outcome::NotNow,
        'leaf.just-mown',
    ],
    'mown eight weeks ago' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'canada-thistle',
            'date' => '2026-09-11',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '2 ft'], ['fact' => 'last-mown', 'value' => '2026-07-17']],
        ],
        Outcome::WithCare,
        'season.best',
    ],
    'thistle before bud' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'canada-thistle',
            'date' => '2026-05-20',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '1 ft']],
        ],
        Outcome::NotNow,
        'season.opens',
    ],
    'hemlock rosette in winter' => [
        'rosette-spray/glyphosate',
        [
            'species' => 'poison-hemlock',
            'date' => '2026-02-10',
            'stems' => [],
            'facts' => [['fact' => 'stage', 'value' => 'rosette'], ['fact' => 'height', 'value' => '20 cm']],
        ],
        Outcome::WithCare,
        'season.best',
    ],
    'hemlock bolting is cut' => [
        'rosette-spray/glyphosate',
        [
            'species' => 'poison-hemlock',
            'date' => '2026-05-10',
            'stems' => [],
            'facts' => [['fact' => 'stage', 'value' => 'bolting'], ['fact' => 'height', 'value' => '3 ft']],
        ],
        Outcome::NotNow,
        'stage.bolting-cut-instead',
    ],
    'seeding annual is pulled' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'common-lambsquarters',
            'date' => '2026-09-10',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '3 ft'], ['fact' => 'stage', 'value' => 'seed-set']],
        ],
        Outcome::DoesNotSuit,
        'stage.seed-set-pull',
    ],
    'ivy wants its wax broken' => [
        'foliar-spot/triclopyr-ester',
        ['species' => 'english-ivy', 'date' => '2026-02-01', 'facts' => [['fact' => 'height', 'value' => '20 cm']]],
        Outcome::WithCare,
        'leaf.waxy',
    ],
    'grass-only on a sedge' => [
        'foliar-spot/clethodim/grass',
        [
            'species' => 'yellow-nutsedge',
            'date' => '2026-06-01',
            'stems' => [],
            'facts' => [['fact' => 'setting', 'value' => 'woods']],
            'cards' => [
                esterCard([
                    'id' => 'grass',
                    'actives' => [['active' => 'clethodim', 'amount' => '120 g ai/L']],
                    'carriers' => ['water'],
                    'methods' => [['method' => 'foliar-spot', 'max' => '0.5%']],
                ]),
            ],
        ],
        Outcome::DoesNotSuit,
        'response.misses',
    ],
    'brush in soil of 74 F' => [
        'foliar-spot/triclopyr-ester',
        [
            'species' => 'mesquite',
            'date' => '2026-05-21',
            'place' => ['latitude' => '31', 'elevationMetres' => '400'],
            'facts' => [
                ['fact' => 'height', 'value' => '4 ft'],
                ['fact' => 'soil-temperature-30cm', 'value' => '74 F'],
            ],
        ],
        Outcome::NotNow,
        'soil.too-cold',
    ],
    'brush in soil of 75 F' => [
        'foliar-spot/triclopyr-ester',
        [
            'species' => 'mesquite',
            'date' => '2026-05-21',
            'place' => ['latitude' => '31', 'elevationMetres' => '400'],
            'facts' => [
                ['fact' => 'height', 'value' => '4 ft'],
                ['fact' => 'soil-temperature-30cm', 'value' => '75 F'],
            ],
        ],
        Outcome::WithCare,
        'soil.warm',
    ],
    'brush on 1 October' => [
        'foliar-spot/triclopyr-ester',
        [
            'species' => 'mesquite',
            'place' => ['latitude' => '31', 'elevationMetres' => '400'],
            'date' => '2026-10-01',
            'facts' => [
                ['fact' => 'height', 'value' => '4 ft'],
                ['fact' => 'soil-temperature-30cm', 'value' => '75 F'],
            ],
        ],
        Outcome::NotNow,
        'season.opens',
    ],
    'quackgrass at 14 cm' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'quackgrass',
            'date' => '2026-09-20',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '14 cm']],
        ],
        Outcome::NotNow,
        'grass.too-short',
    ],
    'quackgrass at 15 cm' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'quackgrass',
            'date' => '2026-09-20',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '15 cm']],
        ],
        Outcome::WithCare,
        'grass.right-height',
    ],
    'bees on the flowers' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'canada-thistle',
            'date' => '2026-06-25',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '2 ft'], ['fact' => 'bees-flying', 'value' => true]],
        ],
        Outcome::NotNow,
        'bees.in-flower',
    ],
    // weather as measured on the spot
    'wind at the limit' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'wind-speed', 'value' => '4.5 m/s']],
        ],
        Outcome::WithCare,
        'weather.wind-fits',
    ],
    'wind above it' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'wind-speed', 'value' => '4.6 m/s']],
        ],
        Outcome::NotNow,
        'weather.wind',
    ],
    'near still air' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'wind-speed', 'value' => '0.9 m/s']],
        ],
        Outcome::WithCare,
        'weather.calm',
    ],
    'ester at 85 F' => [
        'basal-bark/triclopyr-ester',
        ['facts' => [['fact' => 'air-temperature', 'value' => '85 F']]],
        Outcome::WithCare,
        'weather.heat-fits',
    ],
    'ester at 86 F' => [
        'basal-bark/triclopyr-ester',
        ['facts' => [['fact' => 'air-temperature', 'value' => '86 F']]],
        Outcome::NotNow,
        'weather.heat',
    ],
    'card stricter than typical' => [
        'basal-bark/triclopyr-ester/ester',
        [
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'air-temperature', 'value' => '81 F']],
            'cards' => [esterCard(['hottest' => '80 F'])],
        ],
        Outcome::NotNow,
        'weather.heat',
    ],
    'card looser than typical does not loosen it' => [
        'basal-bark/triclopyr-ester/ester',
        [
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'air-temperature', 'value' => '86 F']],
            'cards' => [esterCard(['hottest' => '95 F'])],
        ],
        Outcome::NotNow,
        'weather.heat',
    ],
    'leaf spray at 9 C' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'air-temperature', 'value' => '9 C']],
        ],
        Outcome::NotNow,
        'weather.cold',
    ],
    'rosette on a mild day of 5 C' => [
        'rosette-spray/glyphosate',
        [
            'species' => 'poison-hemlock',
            'date' => '2026-02-10',
            'stems' => [],
            'facts' => [
                ['fact' => 'stage', 'value' => 'rosette'],
                ['fact' => 'height', 'value' => '20 cm'],
                ['fact' => 'air-temperature', 'value' => '5 C'],
            ],
        ],
        Outcome::WithCare,
        'weather.cold-fits',
    ],
    'rosette at 4 C' => [
        'rosette-spray/glyphosate',
        [
            'species' => 'poison-hemlock',
            'date' => '2026-02-10',
            'stems' => [],
            'facts' => [
                ['fact' => 'stage', 'value' => 'rosette'],
                ['fact' => 'height', 'value' => '20 cm'],
                ['fact' => 'air-temperature', 'value' => '4 C'],
            ],
        ],
        Outcome::NotNow,
        'weather.cold',
    ],
    // droplets
    'fine drops in a light wind' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'schools' => ['foliar-droplet' => 'fine'],
            'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'wind-speed', 'value' => '3 m/s']],
        ],
        Outcome::WithCare,
        'droplet.fine',
    ],
    'fine drops above it' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'schools' => ['foliar-droplet' => 'fine'],
            'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'wind-speed', 'value' => '3.1 m/s']],
        ],
        Outcome::NotNow,
        'droplet.fine-wind',
    ],
    'fine drops in calm' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'schools' => ['foliar-droplet' => 'fine'],
            'facts' => [['fact' => 'height', 'value' => '4 ft'], ['fact' => 'wind-speed', 'value' => '0.9 m/s']],
        ],
        Outcome::NotNow,
        'droplet.fine-wind',
    ],
    'fine ester near beans' => [
        'foliar-spot/triclopyr-ester',
        [
            'species' => 'bush-honeysuckle',
            'date' => '2026-09-20',
            'schools' => ['foliar-droplet' => 'fine'],
            'facts' => [['fact' => 'height', 'value' => '4 ft']],
            'keepers' => [['kind' => 'crop', 'name' => 'beans', 'distance' => '90 m']],
        ],
        Outcome::DoesNotSuit,
        'droplet.fine-near-crop',
    ],
    // what lies downwind
    'bees within 800 m' => [
        'foliar-spot/glyphosate',
        leafSpray(['kind' => 'hive', 'name' => 'hives', 'distance' => '800 m']),
        Outcome::WithCare,
        'drift.hive-near',
    ],
    'a hormone product with beans downwind, 45 degrees off' => [
        'foliar-spot/triclopyr-ester',
        leafSpray(['kind' => 'crop', 'name' => 'beans', 'distance' => '400 m', 'bearing' => '135']),
        Outcome::NotNow,
        'drift.crop-downwind',
    ],
    'a path downwind at 30 m' => [
        'foliar-spot/glyphosate',
        leafSpray(['kind' => 'path', 'name' => 'lane', 'distance' => '30 m', 'bearing' => '90']),
        Outcome::WithCare,
        'drift.keeper-downwind',
    ],
    // where the stems were measured
    'injection by diameters at the base' => [
        'hack-and-squirt/glyphosate',
        ['facts' => [['fact' => 'diameter-at', 'value' => 'base']]],
        Outcome::WithCare,
        'size.measured-at-base',
    ],
    'basal by diameters at breast height' => [
        'basal-bark/triclopyr-ester',
        [
            'facts' => [
                ['fact' => 'diameter-at', 'value' => 'breast-height'],
                ['fact' => 'bark-wetness', 'value' => 'dry'],
            ],
        ],
        Outcome::WithCare,
        'size.measured-at-breast-height',
    ],
    // keepers
    'same maple within twice the crown' => [
        'hack-and-squirt/glyphosate',
        [
            'keepers' => [
                [
                    'kind' => 'tree',
                    'name' => 'seed maple',
                    'species' => 'red-maple',
                    'distance' => '9 m',
                    'crownRadius' => '5 m',
                ],
            ],
        ],
        Outcome::WithCare,
        'roots.may-be-grafted',
    ],
    'same maple, soil-active' => [
        'hack-and-squirt/imazapyr',
        [
            'keepers' => [
                [
                    'kind' => 'tree',
                    'name' => 'seed maple',
                    'species' => 'red-maple',
                    'distance' => '9 m',
                    'crownRadius' => '5 m',
                    'height' => '12 m',
                ],
            ],
        ],
        Outcome::NotAllowed,
        'roots.grafted-soil-active',
    ],
    'oak inside soil-active reach' => [
        'hack-and-squirt/imazapyr',
        [
            'keepers' => [
                ['kind' => 'tree', 'name' => 'oak', 'distance' => '11.9 m', 'crownRadius' => '5 m', 'height' => '12 m'],
            ],
        ],
        Outcome::DoesNotSuit,
        'roots.soil-active-reach',
    ],
    'oak just out of reach' => [
        'hack-and-squirt/imazapyr',
        [
            'keepers' => [
                ['kind' => 'tree', 'name' => 'oak', 'distance' => '12 m', 'crownRadius' => '5 m', 'height' => '12 m'],
            ],
        ],
        Outcome::WithCare,
        'roots.out-of-reach',
    ],
    'oak downhill: half as much again' => [
        'hack-and-squirt/imazapyr',
        [
            'keepers' => [
                [
                    'kind' => 'tree',
                    'name' => 'oak',
                    'distance' => '17.9 m',
                    'crownRadius' => '5 m',
                    'height' => '12 m',
                    'downhill' => true,
                ],
            ],
        ],
        Outcome::DoesNotSuit,
        'roots.soil-active-reach',
    ],
    'oak nobody measured' => [
        'hack-and-squirt/imazapyr',
        ['keepers' => [['kind' => 'tree', 'name' => 'oak', 'distance' => '12 m']]],
        Outcome::CannotTell,
        'unknown.need',
    ],
    'grass kept under a non-selective' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'canada-thistle',
            'date' => '2026-06-05',
            'stems' => [],
            'facts' => [['fact' => 'height', 'value' => '2 ft']],
            'keepers' => [['kind' => 'grass', 'name' => 'hay']],
        ],
        Outcome::WithCare,
        'keep.may-be-hit',
    ],
    // water and card
    'inside the card buffer with oil' => [
        'basal-bark/triclopyr-ester/ester',
        [
            'facts' => [['fact' => 'setting', 'value' => 'woods']],
            'cards' => [esterCard()],
            'keepers' => [['kind' => 'stream', 'name' => 'creek', 'distance' => '9.9 m']],
        ],
        Outcome::NotAllowed,
        'water.oil-near',
    ],
    'on the edge of the buffer' => [
        'basal-bark/triclopyr-ester/ester',
        [
            'facts' => [['fact' => 'setting', 'value' => 'woods'], $dry, $clear],
            'cards' => [esterCard()],
            'keepers' => [['kind' => 'stream', 'name' => 'creek', 'distance' => '10 m']],
        ],
        Outcome::WithCare,
        'water.outside-buffer',
    ],
    'water edge, distance unknown' => [
        'foliar-spot/glyphosate',
        [
            'species' => 'common-reed',
            'stems' => [],
            'facts' => [['fact' => 'setting', 'value' => 'water-edge'], ['fact' => 'height', 'value' => '4 ft']],
        ],
        Outcome::CannotTell,
        'unknown.need',
    ],
    'site not on the card' => [
        'basal-bark/triclopyr-ester/ester',
        ['facts' => [['fact' => 'setting', 'value' => 'pasture']], 'cards' => [esterCard()]],
        Outcome::NotAllowed,
        'card.site-not-listed',
    ],
    'method not on the card' => [
        'foliar-spot/triclopyr-ester/ester',
        [
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'height', 'value' => '2 ft']],
            'cards' => [esterCard()],
        ],
        Outcome::NotAllowed,
        'card.method-not-listed',
    ],
    'card not confirmed' => [
        'basal-bark/triclopyr-ester/ester',
        ['facts' => [['fact' => 'setting', 'value' => 'woods']], 'cards' => [esterCard(['confirmed' => false])]],
        Outcome::CannotTell,
        'unknown.need',
    ],
    'licensed product, nobody licensed' => [
        'basal-bark/triclopyr-ester/ester',
        ['facts' => [['fact' => 'setting', 'value' => 'woods']], 'cards' => [esterCard(['licensedOnly' => true])]],
        Outcome::NotAllowed,
        'card.nobody-licensed',
    ],
    'ready-to-use in a cut' => [
        'cut-stump/triclopyr-ester/ester',
        [
            'facts' => [['fact' => 'setting', 'value' => 'woods']],
            'cards' => [
                esterCard([
                    'formulation' => 'ready-to-use',
                    'actives' => [['active' => 'triclopyr-ester', 'amount' => '18 g ae/L']],
                ]),
            ],
        ],
        Outcome::DoesNotSuit,
        'card.too-weak',
    ],
    // people
    'owner wants no herbicide' => [
        'basal-bark/triclopyr-ester',
        ['stance' => 'none'],
        Outcome::NotAllowed,
        'stance.none',
    ],
    // actives that many places leave to licensed people; responses that the handbook names
    'picloram and nobody licensed' => [
        'foliar-spot/picloram',
        ['species' => 'leafy-spurge'],
        Outcome::NotAllowed,
        'card.licensed-active-nobody',
    ],
    'picloram and somebody licensed' => [
        'foliar-spot/picloram',
        [
            'species' => 'leafy-spurge',
            'date' => '2026-05-25',
            'someoneLicensed' => true,
            'facts' => [
                ['fact' => 'hives-near', 'value' => false],
                ['fact' => 'height', 'value' => '2 ft'],
                ['fact' => 'setting', 'value' => 'pasture'],
            ],
        ],
        Outcome::WithCare,
        'card.licensed-active',
    ],
    'a grass-only spray on annual bluegrass is disputed' => [
        'foliar-spot/sethoxydim',
        ['species' => 'annual-bluegrass'],
        Outcome::NotNow,
        'response.disputed',
    ],
    // what a method is made for: settings, ways of life, stages, plants that stay down
    'a spruce cut once stays down' => [
        'cut-only',
        ['species' => 'red-spruce', 'stems' => [['diameter' => '4 in', 'count' => 3]]],
        Outcome::Fits,
        'fit.stays-down',
    ],
    'a resprouter only cut comes back thicker' => [
        'cut-only',
        ['species' => 'common-buckthorn', 'stems' => [['diameter' => '4 in', 'count' => 3]]],
        Outcome::DoesNotSuit,
        'fit.resprouts',
    ],
    'a suckering tree is never girdled first' => [
        'girdle',
        ['species' => 'tree-of-heaven'],
        Outcome::DoesNotSuit,
        'suckering.never-knock-down',
    ],
    'a shrub is girdled by the stem' => [
        'girdle',
        ['species' => 'autumn-olive', 'stems' => [['diameter' => '4 in', 'count' => 3]]],
        Outcome::WithCare,
        'size.too-thin-none',
    ],
    'a stem of 1.5 in is girdled' => [
        'double-girdle',
        ['species' => 'callery-pear', 'stems' => [['diameter' => '1.5 in', 'count' => 3]]],
        Outcome::WithCare,
        'size.too-thin-none',
    ],
    'a thinner one is pulled instead' => [
        'double-girdle',
        ['species' => 'callery-pear', 'stems' => [['diameter' => '1.4 in', 'count' => 3]]],
        Outcome::DoesNotSuit,
        'size.too-thin',
    ],
    'broadleaf seedlings under flame' => [
        'flame',
        [
            'species' => 'velvetleaf',
            'facts' => [
                ['fact' => 'setting', 'value' => 'seedbed'],
                ['fact' => 'stage', 'value' => 'cotyledon'],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::Fits,
        'flame.seed-leaves',
    ],
    'with six leaves it is too late' => [
        'flame',
        [
            'species' => 'velvetleaf',
            'facts' => [
                ['fact' => 'setting', 'value' => 'seedbed'],
                ['fact' => 'stage', 'value' => 'vegetative'],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::DoesNotSuit,
        'flame.too-late',
    ],
    'grass survives flame' => [
        'flame',
        [
            'species' => 'large-crabgrass',
            'facts' => [
                ['fact' => 'setting', 'value' => 'seedbed'],
                ['fact' => 'stage', 'value' => 'seedling'],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::DoesNotSuit,
        'flame.grass',
    ],
    'no flame in woods' => [
        'flame',
        [
            'species' => 'velvetleaf',
            'facts' => [['fact' => 'setting', 'value' => 'woods'], ['fact' => 'stage', 'value' => 'seedling']],
        ],
        Outcome::DoesNotSuit,
        'fit.setting',
    ],
    'flame at 4 m/s' => [
        'flame',
        [
            'species' => 'velvetleaf',
            'facts' => [
                ['fact' => 'setting', 'value' => 'seedbed'],
                ['fact' => 'stage', 'value' => 'seedling'],
                ['fact' => 'wind-speed', 'value' => '4 m/s'],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::WithCare,
        'flame.seedling',
    ],
    'flame above it' => [
        'flame',
        [
            'species' => 'velvetleaf',
            'facts' => [
                ['fact' => 'setting', 'value' => 'seedbed'],
                ['fact' => 'stage', 'value' => 'seedling'],
                ['fact' => 'wind-speed', 'value' => '4.1 m/s'],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::NotNow,
        'flame.wind',
    ],
    'flame in a drought' => [
        'flame',
        [
            'species' => 'velvetleaf',
            'facts' => [
                ['fact' => 'setting', 'value' => 'seedbed'],
                ['fact' => 'stage', 'value' => 'seedling'],
                ['fact' => 'drought', 'value' => true],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::NotNow,
        'flame.drought',
    ],
    'a perennial loses its top only' => [
        'flame',
        [
            'species' => 'curly-dock',
            'facts' => [
                ['fact' => 'setting', 'value' => 'orchard'],
                ['fact' => 'stage', 'value' => 'shoot-emergence'],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::WithCare,
        'flame.perennial',
    ],
    'burning sap is never flamed' => [
        'flame',
        [
            'species' => 'wild-parsnip',
            'facts' => [
                ['fact' => 'setting', 'value' => 'roadside-trail'],
                ['fact' => 'stage', 'value' => 'seedling'],
                ['fact' => 'litter', 'value' => 'none'],
                ['fact' => 'sprayed-lately', 'value' => false],
            ],
        ],
        Outcome::NotAllowed,
        'hazard.never-trim',
    ],
    'hemlock stalks in flower are cut by hand' => [
        'cut-stalks',
        ['species' => 'poison-hemlock', 'date' => '2026-06-10'],
        Outcome::WithCare,
        'fit.stage',
    ],
    'by the calendar a rosette has no stalk yet' => [
        'cut-stalks',
        ['species' => 'poison-hemlock', 'date' => '2026-02-10'],
        Outcome::WithCare,
        'fit.stage-look',
    ],
    'a rosette seen has no stalk' => [
        'cut-stalks',
        ['species' => 'poison-hemlock', 'date' => '2026-02-10', 'facts' => [['fact' => 'stage', 'value' => 'rosette']]],
        Outcome::NotNow,
        'fit.stage-not',
    ],
    'a running grass has no stalks to bag' => [
        'cut-stalks',
        ['species' => 'quackgrass'],
        Outcome::DoesNotSuit,
        'fit.made-for',
    ],
    'bindweed under a sheet' => [
        'smother',
        ['species' => 'field-bindweed', 'facts' => [['fact' => 'setting', 'value' => 'bed-lawn-paving']]],
        Outcome::Fits,
        'fit.setting-yes',
    ],
    'a sheet where nobody said the setting' => [
        'smother',
        ['species' => 'field-bindweed'],
        Outcome::CannotTell,
        'unknown.need',
    ],
    'no sheet over woods' => [
        'smother',
        ['species' => 'field-bindweed', 'facts' => [['fact' => 'setting', 'value' => 'woods']]],
        Outcome::DoesNotSuit,
        'fit.setting',
    ],
    'stock do not graze ragwort' => [
        'flash-graze',
        ['species' => 'tansy-ragwort', 'facts' => [['fact' => 'setting', 'value' => 'pasture']]],
        Outcome::DoesNotSuit,
        'graze.toxic',
    ],
    'new native grass grazed on 15 August' => [
        'flash-graze',
        [
            'species' => 'giant-foxtail',
            'date' => '2026-08-15',
            'facts' => [['fact' => 'setting', 'value' => 'new-native-grass']],
        ],
        Outcome::WithCare,
        'graze.a-day-a-week',
    ],
    'and no more on the 16th' => [
        'flash-graze',
        [
            'species' => 'giant-foxtail',
            'date' => '2026-08-16',
            'facts' => [['fact' => 'setting', 'value' => 'new-native-grass']],
        ],
        Outcome::NotNow,
        'graze.first-winter',
    ],
    'a stale bed lives by its flush of annuals' => [
        'stale-seedbed',
        [
            'species' => 'common-lambsquarters',
            'facts' => [['fact' => 'setting', 'value' => 'seedbed'], ['fact' => 'stage', 'value' => 'cotyledon']],
        ],
        Outcome::Fits,
        'fit.stage',
    ],
    'not against creeping roots' => [
        'stale-seedbed',
        ['species' => 'canada-thistle', 'facts' => [['fact' => 'setting', 'value' => 'seedbed']]],
        Outcome::DoesNotSuit,
        'fit.made-for',
    ],
    'bulblets are topped in bud' => [
        'repeat-cut',
        [
            'species' => 'buttercup-oxalis',
            'facts' => [['fact' => 'setting', 'value' => 'bed-lawn-paving'], ['fact' => 'stage', 'value' => 'bud']],
        ],
        Outcome::WithCare,
        'fit.stage',
    ],
    'stock take seedlings of brush only' => [
        'flash-graze',
        ['species' => 'common-blackberry', 'facts' => [['fact' => 'setting', 'value' => 'pasture']]],
        Outcome::WithCare,
        'graze.seedlings-only',
    ],
    'flag iris is not mown by water' => [
        'mow',
        ['species' => 'yellow-flag-iris', 'facts' => [['fact' => 'setting', 'value' => 'water-edge']]],
        Outcome::DoesNotSuit,
        'fragments.by-water',
    ],
    'bindweed away from it with care' => [
        'mow',
        ['species' => 'field-bindweed', 'facts' => [['fact' => 'setting', 'value' => 'roadside-trail']]],
        Outcome::WithCare,
        'fragments.scattered',
    ],
    'cut by hand, no piece afloat' => [
        'repeat-cut',
        [
            'species' => 'japanese-knotweed',
            'facts' => [['fact' => 'setting', 'value' => 'water-edge'], ['fact' => 'stage', 'value' => 'vegetative']],
        ],
        Outcome::WithCare,
        'fragments.none-afloat',
    ],
    'an unnamed stalk by hand' => [
        'cut-stalks',
        ['species' => null, 'seen' => $umbel],
        Outcome::WithCare,
        'unnamed.full-wearing',
    ],
    'an unnamed plant and fire' => [
        'flame',
        ['species' => null, 'seen' => $umbel],
        Outcome::DoesNotSuit,
        'unnamed.no-trimmer',
    ],
    'unnamed plant and product' => ['cut-stump', ['species' => null], Outcome::CannotTell, 'unknown.need'],
    'unnamed plant and trimmer' => ['mow', ['species' => null], Outcome::DoesNotSuit, 'unnamed.no-trimmer'],
    'unnamed plant of which nothing was noted' => [
        'hand-pull',
        ['species' => null],
        Outcome::CannotTell,
        'unnamed.nothing-seen',
    ],
    'unnamed plant that could be a kept one' => [
        'hand-pull',
        ['species' => null, 'seen' => ['habit' => 'woody-vine', 'leaf-type' => 'palmate']],
        Outcome::CannotTell,
        'unnamed.hold',
    ],
    'volunteers keep off an unnamed plant that could be a hemlock' => [
        'hand-pull',
        ['species' => null, 'seen' => $umbel, 'facts' => [['fact' => 'volunteers', 'value' => true]]],
        Outcome::NotAllowed,
        'volunteer.unnamed',
    ],
    'and off one of which nothing was noted' => [
        'hand-pull',
        ['species' => null, 'facts' => [['fact' => 'volunteers', 'value' => true]]],
        Outcome::NotAllowed,
        'volunteer.unnamed',
    ],
    'unnamed plant that nobody keeps, by hand' => [
        'hand-pull',
        ['species' => null, 'seen' => $umbel],
        Outcome::WithCare,
        'unnamed.full-wearing',
    ],
    'the same and the saw' => ['cut-stump', ['species' => null, 'seen' => $umbel], Outcome::CannotTell, 'unknown.need'],
    'unnamed plant that nobody keeps but the law protects' => [
        'hand-pull',
        ['species' => null, 'seen' => $umbel, 'listed' => ['giant-hogweed' => 'protected']],
        Outcome::CannotTell,
        'unnamed.hold',
    ],
    'protected by the law of the place' => [
        'hand-pull',
        ['species' => 'common-privet', 'listed' => ['common-privet' => 'protected']],
        Outcome::NotAllowed,
        'listed.protected',
    ],
    'regulated by the law of the place, though the size decides' => [
        'hand-pull',
        ['species' => 'common-privet', 'listed' => ['common-privet' => 'regulated']],
        Outcome::DoesNotSuit,
        'listed.regulated',
    ],
    'beyond the trusted season shift' => [
        'basal-bark/triclopyr-ester',
        ['place' => ['latitude' => '52', 'elevationMetres' => '200']],
        Outcome::CannotTell,
        'unknown.need',
    ],
]);

it('leaves out what lies just too far, or upwind', function (array $keeper, array $wind) {
    $document = leafSpray($keeper);
    $document['facts'] = [$document['facts'][0], ...$wind];
    foreach (['foliar-spot/glyphosate', 'foliar-spot/triclopyr-ester'] as $id) {
        expect(
            implode(' ', array_map(static fn($f) => $f->code, row(stand($document), $id)->findings)),
        )->not->toContain('drift.');
    }
})->with([
    'bees at 801 m' => [['kind' => 'hive', 'name' => 'hives', 'distance' => '801 m'], []],
    'beans 46 degrees off the wind' => [
        ['kind' => 'crop', 'name' => 'beans', 'distance' => '90 m', 'bearing' => '136'],
        [['fact' => 'wind-from', 'value' => 'west']],
    ],
    'beans at 401 m' => [
        ['kind' => 'crop', 'name' => 'beans', 'distance' => '401 m', 'bearing' => '90'],
        [['fact' => 'wind-from', 'value' => 'west']],
    ],
    'a path at 31 m' => [
        ['kind' => 'path', 'name' => 'lane', 'distance' => '31 m', 'bearing' => '90'],
        [['fact' => 'wind-from', 'value' => 'west']],
    ],
]);

it('knows the side of the wind across north', function () {
    $north = new Thicket\Situation\ProtectedFeature('path', 'lane', quantity('9 m'), bearing: 350.0);
    expect($north->isDownwind(180.0))
        ->toBeTrue()
        ->and($north->isDownwind(0.0))
        ->toBeFalse()
        ->and($north->isDownwind(215.0))
        ->toBeTrue()
        ->and($north->isDownwind(216.0))
        ->toBeFalse();
});

it('names the day a closed row opens', function (string $species, string $date, string $opens) {
    expect(
        row(stand(['species' => $species, 'date' => $date]), 'basal-bark/triclopyr-ester')->opens?->format('Y-m-d'),
    )->toBe($opens);
})->with([
    'May opens 1 July' => ['tree-of-heaven', '2026-05-10', '2026-07-01'],
    'November opens next July' => ['tree-of-heaven', '2026-11-05', '2027-07-01'],
]);

it('lets a stale wetness count as unknown', function () {
    $document = stand([
        'now' => '2026-08-15T15:01:00Z',
        'facts' => [['fact' => 'bark-wetness', 'value' => 'wet', 'at' => '2026-08-15T09:00:00Z']],
    ]);
    expect(codes(row($document, 'basal-bark/triclopyr-ester')))->not->toContain('bark.wet');
    $document['now'] = '2026-08-15T15:00:00Z';
    expect(codes(row($document, 'basal-bark/triclopyr-ester')))->toContain('bark.wet');
});

it('says which school a verdict hangs on and what the others would give', function () {
    $findings = row(stand(['stems' => [['diameter' => '6 in', 'count' => 1]]]), 'basal-bark/triclopyr-ester')->findings;
    $size = array_values(array_filter($findings, static fn(Finding $f): bool => $f->code === 'size.too-thick'))[0];
    expect([$size->school, $size->otherwise])->toEqual(['basal-size', ['six-or-less' => Outcome::Fits]]);
});

it('never widens when a limit is moved inward, and never loses a row with a tool', function () {
    $facts = [
        ['fact' => 'setting', 'value' => 'woods'],
        ['fact' => 'bark-wetness', 'value' => 'dry'],
        ['fact' => 'height', 'value' => '4 ft'],
    ];
    $document = stand([
        'facts' => $facts,
        'cards' => [esterCard()],
        'tools' => ['hatchet', 'saw-or-loppers', 'lever-puller', 'mower'],
        'keepers' => [['kind' => 'stream', 'name' => 'creek', 'distance' => '15 m']],
    ]);
    $ranks = static fn(array $d): array => array_map(
        static fn($row): int => $row->outcome->rank(),
        array_column(array_map(static fn($r): array => [$r->option->id(), $r], board($d)->rows), 1, 0),
    );
    $before = $ranks($document);
    $stricter = [
        ['cards' => [esterCard(['waterBuffer' => '20 m'])]],
        ['cards' => [esterCard(['sites' => ['pasture']])]],
        ['cards' => [esterCard(['licensedOnly' => true])]],
        ['cards' => [esterCard(['methods' => [['method' => 'basal-bark']]])]],
        ['stance' => 'least-hazard'],
        ['stance' => 'none'],
        ['tools' => []],
    ];
    foreach ($stricter as $change) {
        $after = $ranks($change + $document);
        expect(array_keys($after))->toEqualCanonicalizing(array_keys($before));
        foreach ($after as $id => $rank) {
            expect($rank)->toBeLessThanOrEqual($before[$id], $id . ' with ' . json_encode($change));
        }
    }
});

it('always keeps a way without herbicide on the board', function () {
    foreach (catalogue()->allSpecies() as $species) {
        $rows = board(stand(['species' => $species->id(), 'stems' => [['diameter' => '0.5 in', 'count' => 3]]]))->rows;
        $open = array_filter($rows, static fn($row): bool => !$row->option->method->usesProduct());
        expect($open)->not->toBeEmpty($species->id());
    }
});

it('refuses a bad situation with the field named', function (array $changes, string $pointer) {
    try {
        board(stand($changes));
    } catch (Refused $e) {
        expect(array_column($e->faults, 'pointer'))->toContain($pointer);

        return;
    }
    $this->fail("nothing refused at {$pointer}");
})->with([
    'no such species' => [['species' => 'dragon'], '/species'],
    'date in words' => [['date' => 'soon'], '/date'],
    'latitude as a number' => [['place' => ['latitude' => 44.1, 'elevationMetres' => '200']], '/place/latitude'],
    'pole' => [['place' => ['latitude' => '90', 'elevationMetres' => '200']], '/place/latitude'],
    'unknown fact' => [['facts' => [['fact' => 'mood', 'value' => 'good']]], '/facts/0/fact'],
    'fact of the wrong kind' => [['facts' => [['fact' => 'height', 'value' => '3 gal']]], '/facts/0/value'],
    'negative stem' => [['stems' => [['diameter' => '-1 in', 'count' => 1]]], '/stems/0/diameter'],
    'no stems at all' => [['stems' => [['diameter' => '1 in', 'count' => 0]]], '/stems/0/count'],
    'class upside down' => [['stems' => [['from' => '4 in', 'below' => '2 in', 'count' => 1]]], '/stems/0/below'],
    'misspelt field' => [['stems' => [['diametre' => '1 in', 'count' => 1]]], '/stems/0/diametre'],
    'unknown school' => [['schools' => ['luck' => 'good']], '/schools/luck'],
    'unknown choice' => [['schools' => ['basal-band' => 'in-99']], '/schools/basal-band'],
    'stems as text' => [['stems' => 'many'], '/stems'],
    'card with min above max' => [
        ['cards' => [esterCard(['methods' => [['method' => 'basal-bark', 'min' => '30%', 'max' => '20%']]])]],
        '/cards/0/methods/0/max',
    ],
    'card with unknown active' => [
        ['cards' => [esterCard(['actives' => [['active' => 'magic', 'amount' => '480 g ae/L']]])]],
        '/cards/0/actives/0/active',
    ],
    'card above the whole' => [
        ['cards' => [esterCard(['actives' => [['active' => 'glyphosate', 'amount' => '141 % w/w']]])]],
        '/cards/0/actives/0/amount',
    ],
]);

it(
    'judges every species of the catalogue in every season, and leaves a way by hand for all but root-suckering trees',
    function () {
        $without = [];
        foreach (catalogue()->allSpecies() as $species) {
            foreach (['2026-02-10', '2026-05-20', '2026-08-15', '2026-11-05'] as $date) {
                $board = board(
                    stand([
                        'species' => $species->id(),
                        'date' => $date,
                        'stems' => [['diameter' => '0.5 in', 'count' => 3]],
                    ]),
                );
                expect(count($board->rows))->toBeGreaterThanOrEqual(
                    count(array_filter(catalogue()->allMethods(), static fn($method): bool => $method->isOnBoard())),
                );
                $hand = array_filter(
                    $board->rows,
                    static fn($row): bool => !$row->option->method->usesProduct() &&
                        !in_array($row->outcome, [Outcome::DoesNotSuit, Outcome::NotAllowed], true),
                );
                $hand === [] && ($without[$species->id()] = true);
            }
        }
        // a root-suckering tree is never knocked down first; until programmes of years are built, nothing by hand is
        // offered for it
        expect(
            array_filter(
                array_keys($without),
                static fn(string $id): bool => !catalogue()->species($id)->isRootSuckering(),
            ),
        )->toBe([]);
    },
);
