import type Feature from 'ol/Feature';
import MultiPoint from 'ol/geom/MultiPoint';
import { Circle, Fill, Icon, RegularShape, Stroke, Style, Text } from 'ol/style';
import { MARKS, svgOf, THORN } from './marks';

/** A colour token of the light in use. */
/** Reading a computed style costs, and a map of thousands asks for each feature: kept till the light changes. */
const inks = new Map<string, string>();
export const forgetInks = (): void => inks.clear();
export const inkOf = (token: string): string => {
  if (!inks.has(token))
    inks.set(token, getComputedStyle(document.documentElement).getPropertyValue(`--${token}`).trim());
  return inks.get(token)!;
};
export const labelFill = (): Stroke => new Stroke({ color: inkOf('paper'), width: 4 });
/** A colour let through: `share` in two hexadecimal digits. Builds write #000000 as #000. */
const faint = (colour: string, share: string): string => {
  const full = /^#[0-9a-f]{3}$/i.test(colour) ? colour.replace(/[0-9a-f]/gi, '$&$&') : colour;
  return full.length === 7 ? full + share : full;
};

const label = (feature: Feature, token: string, offsetY = 0): Text =>
  new Text({
    text: String(feature.get('name') ?? ''),
    font: '600 14px "Atkinson Hyperlegible Next Variable", sans-serif',
    fill: new Fill({ color: inkOf(token) }),
    stroke: labelFill(),
    offsetY,
    overflow: true,
  });

/** A patch of a far-off view: no name, one style for all, so that thousands draw without a stall. */
let far: { ink: string; style: Style } | null = null;
const farStyle = (): Style => {
  const ink = inkOf('sloe');
  if (far?.ink !== ink)
    far = {
      ink,
      style: new Style({ fill: new Fill({ color: faint(ink, '14') }), stroke: new Stroke({ color: ink, width: 1 }) }),
    };
  return far.style;
};

/** Targets are drawn in sloe with a thorn, the same everywhere. */
export function patchStyle(feature: Feature, chosen: boolean, detail: 'full' | 'coarse'): Style[] | Style {
  if (detail === 'coarse' && !chosen) return farStyle();
  const sloe = inkOf('sloe');
  const area = new Style({
    fill: new Fill({ color: faint(sloe, chosen ? '33' : '14') }),
    stroke: new Stroke({ color: sloe, width: chosen ? 4 : 2 }),
    text: label(feature, 'ink', chosen ? -14 : 0),
    zIndex: chosen ? 2 : 1,
  });
  if (!chosen) return [area];
  const at = feature.getGeometry();
  return [
    area,
    new Style({
      geometry:
        at && 'getInteriorPoint' in at
          ? (at as unknown as { getInteriorPoint(): never }).getInteriorPoint()
          : undefined,
      image: new Icon({ declutterMode: 'none', src: svgOf(THORN, sloe, inkOf('paper')), displacement: [0, -6] }),
      zIndex: 3,
    }),
  ];
}

export function drawnStyle(feature: Feature, kind: string): Style[] {
  if (kind === 'zone')
    return [
      new Style({
        stroke: new Stroke({ color: inkOf('ink-soft'), width: 1.5, lineDash: [3, 5] }),
        text: label(feature, 'ink-soft'),
      }),
    ];
  const mark = MARKS[kind] ?? MARKS.tree!;
  const colour = inkOf(mark.ink);
  const type = feature.getGeometry()?.getType();
  const icon = new Icon({ declutterMode: 'none', src: svgOf(mark.glyph, colour, inkOf('paper')) });
  if (type === 'Point') return [new Style({ image: icon, text: label(feature, mark.ink, 20) })];
  const line = new Style({
    stroke: new Stroke({ color: colour, width: mark.width, ...(mark.dash ? { lineDash: mark.dash } : {}) }),
    text:
      type === 'LineString'
        ? new Text({ ...textParts(feature, mark.ink), placement: 'line', textBaseline: 'bottom', offsetY: -4 })
        : label(feature, mark.ink, 18),
    ...(type === 'Polygon'
      ? {
          fill: new Fill({
            color: faint(kind === 'pond' ? inkOf('water-fill') : colour, kind === 'building' ? '66' : '22'),
          }),
        }
      : {}),
  });
  if (type !== 'Polygon') return [line];
  const at = feature.getGeometry() as unknown as { getInteriorPoint(): never };
  return [line, new Style({ geometry: at.getInteriorPoint(), image: icon })];
}
const textParts = (feature: Feature, token: string) => ({
  text: String(feature.get('name') ?? ''),
  font: '600 13px "Atkinson Hyperlegible Next Variable", sans-serif',
  fill: new Fill({ color: inkOf(token) }),
  stroke: labelFill(),
  overflow: true,
});

export const plotStyle = (feature: Feature): Style =>
  new Style({
    image: new RegularShape({
      declutterMode: 'none',
      points: 4,
      radius: 7,
      angle: Math.PI / 4,
      fill: new Fill({ color: inkOf('paper') }),
      stroke: new Stroke({ color: inkOf('haw'), width: 2 }),
    }),
    text: label(feature, 'haw', -14),
  });

export function workStyle(feature: Feature): Style[] {
  const colour = inkOf('haw');
  const paper = new Fill({ color: inkOf('paper') });
  if (feature.get('here'))
    return [
      new Style({
        image: new Circle({
          radius: 8,
          fill: new Fill({ color: inkOf('sloe') }),
          stroke: new Stroke({ color: inkOf('paper'), width: 3 }),
        }),
      }),
    ];
  if (feature.get('ghost'))
    return [new Style({ stroke: new Stroke({ color: inkOf('bark'), width: 3, lineDash: [4, 6] }) })];
  if (feature.get('way'))
    return [new Style({ stroke: new Stroke({ color: inkOf('sloe'), width: 3, lineDash: [2, 6] }) })];
  const type = feature.getGeometry()?.getType();
  const dot = new Circle({ radius: 5, fill: paper, stroke: new Stroke({ color: colour, width: 2.5 }) });
  const all = new Style({
    stroke: new Stroke({ color: colour, width: 3, lineDash: [10, 5] }),
    fill: new Fill({ color: faint(colour, '1c') }),
    image: dot,
  });
  if (type === 'Point') return [all];
  return [
    all,
    new Style({
      image: dot,
      geometry: (f) => {
        const g = f.getGeometry() as unknown as
          { getCoordinates(): number[][] | number[][][]; getType(): string } | undefined;
        if (!g) return undefined;
        const points =
          g.getType() === 'Polygon' ? (g.getCoordinates() as number[][][]).flat() : (g.getCoordinates() as number[][]);
        return new MultiPoint(points);
      },
    }),
  ];
}
