import { computed, onScopeDispose, ref } from 'vue';
import { deviceSource, standInSource, type Fix, type PositionSource } from '@/features/position/positionSource';

/** longitude, latitude, seconds since 1970, metres of error */
export type TrackPoint = [number, number, number, number | null];
/** A track is written down piece by piece, so that a battery that dies takes little along. */
const PIECE_MS = 20_000;
const MOST_POINTS = 400;
/** Metres of error at a dilution of one. */
const METRES_A_DILUTION = 4;

/** Whether a position lies within closed rings: the outer one, not its holes. */
export function isWithin(position: readonly [number, number], rings: readonly (readonly number[][])[]): boolean {
  const [x, y] = position;
  const inRing = (ring: readonly number[][]): boolean => {
    let inside = false;
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [xi = 0, yi = 0] = ring[i] ?? [];
      const [xj = 0, yj = 0] = ring[j] ?? [];
      if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
    }
    return inside;
  };
  const [outer, ...holes] = rings;
  return outer !== undefined && inRing(outer) && !holes.some(inRing);
}

/** Records where this phone goes, and hands it over piece by piece. */
export function useTrack(keep: (points: TrackPoint[]) => void, demo: () => boolean) {
  const recording = ref(false);
  const failure = ref<string | null>(null);
  const lost = ref(false);
  const here = ref<TrackPoint | null>(null);
  const points = ref<TrackPoint[]>([]);
  let piece: TrackPoint[] = [];
  let source: PositionSource | null = null;
  let timer: ReturnType<typeof setInterval> | undefined;

  const flush = (): void => {
    if (piece.length > 0) keep(piece);
    piece = [];
  };
  const take = (fix: Fix): void => {
    lost.value = false;
    const point: TrackPoint = [
      fix.position[0],
      fix.position[1],
      Math.floor(Date.parse(fix.at) / 1000),
      fix.dilution === null ? null : Math.round(fix.dilution * METRES_A_DILUTION * 10) / 10,
    ];
    here.value = point;
    points.value = [...points.value, point].slice(-5000);
    piece.push(point);
    if (piece.length >= MOST_POINTS) flush();
  };
  const stop = (): void => {
    flush();
    source?.stop();
    source = null;
    clearInterval(timer);
    recording.value = false;
  };
  const start = (near: [number, number]): void => {
    failure.value = null;
    recording.value = true;
    source = demo() ? standInSource(near) : deviceSource();
    timer = setInterval(flush, PIECE_MS);
    source.start({
      fix: take,
      lost: () => (lost.value = true),
      broken: () => undefined,
      failed: (why) => {
        failure.value = why;
        stop();
      },
    });
  };
  onScopeDispose(stop);
  return { recording, failure, lost, here, points: computed(() => points.value), start, stop };
}
