import Dexie, { type Table } from 'dexie';
import type { Schemas } from '@/api/client';

/** A note of a field day as this device made it, or as another did (docs/field-day.md). */
export type FieldNote = Schemas['FieldNote'] & Record<string, unknown>;

/** A sheet taken along, with all that its day needs where there is no signal. */
export interface KeptDay {
  /** user|sheet: one person's days are never shown to another (B28). */
  key: string;
  user: string;
  sheet: Schemas['Sheet'];
  timeZone: string;
  people: string[];
  /** Number of the newest note of others that this device has seen. */
  seen: number;
  withdrawn: boolean;
  signed: boolean;
  keptAt: number;
}
export interface KeptNote {
  /** user|note: two people on one phone each have theirs. */
  key: string;
  id: string;
  user: string;
  sheetId: string;
  note: FieldNote;
  /** waiting to be sent, sent, refused by the server, or made by another device */
  state: 'waiting' | 'sent' | 'refused' | 'theirs';
  why?: string;
}

/** A record that was signed on this device without signal: the server has to seal it yet (B17). */
export interface Signing {
  key: string;
  user: string;
  sheetId: string;
  /** The key of the write: sent twice, it is done once. */
  write: string;
  body: Record<string, unknown>;
  at: number;
}

/** A picture that this device took; its note is sent before it. */
export interface KeptPhoto {
  /** user|photo */
  key: string;
  id: string;
  user: string;
  sheetId: string;
  file: Blob;
  state: 'waiting' | 'refused';
  why?: string;
}

class Field extends Dexie {
  days!: Table<KeptDay, string>;
  notes!: Table<KeptNote, string>;
  signings!: Table<Signing, string>;
  photos!: Table<KeptPhoto, string>;
  constructor() {
    super('thicket-field');
    this.version(1).stores({
      days: 'key, user',
      notes: 'key, [user+state], [user+sheetId]',
      signings: 'key, user',
    });
    this.version(2).stores({ photos: 'key, [user+state], [user+sheetId]' });
  }
}
let store: Field | null = null;
export const field = (): Field => (store ??= new Field());

export const dayKey = (user: string, sheet: string): string => `${user}|${sheet}`;
export const noteKey = (user: string, note: string): string => `${user}|${note}`;

const DEVICE = 'thicket.device';
const SEQ = 'thicket.seq';
/** Made up once on this device. */
export function deviceName(): string {
  const kept = localStorage.getItem(DEVICE);
  if (kept) return kept;
  const made = crypto.randomUUID();
  localStorage.setItem(DEVICE, made);
  return made;
}
/** Counts on over reloads, so that this device's own notes keep their order whatever its clock does. */
function nextSeq(): number {
  const next = Number(localStorage.getItem(SEQ) ?? '0') + 1;
  localStorage.setItem(SEQ, String(next));
  return next;
}

/** Writes a note on this device; it is sent when it can be. */
export async function addNote(
  user: string,
  sheetId: string,
  by: string,
  at: Date,
  kind: FieldNote['kind'],
  body: Record<string, unknown>,
): Promise<FieldNote> {
  const note: FieldNote = {
    id: crypto.randomUUID(),
    kind,
    at: at.toISOString(),
    device: deviceName(),
    seq: nextSeq(),
    by,
    ...body,
  };
  await field().notes.add({ key: noteKey(user, note.id), id: note.id, user, sheetId, note, state: 'waiting' });
  return note;
}

/** Keeps a picture till it can be sent, and notes it. */
export async function addPhoto(
  user: string,
  sheetId: string,
  by: string,
  at: Date,
  file: Blob,
  text: string,
): Promise<FieldNote> {
  const id = crypto.randomUUID();
  // both or neither: a device that is full keeps no picture that nothing names
  return field().transaction('rw', field().photos, field().notes, async () => {
    await field().photos.add({ key: noteKey(user, id), id, user, sheetId, file, state: 'waiting' });
    return addNote(user, sheetId, by, at, 'photo', { photo: id, ...(text ? { text } : {}) });
  });
}

/** A picture that was taken back is not sent any more. */
export const dropPhoto = (user: string, id: string): Promise<void> => field().photos.delete(noteKey(user, id));

/** Not with the server yet: what waits, and what it refused and a person has to look at. */
export const countUnsent = async (user: string): Promise<number> =>
  (await field().notes.where('[user+state]').anyOf([user, 'waiting'], [user, 'refused']).count()) +
  (await field().photos.where('[user+state]').between([user, Dexie.minKey], [user, Dexie.maxKey]).count()) +
  (await field().signings.where('user').equals(user).count());

/** Everything of one person on this device goes; called when signing out after they agreed. */
export async function clearField(user: string): Promise<void> {
  await field().notes.where('[user+state]').between([user, Dexie.minKey], [user, Dexie.maxKey]).delete();
  await field().days.where('user').equals(user).delete();
  await field().signings.where('user').equals(user).delete();
  await field().photos.where('[user+state]').between([user, Dexie.minKey], [user, Dexie.maxKey]).delete();
}
