import { createI18n } from 'vue-i18n';
import { shallowRef } from 'vue';
import en from '@/messages/en.json';

/**
 * The languages of the interface. A third one is files only: messages/XX.json here, lang/XX for the sentences of the
 * job, and a line in each table of languages (CONTRIBUTING.md).
 */
export const LOCALES = ['en', 'es'] as const;
export type Locale = (typeof LOCALES)[number];

/** What each is called in itself, how it writes days and numbers, and where its words come from. */
const OF: Record<Locale, { name: string; formats: string; words: () => Promise<{ default: typeof en }> }> = {
  en: { name: 'English', formats: 'en-GB', words: () => Promise.resolve({ default: en }) },
  es: {
    name: 'Español',
    // of the Americas: a point before decimals, as the amounts of the job are written
    formats: 'es-MX',
    words: () => import('@/messages/es.json'),
  },
};
const KEPT = 'thicket.locale';

export const i18n = createI18n({ legacy: false, locale: 'en', fallbackLocale: 'en', messages: { en } as never });
/** Words of the parts of Element Plus: their own file of the language; English comes with the parts. */
export const partWords = shallowRef<object | undefined>(undefined);

export const isLocale = (given: unknown): given is Locale => LOCALES.some((l) => l === given);
export const nameOf = (locale: Locale): string => OF[locale].name;
export const spoken = (): Locale => i18n.global.locale.value as Locale;
/** By which days, times and numbers are written. */
export const formats = (): string => OF[spoken()].formats;

/** The language before anybody is known: the one of last time here, else the browser's. */
export const firstLocale = (): Locale => {
  const kept = localStorage.getItem(KEPT);
  if (isLocale(kept)) return kept;
  return navigator.languages.map((l) => l.slice(0, 2)).find(isLocale) ?? LOCALES[0];
};

export async function speak(locale: Locale): Promise<void> {
  if (!i18n.global.availableLocales.includes(locale))
    i18n.global.setLocaleMessage(locale as never, (await OF[locale].words()).default as never);
  partWords.value = locale === 'es' ? (await import('element-plus/es/locale/lang/es')).default : undefined;
  i18n.global.locale.value = locale;
  document.documentElement.lang = locale;
  localStorage.setItem(KEPT, locale);
}
