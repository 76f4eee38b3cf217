/*
 * Where the person stands, from whatever can tell: the device's own position, or the simulated receiver of the demo
 * (B30).
 */
export interface Fix {
  position: [number, number];
  at: string;
  /** Dilution; for a device it is reckoned from its metres of accuracy (about 4 m to 1). */
  dilution: number | null;
}
export interface PositionSource {
  start(on: { fix: (fix: Fix) => void; lost: () => void; broken: () => void; failed: (why: string) => void }): void;
  stop(): void;
}

export const deviceSource = (): PositionSource => {
  let watching: number | null = null;
  return {
    start(on) {
      if (!('geolocation' in navigator)) return on.failed('none');
      watching = navigator.geolocation.watchPosition(
        (p) =>
          on.fix({
            position: [p.coords.longitude, p.coords.latitude],
            at: new Date(p.timestamp).toISOString(),
            dilution: p.coords.accuracy ? p.coords.accuracy / 4 : null,
          }),
        (e) => (e.code === e.PERMISSION_DENIED ? on.failed('denied') : on.lost()),
        { enableHighAccuracy: true, maximumAge: 0 },
      );
    },
    stop() {
      if (watching !== null) navigator.geolocation.clearWatch(watching);
      watching = null;
    },
  };
};

export const standInSource = (near: [number, number]): PositionSource => {
  let stream: EventSource | null = null;
  return {
    start(on) {
      stream = new EventSource(`/api/v1/stand-ins/gps?longitude=${near[0].toFixed(6)}&latitude=${near[1].toFixed(6)}`);
      stream.addEventListener('fix', (e) => on.fix(JSON.parse((e as MessageEvent<string>).data) as Fix));
      stream.addEventListener('no-fix', () => on.lost());
      stream.addEventListener('broken', () => on.broken());
      const silent = (): void => {
        // the stream does not come back by itself: a second walk would begin elsewhere
        stream?.close();
        on.failed('silent');
      };
      stream.addEventListener('end', silent);
      stream.onerror = silent;
    },
    stop() {
      stream?.close();
      stream = null;
    },
  };
};
