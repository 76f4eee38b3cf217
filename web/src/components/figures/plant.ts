/*
 * A plant drawn from its field characters: habit, stance, leaves and how they stand, edge, flower, fruit, bark,
 * thorns and root, in one of four times of the year. It is put together here from the same states that the key asks
 * for, so that a species without a picture of its own still shows what to look for. Pure: characters in, shapes out.
 */

/** States of each character, the surest first. */
export type Looks = Readonly<Record<string, readonly string[]>>;
export type Time = 'leaf' | 'flower' | 'fruit' | 'bare';
export type Part = 'stem' | 'leaf' | 'flower' | 'fruit' | 'root' | 'thorn' | 'mark';
export interface Shape {
  part: Part;
  /** SVG path. */
  d: string;
  /** A colour of the plant by its word, where the part has one. */
  tint?: string;
  /** Drawn as a line, not filled. */
  line?: boolean;
}

export const WIDTH = 200;
export const HEIGHT = 240;
const GROUND = 188;
type Point = readonly [number, number];
const round = (n: number): number => Math.round(n * 10) / 10;
const at = ([x, y]: Point): string => `${round(x)} ${round(y)}`;
const polygon = (points: readonly Point[], close = true): string => `M${points.map(at).join('L')}${close ? 'Z' : ''}`;
const circle = ([x, y]: Point, r: number): string =>
  `M${at([x - r, y])}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
/** A point some way along a direction, in degrees with 0 to the right and 90 up. */
const from = ([x, y]: Point, angle: number, length: number): Point => {
  const a = (angle * Math.PI) / 180;
  return [x + Math.cos(a) * length, y - Math.sin(a) * length];
};
const first = (looks: Looks, character: string, fallback: string): string => looks[character]?.[0] ?? fallback;

/** Half the width of a leaf along its length, both as shares of one. */
const OUTLINES: Readonly<Record<string, (t: number) => number>> = {
  ribbon: (t) => 0.09 * Math.sin(Math.PI * Math.min(1, t + 0.12)) ** 0.5,
  'egg-shaped': (t) => 0.3 * Math.sin(Math.PI * t ** 0.8),
  heart: (t) => (t < 0.08 ? 0.3 : 0.42 * (1 - t) ** 0.7 * (0.75 + t)),
  roundish: (t) => 0.44 * Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)),
  triangle: (t) => 0.46 * (1 - t),
  lobed: (t) => 0.34 * Math.sin(Math.PI * t ** 0.85) * (1 + 0.45 * Math.cos(6 * Math.PI * t)),
};
/** What the edge adds to it: teeth a length and how deep, in shares of the length. */
const EDGES: Readonly<Record<string, (t: number) => number>> = {
  smooth: () => 0,
  wavy: (t) => 0.03 * Math.sin(12 * Math.PI * t),
  'fine-toothed': (t) => 0.035 * ((t * 14) % 1),
  'coarse-toothed': (t) => 0.08 * ((t * 6) % 1),
  spiny: (t) => ((t * 7) % 1 > 0.75 ? 0.11 : 0),
};

function blade(foot: Point, angle: number, length: number, outline: string, edge: string): string {
  const width = OUTLINES[outline] ?? OUTLINES['egg-shaped']!;
  const tooth = EDGES[edge] ?? EDGES.smooth!;
  const side = (sign: 1 | -1): Point[] =>
    Array.from({ length: 29 }, (_, i) => {
      const t = i / 28;
      const half = (width(t) + (t > 0.04 && t < 0.96 ? tooth(t) : 0)) * length * sign;
      return from(from(foot, angle, t * length), angle + 90, half);
    });
  return polygon([...side(1), ...side(-1).reverse()]);
}

const LEAFLETS: Readonly<Record<string, number>> = { three: 3, five: 5, 'seven-to-nine': 7, 'eleven-and-more': 13 };

/** One whole leaf with its stalk, as it stands on the plant. */
function leaf(looks: Looks, foot: Point, angle: number, length: number): Shape[] {
  const edge = first(looks, 'leaf-margin', 'smooth');
  const outline = first(looks, 'leaf-outline', 'egg-shaped');
  const type = first(looks, 'leaf-type', 'simple');
  const green = (d: string): Shape => ({ part: 'leaf', d });
  const stalk = (to: Point): Shape => ({ part: 'leaf', d: polygon([foot, to], false), line: true });
  if (type === 'needle')
    return [-24, -8, 8, 24].map((turn) => ({
      part: 'leaf',
      d: polygon([foot, from(foot, angle + turn, length * 0.6)], false),
      line: true,
    }));
  if (type === 'scale')
    return [0.15, 0.4, 0.65].map((t) =>
      green(blade(from(foot, angle, t * length * 0.6), angle + 20, 9, 'egg-shaped', 'smooth')),
    );
  if (type === 'pad') return [green(blade(foot, angle, length * 1.2, 'roundish', 'smooth'))];
  if (type === 'pinnate' || type === 'trifoliate' || type === 'palmate') {
    const n =
      type === 'trifoliate'
        ? 3
        : (LEAFLETS[first(looks, 'leaflets', type === 'palmate' ? 'five' : 'seven-to-nine')] ?? 7);
    if (type === 'palmate') {
      const hub = from(foot, angle, length * 0.35);
      return [
        stalk(hub),
        ...Array.from({ length: n }, (_, i) =>
          green(blade(hub, angle + (i - (n - 1) / 2) * (150 / n), length * 0.65, 'egg-shaped', edge)),
        ),
      ];
    }
    const pairs = (n - 1) / 2;
    const tip = from(foot, angle, length * 0.8);
    const small = Math.max(length * 0.18, (length * 0.9) / (pairs + 1.2));
    return [
      stalk(tip),
      ...Array.from({ length: pairs }, (_, i) => {
        const on = from(foot, angle, length * (0.3 + (0.48 * i) / Math.max(1, pairs - 1 || 1)));
        return [1, -1].map((sign) => green(blade(on, angle + sign * 62, small, 'egg-shaped', edge)));
      }).flat(),
      green(blade(tip, angle, small * 1.1, 'egg-shaped', edge)),
    ];
  }
  const on = from(foot, angle, length * 0.14);
  return [stalk(on), green(blade(on, angle, length * 0.86, outline, edge))];
}

/** Petals, discs and dots of one flower or head at the end of a stem. */
function flower(looks: Looks, tip: Point, size: number): Shape[] {
  const form = first(looks, 'flower-form', 'inconspicuous');
  const tint = first(looks, 'flower-colour', 'green');
  const petals = (n: number, long: number, outline: string): Shape[] =>
    Array.from({ length: n }, (_, i) => ({
      part: 'flower',
      tint,
      d: blade(tip, 90 + (i * 360) / n, long, outline, 'smooth'),
    }));
  const eye = (r: number, of = 'yellow'): Shape => ({ part: 'flower', tint: of, d: circle(tip, r) });
  const dots = (points: readonly Point[], r: number): Shape[] =>
    points.map((p) => ({ part: 'flower', tint, d: circle(p, r) }));
  const rays = (n: number, spread: number, long: number): Point[] =>
    Array.from({ length: n }, (_, i) => from(tip, 90 + (i - (n - 1) / 2) * spread, long));
  switch (form) {
    case 'daisy':
      return [...petals(12, size, 'ribbon'), eye(size * 0.35)];
    case 'thistle':
      return [
        ...rays(7, 13, size * 1.2).map((p): Shape => ({
          part: 'flower',
          tint,
          d: polygon([tip, p], false),
          line: true,
        })),
        { part: 'stem', d: circle(from(tip, -90, size * 0.2), size * 0.42) },
      ];
    case 'umbel': {
      const ends = rays(7, 22, size * 1.5);
      return [
        ...ends.map((p): Shape => ({ part: 'stem', d: polygon([tip, p], false), line: true })),
        ...dots(ends, size * 0.28),
      ];
    }
    case 'pea':
      return [
        { part: 'flower', tint, d: blade(tip, 60, size, 'roundish', 'smooth') },
        { part: 'flower', tint, d: blade(tip, 0, size * 0.8, 'egg-shaped', 'smooth') },
      ];
    case 'four-petal':
      return [...petals(4, size * 0.9, 'roundish'), eye(size * 0.18)];
    case 'five-petal':
      return [...petals(5, size * 0.9, 'roundish'), eye(size * 0.2)];
    case 'six-part':
      return [...petals(6, size, 'egg-shaped'), eye(size * 0.18)];
    case 'many-petal':
      return [...petals(16, size, 'egg-shaped'), eye(size * 0.25)];
    case 'lipped':
      return [
        { part: 'flower', tint, d: blade(tip, 70, size, 'egg-shaped', 'smooth') },
        { part: 'flower', tint, d: blade(tip, -20, size * 0.9, 'heart', 'smooth') },
      ];
    case 'trumpet':
      return [
        {
          part: 'flower',
          tint,
          d: polygon([tip, from(tip, 120, size * 1.3), from(tip, 90, size * 1.1), from(tip, 60, size * 1.3)]),
        },
      ];
    case 'spike':
      return dots(
        Array.from({ length: 9 }, (_, i) => [tip[0] + (i % 2 ? 3 : -3), tip[1] - i * size * 0.22] as Point),
        size * 0.22,
      );
    case 'catkin':
      return dots(
        Array.from({ length: 7 }, (_, i) => [tip[0] + (i % 2 ? 1.5 : -1.5), tip[1] + i * size * 0.25] as Point),
        size * 0.2,
      );
    default:
      return dots(rays(4, 40, size * 0.5), size * 0.16);
  }
}

/** The head of a grass, sedge or reed, on the culm's end. */
function head(looks: Looks, tip: Point, size: number): Shape[] {
  const form = first(looks, 'grass-head', 'open-panicle');
  const tint = 'straw';
  const line = (a: Point, b: Point): Shape => ({ part: 'flower', tint, d: polygon([a, b], false), line: true });
  const ear = (foot: Point, angle: number, long: number, thick = 0.16): Shape => ({
    part: 'flower',
    tint,
    d: polygon([
      from(foot, angle + 90, long * thick * 0.5),
      from(from(foot, angle, long * 0.6), angle + 90, long * thick),
      from(foot, angle, long),
      from(from(foot, angle, long * 0.6), angle - 90, long * thick),
      from(foot, angle - 90, long * thick * 0.5),
    ]),
  });
  const up = (t: number): Point => [tip[0], tip[1] - t * size];
  switch (form) {
    case 'fingers':
      return [50, 75, 105, 130].map((a) => ear(tip, a, size, 0.06));
    case 'two-spikes':
      return [70, 110].map((a) => ear(tip, a, size, 0.06));
    case 'foxtail':
      return [
        ear(tip, 90, size, 0.2),
        ...[0.2, 0.4, 0.6, 0.8].flatMap((t) => [
          line(up(t), from(up(t), 40, size * 0.25)),
          line(up(t), from(up(t), 140, size * 0.25)),
        ]),
      ];
    case 'bristle-spike':
    case 'nodding-brush':
      return [
        ear(tip, form === 'nodding-brush' ? 40 : 90, size, 0.12),
        ...[0.3, 0.6, 0.9].flatMap((t) => [
          line(up(t), from(up(t), 60, size * 0.4)),
          line(up(t), from(up(t), 120, size * 0.4)),
        ]),
      ];
    case 'flat-spike':
      return [
        line(tip, up(1)),
        ...[0.1, 0.3, 0.5, 0.7, 0.9].flatMap((t, i) => [ear(up(t), i % 2 ? 55 : 125, size * 0.3)]),
      ];
    case 'spike-panicle':
      return [ear(tip, 90, size, 0.14)];
    case 'side-spikes':
      return [line(tip, up(1)), ...[0.1, 0.45, 0.8].map((t, i) => ear(up(t), i % 2 ? 35 : 145, size * 0.45, 0.1))];
    case 'plume':
      return [0, 0.2, 0.4, 0.6, 0.8].flatMap((t) => [
        ear(up(t), 60, size * 0.55, 0.2),
        ear(up(t), 120, size * 0.55, 0.2),
      ]);
    case 'umbel-of-spikes':
      return [30, 60, 90, 120, 150].map((a) => ear(tip, a, size * 0.8, 0.12));
    default:
      return [
        line(tip, up(1)),
        ...[0.15, 0.4, 0.65].flatMap((t) =>
          [35, 145].flatMap((a) => {
            const end = from(up(t), a, size * (0.6 - t * 0.5));
            return [line(up(t), end), ear(end, a - (a > 90 ? 60 : -60), size * 0.18, 0.3)];
          }),
        ),
        ear(up(1), 90, size * 0.2, 0.3),
      ];
  }
}

/** What ripens where the flowers were. */
function fruit(looks: Looks, tip: Point, size: number): Shape[] {
  const form = first(looks, 'fruit', 'capsule');
  const berry = /^(\w+)-berry$/.exec(form);
  const one = (d: string, tint: string, line = false): Shape => ({ part: 'fruit', d, tint, line });
  if (berry)
    return (
      [
        [0, 0],
        [-0.7, 0.9],
        [0.7, 0.9],
      ] as const
    ).map(([x, y]) => one(circle([tip[0] + x * size * 0.6, tip[1] + y * size * 0.6], size * 0.4), berry[1]!));
  switch (form) {
    case 'orange-capsule':
      return [one(circle(tip, size * 0.5), 'orange')];
    case 'cone':
    case 'blue-cone':
      return [
        one(
          blade(from(tip, -90, size), 90, size * 1.6, 'egg-shaped', 'coarse-toothed'),
          form === 'cone' ? 'brown' : 'blue',
        ),
      ];
    case 'nut':
    case 'brown-fruit':
      return [one(circle(from(tip, -90, size * 0.4), size * 0.55), 'brown')];
    case 'pod':
      return [-100, -80].map((a) => one(blade(tip, a, size * 1.8, 'ribbon', 'smooth'), 'brown'));
    case 'winged-seed':
      return [-60, -120].map((a) => one(blade(tip, a, size * 1.4, 'egg-shaped', 'smooth'), 'straw'));
    case 'downy-seed':
      return [20, 50, 80, 110, 140].map((a) => one(polygon([tip, from(tip, a, size)], false), 'white', true));
    case 'bur':
      return [
        one(circle(tip, size * 0.4), 'brown'),
        ...Array.from({ length: 8 }, (_, i) =>
          one(polygon([from(tip, i * 45, size * 0.4), from(tip, i * 45, size * 0.75)], false), 'brown', true),
        ),
      ];
    default:
      return [one(blade(from(tip, -90, size * 0.4), 90, size * 0.9, 'egg-shaped', 'smooth'), 'brown')];
  }
}

/** Below the ground line: drawn pale, since nobody sees it before it is dug. */
function roots(looks: Looks, foot: Point): Shape[] {
  const line = (points: readonly Point[]): Shape => ({ part: 'root', d: polygon(points, false), line: true });
  const [x, y] = foot;
  switch (first(looks, 'root', 'fibrous')) {
    case 'taproot':
      return [
        {
          part: 'root',
          d: polygon([
            [x - 6, y],
            [x + 6, y],
            [x + 1, y + 46],
            [x - 1, y + 46],
          ]),
        },
        line([
          [x, y + 18],
          [x + 16, y + 26],
        ]),
        line([
          [x, y + 28],
          [x - 14, y + 36],
        ]),
      ];
    case 'creeping':
    case 'rhizome':
      return [
        line([
          [x - 86, y + 14],
          [x + 86, y + 14],
        ]),
        ...[-60, -20, 24, 64].flatMap((dx) => [
          line([
            [x + dx, y + 14],
            [x + dx - 5, y + 30],
          ]),
          line([
            [x + dx, y + 14],
            [x + dx + 6, y + 28],
          ]),
        ]),
        ...[-60, 64].map((dx) =>
          line([
            [x + dx, y + 14],
            [x + dx, y - 8],
          ]),
        ),
      ];
    case 'bulblets':
      return [0, -14, 13].map((dx, i): Shape => ({
        part: 'root',
        d: circle([x + dx, y + 14 + i * 4], i === 0 ? 9 : 5),
      }));
    case 'tuber':
      return [-24, 4, 26].flatMap((dx, i) => [
        line([
          [x, y],
          [x + dx, y + 18 + i * 4],
        ]),
        { part: 'root', d: circle([x + dx, y + 24 + i * 4], 8) },
      ]);
    default:
      return [-32, -18, -6, 6, 18, 32].map((dx) =>
        line([
          [x, y],
          [x + dx * 0.6, y + 16],
          [x + dx, y + 34 - Math.abs(dx) * 0.3],
        ]),
      );
  }
}

interface Stem {
  points: readonly Point[];
  thick: number;
  /** Where leaves stand, from the foot up, and which way up is there. */
  nodes: readonly { on: Point; up: number }[];
  tip: Point;
  /** False for a trunk: flowers and fruit stand on what branches from it. */
  bears?: boolean;
}
const between = (a: Point, b: Point, t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
const direction = (a: Point, b: Point): number => (Math.atan2(a[1] - b[1], b[0] - a[0]) * 180) / Math.PI;
const straight = (a: Point, b: Point, thick: number, nodes: number, start = 0.2): Stem => ({
  points: [a, b],
  thick,
  nodes: Array.from({ length: nodes }, (_, i) => ({
    on: between(a, b, start + ((1 - start) * (i + 0.6)) / nodes),
    up: direction(a, b),
  })),
  tip: b,
});

/** The stems that a plant of this habit and stance stands on. */
function stems(looks: Looks): Stem[] {
  const habit = first(looks, 'habit', 'broadleaf-herb');
  const stance = first(looks, 'growth-form', 'upright');
  if (habit === 'tree') {
    const fork: Point = [100, 104];
    return [
      { ...straight([100, GROUND], fork, 9, 0), bears: false },
      ...[150, 122, 90, 58, 30].map((a) => straight(fork, from(fork, a, 72), 4, 4, 0.25)),
    ];
  }
  if (habit === 'shrub') {
    const bend = stance === 'arching';
    return [140, 116, 92, 68, 44].map((a) => {
      const mid = from([100, GROUND], a, 78);
      return bend
        ? {
            ...straight([100, GROUND], mid, 4, 3),
            points: [[100, GROUND], mid, from(mid, a > 90 ? 200 : -20, 44)] as const,
            tip: from(mid, a > 90 ? 200 : -20, 44),
          }
        : straight([100, GROUND], from([100, GROUND], a, 120), 4, 5);
    });
  }
  if (habit === 'woody-vine' || habit === 'herbaceous-vine') {
    const turns = Array.from({ length: 29 }, (_, i): Point => [
      100 + Math.sin((i / 28) * Math.PI * 5) * 20,
      GROUND - (i / 28) * 160,
    ]);
    return [
      {
        points: turns,
        thick: habit === 'woody-vine' ? 4 : 2.5,
        nodes: [4, 8, 12, 16, 20, 24].map((i) => ({ on: turns[i]!, up: direction(turns[i - 1]!, turns[i + 1]!) })),
        tip: turns[28]!,
      },
    ];
  }
  if (habit === 'cactus') return [];
  if (habit === 'grass' || habit === 'sedge' || habit === 'reed')
    return [straight([100, GROUND], [104, 62], 2.5, habit === 'reed' ? 4 : 0), straight([96, GROUND], [80, 84], 2, 0)];
  if (stance === 'creeping-mat')
    return [
      straight([40, GROUND - 6], [178, GROUND - 16], 2.5, 7, 0.02),
      straight([120, GROUND - 12], [124, GROUND - 54], 2, 1),
    ];
  if (stance === 'clumped') return [112, 90, 70].map((a) => straight([100, GROUND], from([100, GROUND], a, 118), 3, 5));
  return [straight([100, GROUND], [102, 58], 4, 6, 0.12), straight([101, 116], [138, 78], 2.5, 2)];
}

/**
 * The whole plant.
 *
 * @param looks states of its characters
 * @param time what is on it
 */
export function plant(looks: Looks, time: Time): Shape[] {
  const habit = first(looks, 'habit', 'broadleaf-herb');
  const woody = habit === 'tree' || habit === 'shrub' || habit === 'woody-vine';
  const blades = habit === 'grass' || habit === 'sedge' || habit === 'reed';
  const green = time !== 'bare' || looks['leaf-season']?.includes('evergreen') === true;
  const out: Shape[] = roots(looks, [100, GROUND]);
  if (habit === 'cactus') {
    const pads: readonly [Point, number][] = [
      [[100, GROUND], 90],
      [[100, GROUND - 56], 128],
      [[100, GROUND - 56], 56],
    ];
    for (const [foot, angle] of pads) {
      out.push({ part: 'stem', d: blade(foot, angle, 62, 'roundish', 'smooth') });
      for (const t of [0.25, 0.5, 0.75])
        out.push({
          part: 'thorn',
          d: polygon([from(foot, angle, 62 * t), from(from(foot, angle, 62 * t), angle + 60, 10)], false),
          line: true,
        });
      if (time === 'flower') out.push(...flower(looks, from(foot, angle, 62), 9));
      if (time === 'fruit') out.push(...fruit(looks, from(foot, angle, 62), 8));
    }
    return out;
  }
  // a climber leans on something
  if (habit === 'woody-vine' || habit === 'herbaceous-vine')
    out.push({
      part: 'mark',
      d: polygon(
        [
          [100, GROUND],
          [100, 20],
        ],
        false,
      ),
      line: true,
    });
  if (blades && green)
    for (const [lean, long] of [
      [150, 88],
      [128, 104],
      [108, 96],
      [74, 100],
      [52, 108],
      [30, 84],
    ] as const) {
      const foot: Point = [100 + (90 - lean) * 0.12, GROUND];
      const mid = from(foot, lean > 90 ? lean - 16 : lean + 16, long * 0.6);
      const end = from(mid, lean > 90 ? lean + 24 : lean - 24, long * 0.5);
      out.push({
        part: 'leaf',
        d: `M${at(foot)}Q${at(mid)} ${at(end)}Q${at(from(mid, 0, 7))} ${at(from(foot, 0, 5))}Z`,
      });
    }
  const arrangement = first(looks, 'leaf-arrangement', 'alternate');
  const big = looks['leaf-type']?.[0] === 'pinnate' || looks['leaf-type']?.[0] === 'palmate';
  for (const stem of blades && time === 'bare' ? [] : stems(looks)) {
    out.push({ part: 'stem', d: polygon(stem.points, false), line: true, tint: String(stem.thick) });
    const long = (habit === 'tree' ? 30 : 42) * (big ? 1.3 : 1);
    if (green && arrangement !== 'none')
      for (const [i, { on, up }] of stem.nodes.entries()) {
        if (blades) {
          out.push({ part: 'leaf', d: blade(on, i % 2 ? up - 50 : up + 50, 44, 'ribbon', 'smooth') });
          continue;
        }
        const turns =
          arrangement === 'opposite' ? [58, -58] : arrangement === 'whorled' ? [70, 28, -28, -70] : [i % 2 ? 55 : -55];
        for (const turn of turns) out.push(...leaf(looks, on, up + turn, long));
      }
    if (looks.armature?.[0] === 'thorns' || looks.armature?.[0] === 'spines')
      for (const { on, up } of stem.nodes)
        out.push({
          part: 'thorn',
          d: polygon([
            from(on, up, 3),
            from(on, up - 100, looks.armature[0] === 'thorns' ? 11 : 7),
            from(on, up + 180, 3),
          ]),
        });
    if (stem.bears === false) continue;
    if (blades ? time === 'flower' || time === 'fruit' : false) out.push(...head(looks, stem.tip, 40));
    else if (time === 'flower') out.push(...flower(looks, stem.tip, habit === 'tree' ? 8 : 13));
    else if (time === 'fruit') out.push(...fruit(looks, stem.tip, habit === 'tree' ? 8 : 11));
  }
  // leaves at the ground, where the plant makes a rosette of them
  if (green && looks['leaf-arrangement']?.includes('rosette'))
    for (const angle of [172, 150, 30, 8]) out.push(...leaf(looks, [100, GROUND], angle, 50));
  if (woody && habit === 'tree') {
    const bark = first(looks, 'bark', 'smooth');
    const rows = bark === 'smooth' ? [] : [116, 130, 144, 158, 172];
    for (const y of rows)
      out.push({
        part: 'mark',
        line: true,
        d:
          bark === 'ridged'
            ? polygon(
                [
                  [98, y],
                  [98, y + 10],
                ],
                false,
              )
            : bark === 'shaggy'
              ? polygon(
                  [
                    [94, y],
                    [90, y + 8],
                  ],
                  false,
                )
              : polygon(
                  [
                    [94, y],
                    [106, y + 2],
                  ],
                  false,
                ),
      });
  }
  if (looks['stem-marks']?.[0] === 'purple-blotches' || looks['stem-marks']?.[0] === 'purple-flecks')
    for (const y of [176, 160, 148, 130])
      out.push({ part: 'mark', tint: 'purple', d: circle([100 + (y % 3) - 1, y], 2.2) });
  return out;
}
