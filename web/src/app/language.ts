import { createI18n } from 'vue-i18n';
import { shallowRef } from 'vue';
import en from '@/messages/en.json';

/** Every file messages/XX.json is a language; its "language" says by whose days and numbers it writes. */
const WORDS = import.meta.glob<{ default: typeof en }>(['../messages/*.json', '!../messages/en.json']);
/** Words of the parts of Element Plus, of a language that they do not come with: messages/XX.parts.ts. */
const PARTS = import.meta.glob<{ default: object }>('../messages/*.parts.ts');
const FIRST = 'en';
const KEPT = 'thicket.locale';

export const LOCALES = [FIRST, ...Object.keys(WORDS).map((file) => file.replace(/^.*\/(.*)\.json$/, '$1'))];
export const i18n = createI18n({ legacy: false, locale: FIRST, fallbackLocale: FIRST, messages: { en } as never });
export const partWords = shallowRef<object | undefined>(undefined);
const formatsOf = shallowRef(en.language.formats);

/** What a language is called in itself. */
export const nameOf = (locale: string): string => {
  const name = new Intl.DisplayNames([locale], { type: 'language' }).of(locale) ?? locale;
  return name.charAt(0).toLocaleUpperCase(locale) + name.slice(1);
};
export const spoken = (): string => i18n.global.locale.value;
/** A word of the interface, outside of what is shown by a component. */
export const say = (key: string): string => (i18n.global as unknown as { t: (key: string) => string }).t(key);
/** By which days, times and numbers are written. */
export const formats = (): string => formatsOf.value;

/** The language before anybody is known: the one of last time here, else the browser's. */
export const firstLocale = (): string =>
  [localStorage.getItem(KEPT), ...navigator.languages.map((l) => l.slice(0, 2))].find(
    (l) => l !== null && LOCALES.includes(l),
  ) ?? FIRST;

/** What was asked last: words that come late do not take a later choice back. */
let wanted = FIRST;
export async function speak(locale: string): Promise<void> {
  wanted = locale;
  const [words, parts] = await Promise.all([
    WORDS[`../messages/${locale}.json`]?.(),
    PARTS[`../messages/${locale}.parts.ts`]?.(),
  ]);
  if (wanted !== locale) return;
  if (words) i18n.global.setLocaleMessage(locale as never, words.default as never);
  formatsOf.value = (words?.default ?? en).language.formats;
  partWords.value = parts?.default;
  i18n.global.locale.value = locale;
  document.documentElement.lang = locale;
  localStorage.setItem(KEPT, locale);
}
