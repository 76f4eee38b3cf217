/* Our own drawings of the states of characters, one file each: resources/characters/<character>/<state>.svg. */
const files = import.meta.glob<string>('../../../../resources/characters/*/*.svg', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const byName = new Map(
  Object.entries(files).map(([path, svg]) => [
    path.split('/').slice(-2).join('/').replace('.svg', ''),
    // decoration beside a word that says the same
    svg.replace('<svg ', '<svg aria-hidden="true" focusable="false" '),
  ]),
);

/** The drawing of a state as SVG text; empty for what has none ("not sure"). */
export const drawingOf = (character: string, state: string): string => byName.get(`${character}/${state}`) ?? '';
