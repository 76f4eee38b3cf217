/* Our marks for what is kept: a glyph in a 16 x 16 field, so that no kind is told by its colour alone. */
export type Ink = 'moss' | 'rime' | 'bark' | 'ink';
export interface Mark {
  ink: Ink;
  /** SVG path, stroked. */
  glyph: string;
  /** Dashes of its line, in pixels. */
  dash?: number[];
  /** Width of its line. */
  width: number;
}
export const MARKS: Record<string, Mark> = {
  tree: { ink: 'moss', glyph: 'M8 15V9M8 9a4 4 0 1 1 .01 0M6 5l2 2 2-3', width: 2 },
  shrub: { ink: 'moss', glyph: 'M8 14V9M8 11 4 7M8 10l4-4M4 7a2 2 0 1 1 .01 0M12 6a2 2 0 1 1 .01 0', width: 2 },
  planting: { ink: 'moss', glyph: 'M4 14V9M4 9 2 6M4 9l2-3M12 14V9M12 9l-2-3M12 9l2-3M8 9V3M8 4 6 1M8 4l2-3', width: 2, dash: [8, 3] },
  grass: { ink: 'moss', glyph: 'M8 14V5M5 14C5 10 4 8 2 6M11 14c0-4 1-6 3-8', width: 2, dash: [2, 4] },
  forbs: { ink: 'moss', glyph: 'M8 15V8M8 8a1.5 1.5 0 1 1 .01 0M8 3v2M3 6l3 1M13 6l-3 1', width: 2, dash: [4, 4] },
  crop: { ink: 'moss', glyph: 'M3 14V3M8 14V3M13 14V3M3 6l2-2M8 6l2-2M13 6l2-2', width: 2, dash: [10, 3, 2, 3] },
  hive: { ink: 'bark', glyph: 'M4 14h8V8c0-6-8-6-8 0zM4 8h8M4 11h8', width: 2 },
  well: { ink: 'rime', glyph: 'M8 14a6 6 0 1 1 .01 0M8 11a3 3 0 1 1 .01 0', width: 2 },
  stream: { ink: 'rime', glyph: 'M1 6c3-4 4 4 7 0s4 4 7 0M1 11c3-4 4 4 7 0s4 4 7 0', width: 4 },
  pond: { ink: 'rime', glyph: 'M2 9c0-4 4-5 6-5s6 2 6 5-3 4-6 4-6-1-6-4M5 9h6', width: 2 },
  drain: { ink: 'rime', glyph: 'M2 4l6 8 6-8M8 12v3', width: 3, dash: [6, 5] },
  path: { ink: 'bark', glyph: 'M5 15c0-5 6-5 6-9 0-2-2-3-2-5M2 15c0-6 6-6 6-9', width: 3, dash: [9, 4, 2, 4] },
  fence: { ink: 'ink', glyph: 'M1 8h14M4 3v10M8 3v10M12 3v10', width: 1.5, dash: [1, 4] },
  building: { ink: 'ink', glyph: 'M2 14V7l6-5 6 5v7zM7 14v-4h2v4', width: 2.5 },
  stock: { ink: 'bark', glyph: 'M3 3c0 4 2 5 5 5s5-1 5-5M8 8v6M5 11h6', width: 2, dash: [12, 5] },
};
export const KINDS = Object.keys(MARKS) as (keyof typeof MARKS)[];
/** The thorn of a target, the same on every drawing. */
export const THORN = 'M2 13C6 13 8 9 8 3c0 6 2 10 6 10';
export const svgOf = (glyph: string, colour: string, halo: string): string =>
  `data:image/svg+xml;utf8,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="22" height="22" viewBox="-3 -3 22 22" fill="none" stroke-linecap="round" stroke-linejoin="round"><circle cx="8" cy="8" r="10" fill="${halo}"/><path d="${glyph}" stroke="${colour}" stroke-width="1.8"/></svg>`)}`;
