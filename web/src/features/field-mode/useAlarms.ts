import { onScopeDispose, ref, watch, type Ref } from 'vue';
import { jobNow } from '@/api/client';

/** The time, every second, for clocks that run; and a sound with a buzz when one of them is due. */
export function useAlarms(sounded: Ref<number>) {
  const now = ref(jobNow().getTime());
  const timer = setInterval(() => (now.value = jobNow().getTime()), 1000);
  onScopeDispose(() => clearInterval(timer));
  let audio: AudioContext | null = null;
  /** Browsers let a page be heard once somebody has touched it. */
  const ready = (): void => {
    audio ??= 'AudioContext' in window ? new AudioContext() : null;
    void audio?.resume();
  };
  const ring = (): void => {
    navigator.vibrate?.([300, 120, 300, 120, 600]);
    if (!audio) return;
    for (const [i, hertz] of [880, 660, 880].entries()) {
      const tone = audio.createOscillator();
      const loud = audio.createGain();
      tone.frequency.value = hertz;
      loud.gain.value = 0.25;
      tone.connect(loud).connect(audio.destination);
      tone.start(audio.currentTime + i * 0.35);
      tone.stop(audio.currentTime + i * 0.35 + 0.25);
    }
  };
  watch(sounded, (n, before) => {
    if (n > before) ring();
  });
  return { now, ready };
}
