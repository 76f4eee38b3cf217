import type { Schemas } from '@/api/client';

type Card = Schemas['Shed']['cards'][number];

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();

/** Names under which somebody may still know the product, as its newest card lists them. */
export const formerNames = (card: Card): string[] => {
  const names: unknown = card.versions[0]?.body.formerNames;
  return Array.isArray(names) ? (names as unknown[]).filter((n): n is string => typeof n === 'string') : [];
};

const isReadyToUse = (card: Card): boolean => card.versions[0]?.body.formulation === 'ready-to-use';

/** Cards in which every word that was typed stands: in the name, a former name, the registration or an active. */
export function findCards(cards: readonly Card[], typed: string, activeName: (id: string) => string): Card[] {
  const words = plain(typed).split(/\s+/).filter(Boolean);
  return cards.filter((card) => {
    const newest = card.versions[0];
    const all = plain(
      [
        card.product,
        ...formerNames(card),
        newest?.registration ?? '',
        ...(newest?.actives ?? []).map((a) => activeName(a.active)),
      ].join(' '),
    );
    return words.every((w) => all.includes(w));
  });
}

/** Cards of the same actives to be mixed, for one that is sold ready to use; or ready to use, for one to be mixed. */
export function counterparts(cards: readonly Card[], card: Card): Card[] {
  const actives = (of: Card): string =>
    (of.versions[0]?.actives ?? [])
      .map((a) => a.active)
      .sort()
      .join();
  return cards.filter(
    (other) =>
      other.id !== card.id &&
      actives(other) !== '' &&
      actives(other) === actives(card) &&
      isReadyToUse(other) !== isReadyToUse(card),
  );
}

/** Whether it is sold ready to use and its label says that there is a concentrate of it. */
export const hasConcentrate = (card: Card): boolean =>
  isReadyToUse(card) && card.versions[0]?.body.concentrateExists === true;
