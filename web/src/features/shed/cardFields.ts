/**
 * What a label card may hold, in the order in which labels print it: the form, the reading and the changes go by one
 * list.
 */
export interface CardField {
  id: string;
  kind:
    | 'text'
    | 'long'
    | 'amount'
    | 'number'
    | 'yes-no'
    | 'tick'
    | 'choice'
    | 'names'
    | 'carriers'
    | 'sites'
    | 'actives'
    | 'uses'
    | 'siteLimits'
    | 'plants';
  sample?: string;
  choices?: readonly string[];
}
export const SECTIONS: readonly { key: string; fields: readonly CardField[] }[] = [
  {
    key: 'front',
    fields: [
      { id: 'product', kind: 'text' },
      { id: 'formerNames', kind: 'names' },
      { id: 'registration', kind: 'text' },
      { id: 'actives', kind: 'actives' },
      {
        id: 'formulation',
        kind: 'choice',
        choices: [
          'soluble-liquid',
          'emulsifiable',
          'oil-soluble-ester',
          'water-dispersible-granule',
          'granule',
          'ready-to-use',
        ],
      },
      { id: 'concentrateExists', kind: 'yes-no' },
      { id: 'density', kind: 'amount', sample: '1100 g/L' },
      { id: 'licensedOnly', kind: 'tick' },
      { id: 'buyers', kind: 'choice', choices: ['home', 'farm', 'licensed'] },
      { id: 'firstAid', kind: 'long' },
    ],
  },
  {
    key: 'guard',
    fields: [
      { id: 'wearing', kind: 'long' },
      { id: 'cabRequired', kind: 'yes-no' },
      { id: 'reentryHours', kind: 'number' },
      { id: 'exclusionDistance', kind: 'amount', sample: '8 m' },
      { id: 'aquaticAllowed', kind: 'tick' },
      { id: 'waterBuffer', kind: 'amount', sample: '30 ft' },
      { id: 'seasonallyDry', kind: 'yes-no' },
      { id: 'protectedLifeCheck', kind: 'yes-no' },
      { id: 'soilActive', kind: 'tick' },
      { id: 'runoff', kind: 'long' },
      { id: 'drift', kind: 'long' },
    ],
  },
  {
    key: 'directions',
    fields: [
      { id: 'carriers', kind: 'carriers' },
      { id: 'sites', kind: 'sites' },
      { id: 'uses', kind: 'uses' },
      { id: 'growthStage', kind: 'text' },
      { id: 'grasses', kind: 'text' },
      { id: 'grassesTolerant', kind: 'names' },
      { id: 'grassesHarmed', kind: 'names' },
      { id: 'crops', kind: 'text' },
      { id: 'treeAges', kind: 'text' },
      { id: 'plants', kind: 'plants', sample: 'tree 3, shrub 1' },
      { id: 'incorporation', kind: 'amount', sample: '2 in' },
      { id: 'fertiliser', kind: 'text', sample: '5-10-10' },
      { id: 'surfactantInside', kind: 'yes-no' },
      { id: 'tankMixAllowed', kind: 'yes-no' },
      { id: 'holdingHours', kind: 'number' },
      { id: 'waterInDepth', kind: 'amount', sample: '1/4 in' },
      { id: 'waterInAfterMinutes', kind: 'number' },
      { id: 'waterInHours', kind: 'number' },
    ],
  },
  {
    key: 'limits',
    fields: [
      { id: 'yearlyMaximum', kind: 'amount', sample: '9 kg ae/ha' },
      { id: 'yearCounted', kind: 'choice', choices: ['calendar-year', 'season', '365-days'] },
      { id: 'applicationMaximum', kind: 'amount', sample: '2 kg ae/ha' },
      { id: 'applications', kind: 'number' },
      { id: 'intervalDays', kind: 'number' },
      { id: 'siteLimits', kind: 'siteLimits' },
      { id: 'coldest', kind: 'amount', sample: '41 F' },
      { id: 'hottest', kind: 'amount', sample: '85 F' },
      { id: 'windMost', kind: 'amount', sample: '10 mph' },
      { id: 'rainfastHours', kind: 'number' },
      { id: 'irrigationHours', kind: 'number' },
      { id: 'irrigationResumeHours', kind: 'number' },
      { id: 'leadDays', kind: 'number' },
      { id: 'lastingDays', kind: 'number' },
      { id: 'leadInsideLasting', kind: 'yes-no' },
      { id: 'autumnLaying', kind: 'yes-no' },
      { id: 'repeatIfNeeded', kind: 'yes-no' },
    ],
  },
  {
    key: 'after',
    fields: [
      { id: 'forageAllowed', kind: 'yes-no' },
      { id: 'grazingDays', kind: 'number' },
      { id: 'dairyDays', kind: 'number' },
      { id: 'slaughterDays', kind: 'number' },
      { id: 'hayDays', kind: 'number' },
      { id: 'strawDays', kind: 'number' },
      { id: 'replantDays', kind: 'number' },
      { id: 'storage', kind: 'long' },
      { id: 'disposal', kind: 'long' },
      { id: 'lawCheckedYear', kind: 'number' },
    ],
  },
];
export const isWord = (field: CardField): boolean =>
  field.kind === 'yes-no' || field.kind === 'tick' || field.kind === 'choice';

/** A value of a card as somebody would type it. */
export function textOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  if (Array.isArray(value))
    return value
      .map((v) =>
        typeof v === 'object'
          ? Object.values(v as object)
              .map(textOf)
              .join(' ')
          : textOf(v),
      )
      .join(', ');
  const o = value as { typed?: unknown; value?: unknown; unit?: unknown };
  if (typeof o.typed === 'string') return o.typed;
  return o.value === undefined ? '' : `${textOf(o.value)} ${textOf(o.unit)}`.trim();
}

/** One line of a use: what it allows, and the stages or days it holds for where the label parts them. */
export interface UseLine {
  min: string;
  max: string;
  perStem: string;
  rateLeast: string;
  rateMost: string;
  spray: string;
  stages: string[];
  /** First and last day as MM-DD; empty holds all year. */
  from: string;
  to: string;
  /** Whether the label says amounts to a volume of water, not of finished mix. */
  toWater: boolean;
}
export interface Use {
  on: boolean;
  /** At least one; further ones are for stages or days of their own. */
  lines: UseLine[];
}
const AMOUNTS_OF_USE = ['min', 'max', 'perStem', 'rateLeast', 'rateMost', 'spray'] as const;
const TEXTS_OF_LINE = [...AMOUNTS_OF_USE, 'from', 'to'] as const;
export const blankLine = (): UseLine => ({
  min: '',
  max: '',
  perStem: '',
  rateLeast: '',
  rateMost: '',
  spray: '',
  stages: [],
  from: '',
  to: '',
  toWater: false,
});
export const blankUse = (): Use => ({ on: false, lines: [blankLine()] });
/** Where each line stands in the card that is sent, so that a fault finds its place again. */
export function placeOf(draft: CardDraft, method: string, line: number): number {
  let n = 0;
  for (const [id, u] of Object.entries(draft.uses)) {
    if (id === method) return n + line;
    if (u.on) n += u.lines.length;
  }
  return n + line;
}

/** Limits that hold on some sites only; an empty one is taken from the limits for all. */
export interface SiteLimit {
  sites: string[];
  /** Of a card with several actives the one that is limited; empty for each. */
  active: string;
  perYear: string;
  perApplication: string;
  applications: string;
  intervalDays: string;
  yearCounted: string;
}
export const TEXTS_OF_LIMIT = [
  'active',
  'perYear',
  'perApplication',
  'applications',
  'intervalDays',
  'yearCounted',
] as const;
export const blankLimit = (): SiteLimit => ({
  sites: [],
  active: '',
  perYear: '',
  perApplication: '',
  applications: '',
  intervalDays: '',
  yearCounted: '',
});
/** Fields that are more than a text; each is read and sent in its own way. */
const OWN_WAY = ['actives', 'carriers', 'sites', 'uses', 'siteLimits'];
const asNumber = (text: string): number | string => (/^\d+$/.test(text) ? Number(text) : text);

export interface CardDraft {
  texts: Record<string, string>;
  actives: { active: string; amount: string }[];
  carriers: string[];
  sites: string[];
  uses: Record<string, Use>;
  siteLimits: SiteLimit[];
}

/** The form of a card, filled from a body that was typed or taken in before. */
export function draftOf(body: Record<string, unknown>): CardDraft {
  const texts: Record<string, string> = {};
  for (const f of SECTIONS.flatMap((s) => s.fields)) if (!OWN_WAY.includes(f.kind)) texts[f.id] = textOf(body[f.id]);
  texts.formulation ||= 'soluble-liquid';
  const list = (key: string): Record<string, unknown>[] =>
    Array.isArray(body[key]) ? (body[key] as Record<string, unknown>[]) : [];
  const actives = list('actives').map((a) => ({ active: textOf(a.active), amount: textOf(a.amount) }));
  const uses: Record<string, Use> = {};
  for (const m of list('methods')) {
    const line: UseLine = {
      ...blankLine(),
      ...Object.fromEntries(TEXTS_OF_LINE.map((a) => [a, textOf(m[a])])),
      stages: Array.isArray(m.stages) ? m.stages.map(textOf) : [],
      toWater: m.toWater === true,
    };
    const id = textOf(m.method);
    uses[id] = { on: true, lines: [...(uses[id]?.lines ?? []), line] };
  }
  const siteLimits = list('siteLimits').map((l) => ({
    ...blankLimit(),
    ...Object.fromEntries(TEXTS_OF_LIMIT.map((a) => [a, textOf(l[a])])),
    sites: Array.isArray(l.sites) ? l.sites.map(textOf) : [],
  }));
  const words = (key: string): string[] => (Array.isArray(body[key]) ? (body[key] as unknown[]).map(textOf) : []);
  return {
    texts,
    actives: actives.length ? actives : [{ active: 'glyphosate', amount: '' }],
    carriers: 'carriers' in body ? words('carriers') : ['water'],
    sites: words('sites'),
    uses,
    siteLimits,
  };
}

/** "tree pecan 3": a kind, a species where the label names one, and the years in the ground it asks for. */
const plantOf = (line: string): Record<string, unknown> => {
  const words = line.trim().split(/\s+/);
  const years = /^\d+$/.test(words[words.length - 1] ?? '') ? Number(words.pop()) : null;
  const [kind = '', ...species] = words;
  return { kind, ...(species.length ? { species: species.join(' ') } : {}), ...(years === null ? {} : { years }) };
};

/**
 * The body that is sent: what was left out is not there at all, since a label that says nothing is not a label that
 * says none.
 */
export function bodyOf(draft: CardDraft): Record<string, unknown> {
  const body: Record<string, unknown> = {
    actives: draft.actives.map((a) => ({ active: a.active, amount: a.amount })),
    carriers: draft.carriers,
    sites: draft.sites,
    methods: Object.entries(draft.uses)
      .filter(([, u]) => u.on)
      .flatMap(([method, u]) =>
        u.lines.map((line) => ({
          method,
          ...Object.fromEntries(TEXTS_OF_LINE.filter((a) => line[a].trim() !== '').map((a) => [a, line[a].trim()])),
          ...(line.stages.length ? { stages: line.stages } : {}),
          ...(line.toWater ? { toWater: true } : {}),
        })),
      ),
  };
  if (draft.siteLimits.length)
    body.siteLimits = draft.siteLimits.map((l) => ({
      sites: l.sites,
      ...Object.fromEntries(
        TEXTS_OF_LIMIT.filter((a) => l[a].trim() !== '').map((a) => [
          a,
          a === 'applications' || a === 'intervalDays' ? asNumber(l[a].trim()) : l[a].trim(),
        ]),
      ),
    }));
  for (const f of SECTIONS.flatMap((s) => s.fields)) {
    const text = (draft.texts[f.id] ?? '').trim();
    if (text === '' || OWN_WAY.includes(f.kind)) continue;
    if (f.kind === 'yes-no' || f.kind === 'tick') body[f.id] = text === 'yes';
    else if (f.kind === 'number') body[f.id] = asNumber(text);
    else if (f.kind === 'names')
      body[f.id] = text
        .split(',')
        .map((n) => n.trim())
        .filter(Boolean);
    else if (f.kind === 'plants') body[f.id] = text.split(',').map(plantOf);
    else body[f.id] = text;
  }
  return body;
}
