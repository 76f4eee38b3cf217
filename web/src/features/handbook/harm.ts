import type { Schemas } from '@/api/client';

/** What the parts of a plant do, a line each: "Burns the skin: stems, leaves." */
export function harmOf(
  drawing: Schemas['Drawing'],
  t: (key: string, values?: Record<string, string>) => string,
): string[] {
  const marked = Object.entries(drawing.marked);
  return [...new Set(marked.map(([, does]) => does))].map((does) =>
    t(`plant.${does}`, {
      part: marked
        .filter(([, d]) => d === does)
        .map(([part]) => t(`plant.part.${part}`))
        .join(', '),
    }),
  );
}
