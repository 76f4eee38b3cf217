import type { Schemas } from '@/api/client';

/** A drawn thing as GeoJSON, longitude first. */
export type Shape = Schemas['Shape'];
export type Position = [number, number];

export const isPolygon = (s: Shape | null): boolean => s?.type === 'Polygon';
/** Positions of the outer ring (without its closing one), the line, or the point. */
export function corners(shape: Shape | null): Position[] {
  if (!shape) return [];
  const c = shape.coordinates as unknown;
  if (shape.type === 'Point') return [c as Position];
  if (shape.type === 'LineString') return c as Position[];
  const ring = (c as Position[][])[0] ?? [];
  return ring.slice(0, -1);
}
/** The shape of a kind through these positions; null while there are too few. */
export function through(type: Shape['type'], positions: Position[]): Shape | null {
  const least = { Point: 1, LineString: 2, Polygon: 3 }[type];
  if (positions.length < least) return null;
  const first = positions[0]!;
  const coordinates: unknown = type === 'Point' ? first : type === 'LineString' ? positions : [[...positions, first]];
  return { type, coordinates: coordinates as unknown[] };
}
