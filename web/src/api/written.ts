import { useQueryClient } from '@tanstack/vue-query';

/**
 * What is asked again once something was written, by the first word of its key. What is left out hangs on no write of
 * a crew: the handbook, its sums and its names change with the server only.
 */
const OF_A_STAND = ['stand', 'recipe', 'batches', 'sheet', 'record', 'today'] as const;
const OF_GROUND = ['grounds', 'patch', 'patches', 'keepers'] as const;
export const HANGS_ON = {
  /** A step, a count, a recipe, a sheet, a record, a look-back: patches tell how their stands are. */
  stand: [...OF_A_STAND, ...OF_GROUND, 'sightings', 'sighting', 'shed'],
  /** A card, a jug, a sprayer, a tool, a person, a choice: all that is judged and mixed by it. */
  shed: ['shed', ...OF_A_STAND],
  /** An outline, a name, a setting, something kept: all that is judged there; the first one tells the Shed's zone. */
  ground: ['session', 'shed', ...OF_GROUND, ...OF_A_STAND, 'sightings', 'sighting'],
  sighting: ['sightings', 'sighting', ...OF_GROUND, ...OF_A_STAND],
  /** What the crew's law says of a species; it is kept with the crew, whose revision the Shed shows. */
  listing: ['shed', 'species', 'species-list', ...OF_A_STAND],
} as const satisfies Record<string, readonly string[]>;
/** Hangs on no write. */
export const STANDS_STILL = ['handbook', 'sums', 'comparison', 'key', 'search'] as const;

/**
 * const written = useWritten();
 * await written('stand'); // what hangs on it is asked again
 */
export const useWritten = (): ((what: keyof typeof HANGS_ON) => Promise<void>) => {
  const client = useQueryClient();
  return async (what) => {
    const hangs = new Set<unknown>(HANGS_ON[what]);
    await client.invalidateQueries({ predicate: (query) => hangs.has(query.queryKey[0]) });
  };
};
