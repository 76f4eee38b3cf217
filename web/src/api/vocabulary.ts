/* Made from the core by bin/lib/vocabulary.php; not to be written by hand. */

export const OUTCOMES = [
  'notAllowed',
  'doesNotSuit',
  'cannotTell',
  'notNow',
  'withCare',
  'fits',
] as const;

export const CERTAINTIES = [
  'measured',
  'observed',
  'estimated',
  'typical',
  'assumed',
  'unknown',
] as const;

export const KEEPER_KINDS = [
  'tree',
  'shrub',
  'planting',
  'grass',
  'forbs',
  'crop',
  'hive',
  'well',
  'stream',
  'pond',
  'drain',
  'path',
  'fence',
  'building',
  'stock',
  'organic',
  'litter',
  'habitat',
] as const;

export const CARRIERS = [
  'water',
  'oil',
  'fuel-oil',
] as const;

export const WATERS = [
  'clear',
  'hard',
  'muddy',
] as const;

export const TANK_MATERIALS = [
  'plastic',
  'stainless',
  'lined',
  'galvanised',
  'steel',
] as const;

export const SPRAYER_KINDS = [
  'backpack',
  'boom',
  'hand-can',
  'squirt-bottle',
  'wick',
] as const;

export const MEASURING_KINDS = [
  'spoons',
  'cup',
  'jug',
  'syringe',
  'cylinder',
  'scale',
] as const;

export const STAGES = [
  'cotyledon',
  'seedling',
  'rosette',
  'vegetative',
  'growing',
  'tillering',
  'shoot-emergence',
  'bolting',
  'boot',
  'heading',
  'bud',
  'flower',
  'full-flower',
  'seed-set',
  'seed',
  'dead',
  'sap-rise',
  'leaf-out',
  'new-soft-flush',
  'full-leaf',
  'fruit',
  'after-fruit',
  'colour-change',
  'leaf-fall',
  'autumn-regrowth',
  'dormant',
] as const;

export const SITES = [
  'woods',
  'pasture',
  'orchard',
  'new-planting',
  'new-native-grass',
  'bed-lawn-paving',
  'seedbed',
  'water-edge',
  'roadside-trail',
  'open-habitat',
  'non-crop',
] as const;

export const FAMILIES = [
  'mechanical',
  'cultural',
  'biological',
  'chemical',
] as const;

export const COMPASS = [
  'north',
  'north-east',
  'east',
  'south-east',
  'south',
  'south-west',
  'west',
  'north-west',
] as const;

export const SKIES = [
  'clear',
  'part-cloud',
  'overcast',
  'fog',
  'drizzle',
] as const;

export const MARKS = [
  'treated',
  'left',
  'missed',
] as const;

export const INCIDENTS = [
  'spill',
  'exposure',
  'drift',
  'injury',
  'visitor',
  'other',
] as const;

export const SURFACES = [
  'soil',
  'paving',
  'water',
] as const;

export const AMENDED = [
  'workedOn',
  'start',
  'stop',
  'people',
  'treated',
  'skipped',
  'mixUsed',
  'weather',
  'wind',
  'temperature',
  'equipment',
  'owner',
  'supervisor',
  'mixers',
  'nozzle',
  'pressure',
  'height',
  'droplets',
  'instrument',
  'buffers',
  'permits',
  'notices',
  'leftovers',
  'containers',
  'incident',
  'remarks',
  'other',
] as const;

export const FURTHER = [
  'owner',
  'supervisor',
  'mixers',
  'nozzle',
  'pressure',
  'height',
  'droplets',
  'instrument',
  'buffers',
  'permits',
  'notices',
  'leftovers',
  'containers',
] as const;

export const DROPLETS = [
  'very-fine',
  'fine',
  'medium',
  'coarse',
  'very-coarse',
  'extremely-coarse',
] as const;

export const DUTY_STATES = [
  'done',
  'under-way',
  'not-needed',
] as const;

export const PATROL_FINDS = [
  'none',
  'seedlings',
  'seeding',
] as const;

export const LOOK_INJURIES = [
  'none',
  'passing',
  'lasting',
] as const;

export const LOOK_MEASURES = [
  'cover',
  'yield',
  'growth',
  'sown-height',
  'light',
] as const;

/** What may be said of a fact: yes or no, a day, an amount, or one of some words. */
export const FACTS: Record<string, 'yes-no' | 'day' | 'amount' | readonly string[]> = {
  'setting': SITES,
  'stage': STAGES,
  'bark-texture': [
    'smooth',
    'rough',
  ],
  'bark-thickness': [
    'thin',
    'thick',
    'corky',
  ],
  'height': 'amount',
  'bark-wetness': [
    'dry',
    'wet',
  ],
  'leaf-wetness': [
    'dry',
    'wet',
  ],
  'snow-at-base': 'amount',
  'silt-on-bark': 'yes-no',
  'drought': 'yes-no',
  'leaf-damage': 'yes-no',
  'fresh-flush': 'yes-no',
  'last-mown': 'day',
  'soil-moisture': [
    'dry',
    'moist',
    'wet',
  ],
  'soil-temperature-30cm': 'amount',
  'grass-at-base': 'yes-no',
  'water-distance': 'amount',
  'wind-speed': 'amount',
  'air-temperature': 'amount',
  'fruiting': 'yes-no',
  'bees-flying': 'yes-no',
  'food-taken': 'yes-no',
  'root-form': [
    'fibrous',
    'taproot',
    'creeping-root',
    'rhizome',
    'bulblet',
    'tuber',
    'suckering-root',
  ],
  'leaf-out': 'day',
  'wind-from': COMPASS,
  'diameter-at': [
    'base',
    'breast-height',
  ],
  'treated-area': 'amount',
  'row-spacing': 'amount',
  'strip-side': 'amount',
  'planted-on': 'day',
  'trunk-guards': 'yes-no',
  'green-bark': 'yes-no',
  'soil-texture': [
    'sand',
    'loamy-sand',
    'sandy-loam',
    'silt',
    'loam',
    'silt-loam',
    'sandy-clay-loam',
    'sandy-clay',
    'clay',
    'clay-loam',
    'silty-clay-loam',
    'silty-clay',
  ],
  'weeds-up': 'yes-no',
  'self-sown-kept': 'yes-no',
  'sown-next': 'day',
  'above-keepers': 'yes-no',
  'public-way': 'yes-no',
  'children-pets': 'yes-no',
  'school-ground': 'yes-no',
  'local-rule': 'yes-no',
  'volunteers': 'yes-no',
  'slope': [
    'level',
    'gentle',
    'steep',
  ],
  'shallow-groundwater': 'yes-no',
  'grazed-from': 'day',
  'hay-on': 'day',
  'hours-at-hand': 'amount',
  'stock-kind': [
    'none',
    'milking-cows',
    'dry-dairy',
    'beef',
    'sheep-goats',
    'horses',
    'other',
  ],
  'litter': [
    'none',
    'dry',
    'wet',
  ],
  'cover': [
    'solid-thicket',
    'mixed',
    'mostly-grass',
  ],
  'purpose': [
    'keep-down',
    'kill-root',
  ],
  'green-leaf': [
    'more-than-half',
    'about-half',
    'less-than-half',
    'none',
  ],
  'grass-form': [
    'broad',
    'narrow',
  ],
  'sown-crop': [
    'grass',
    'native-mix',
    'legume',
    'cucurbit',
    'sweet-corn',
    'other-broadleaf',
    'trees',
  ],
  'target-cover': [
    'trace',
    'sparse',
    'patchy',
    'half',
    'most',
    'full',
  ],
  'hives-near': 'yes-no',
  'sprayed-lately': 'yes-no',
  'leaves-limp': 'yes-no',
  'shade': 'yes-no',
  'floods': 'yes-no',
  'thorns-kept': 'yes-no',
  'crop-up': 'yes-no',
  'flowers-around': 'yes-no',
  'felling-planned': 'yes-no',
  'debris-gone': 'yes-no',
  'freeze-on': 'day',
  'working-depth': 'amount',
  'trunk-diameter': 'amount',
  'treat-from': 'amount',
  'treat-below': 'amount',
  'removal-for': [
    'light',
    'access',
    'stock',
    'fire',
    'habitat',
    'planting',
    'harvest',
    'water',
    'safety',
    'looks',
  ],
  'kept-as-snags': 'yes-no',
  'bark-diseased': 'yes-no',
  'first-found': 'yes-no',
  'also-stage': STAGES,
  'leaf-count': [
    'seed-leaves',
    'two-to-four',
    'five-or-more',
  ],
  'floor': [
    'sod',
    'clover',
    'bare',
    'mulch',
  ],
  'irrigated': 'yes-no',
  'soil-workable': 'yes-no',
  'cover-kind': [
    'oats',
    'crimson-clover',
    'clover',
    'ryegrass',
  ],
  'planted-trees': 'amount',
};
