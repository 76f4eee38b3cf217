import { computed, ref } from 'vue';

/** How the sending stands: idle, sending, no signal, signed out, or the server refuses to take any. */
export type Sending = 'idle' | 'sending' | 'away' | 'signed-out' | 'refused';

/*
 * What the frame shows of the sending. The rest of it, with the database of the device, comes when the page is there
 * (fieldSync).
 */
export const sendingState = ref<Sending>('idle');
export const unsentNotes = ref(0);
export const useSending = () => ({
  state: computed(() => sendingState.value),
  unsent: computed(() => unsentNotes.value),
});

const sync = () => import('./fieldSync');
/** Whose notes are sent from now on: never anybody else's (B15). */
export const sendFor = (id: string | null): Promise<void> => sync().then((s) => s.sendFor(id));
export const sendNow = (): Promise<void> => sync().then((s) => s.sendNow());
