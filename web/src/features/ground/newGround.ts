import { api, unwrap, type Schemas } from '@/api/client';

/** What is typed of a ground before it is kept. */
export interface NewGround {
  name: string;
  latitude: string;
  longitude: string;
  elevation: string;
  hardinessZone: string;
  timeZone: string;
}

/** Empty but for the time zone, which the browser knows. */
export const newGround = (): NewGround => ({
  name: '',
  latitude: '',
  longitude: '',
  elevation: '',
  hardinessZone: '',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
});

export const keepNewGround = (form: NewGround): Promise<Schemas['Ground']> =>
  unwrap(api.POST('/grounds', { body: { ...form, hardinessZone: form.hardinessZone || undefined } }));
