import marks from '../../../../resources/marks.json';

/*
 * Our marks for what is kept: a glyph in a 16 x 16 field, so that no kind is told by its colour alone. The printed map
 * uses them too.
 */
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
export const MARKS: Record<string, Mark> = marks.kinds as Record<string, Mark>;
export const KINDS = Object.keys(MARKS);
/** The thorn of a target, the same on every drawing. */
export const THORN = marks.thorn;
export const svgOf = (glyph: string, colour: string, halo: string): string =>
  `data:image/svg+xml;utf8,${encodeURIComponent(
    [
      '<svg xmlns="http://www.w3.org/2000/svg" width="22" height="22" viewBox="-3 -3 22 22" fill="none" ',
      'stroke-linecap="round" stroke-linejoin="round">',
      `<circle cx="8" cy="8" r="10" fill="${halo}"/><path d="${glyph}" stroke="${colour}" stroke-width="1.8"/></svg>`,
    ].join(''),
  )}`;
