import type { Query, QueryClient, QueryKey } from '@tanstack/vue-query';
import type { Middleware } from 'openapi-fetch';
import type { Schemas } from './client';
import { recipeQuery, seasonQuery, shedQuery, sightingQuery, standQuery } from './queries';
import type { paths } from './schema';

/**
 * What is asked again once something was written, by the first word of its key. What is left out hangs on no write of
 * a crew: the handbook, its sums and its names change with the server only.
 */
const OF_A_STAND = ['stand', 'accounts', 'recipe', 'batches', 'sheet', 'record', 'today', 'season'] as const;
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
  /** A product drawn for a batch: the jug is lighter, the load is mixed. */
  batch: ['shed', 'recipe', 'batches', 'stand', 'today'],
  /** Days of jobs and people: Today tells them, a job is judged by who there is. */
  season: ['shed', ...OF_A_STAND],
  /** A forecast: hours, and what is open today. */
  weather: ['weather', ...OF_A_STAND],
  /** A note of a field day. */
  field: ['sheet', 'today'],
  /** One's own account: how one is called stands in the strip. */
  me: ['me', 'session', 'crew'],
  /** Who is of the crew, and who did what. */
  people: ['crew', 'acts', 'session', 'shed'],
  /** What the crew set for all its work: all that is judged and mixed by it. */
  crew: ['crew', 'acts', 'session', 'shed', ...OF_A_STAND],
  /** Only works something out, or is kept where it stands (who is here). */
  nothing: [],
} as const satisfies Record<string, readonly string[]>;
/** Hangs on no write. */
export const STANDS_STILL = ['handbook', 'sums', 'comparison', 'key', 'search', 'paper', 'calendar', 'invite'] as const;

type Verb = 'post' | 'put' | 'patch' | 'delete';
/** Every write of openapi.yaml: 'POST /grounds'. */
type Write = {
  [P in keyof paths]: {
    [V in Verb]: paths[P] extends Record<V, { responses: unknown }> ? `${Uppercase<V>} ${P}` : never;
  }[Verb];
}[keyof paths];

/** What each write makes stale; the compiler asks for a line for each one of openapi.yaml. */
export const MUTATIONS = {
  'POST /setup': 'nothing',
  'POST /session': 'nothing',
  'PATCH /session': 'nothing',
  'POST /session/calendar': 'nothing',
  'DELETE /session/calendar': 'nothing',
  'DELETE /session': 'nothing',
  'POST /session/password': 'nothing',
  'POST /password-reset': 'nothing',
  'PUT /password-reset': 'nothing',
  'POST /invites/{token}': 'nothing',

  'PATCH /me': 'me',
  'PUT /me/password': 'me',
  'POST /me/second-factor': 'nothing',
  'PUT /me/second-factor': 'me',
  'DELETE /me/second-factor': 'me',
  'POST /me/recovery-codes': 'me',
  'DELETE /me/sessions': 'me',
  'DELETE /me/sessions/{open}': 'me',
  'POST /me/tokens': 'me',
  'DELETE /me/tokens/{accessToken}': 'me',

  'PATCH /crew': 'crew',
  'POST /crew/close': 'nothing',
  'POST /crew/invites': 'people',
  'DELETE /crew/invites/{invite}': 'people',
  'PATCH /crew/members/{member}': 'people',
  'DELETE /crew/members/{member}': 'people',
  'POST /crew/members/{member}/reset-code': 'people',

  'POST /grounds': 'ground',
  'PATCH /grounds/{ground}': 'ground',
  'POST /grounds/{ground}/patches': 'ground',
  'POST /grounds/{ground}/keepers': 'ground',
  'POST /grounds/{ground}/imports/preview': 'nothing',
  'POST /grounds/{ground}/imports': 'ground',
  'DELETE /imports/{import}': 'nothing',
  'POST /outlines': 'nothing',
  'POST /places': 'nothing',
  'PATCH /patches/{patch}': 'ground',
  'POST /patches/{patch}/split': 'ground',
  'POST /patches/{patch}/merge': 'ground',
  'POST /patches/{patch}/hole': 'ground',
  'POST /patches/{patch}/archive': 'ground',
  'POST /patches/{patch}/zones': 'ground',
  'POST /patches/{patch}/keepers': 'ground',
  'POST /patches/{patch}/stands': 'ground',
  'PUT /keepers/{keeper}': 'ground',
  'DELETE /keepers/{keeper}': 'ground',
  'DELETE /zones/{zone}': 'ground',

  'POST /identify': 'nothing',
  'POST /sightings': 'sighting',
  'PUT /sightings/{sighting}': 'sighting',
  'POST /sightings/{sighting}/photos': 'sighting',
  'DELETE /photos/{photo}': 'sighting',
  'POST /readings': 'stand',
  'POST /patches/{patch}/observations': 'stand',
  'POST /stands/{stand}/sightings': 'stand',
  'POST /stands/{stand}/plot-plans': 'stand',
  'PUT /stands/{stand}/tally': 'stand',
  'POST /stands/{stand}/tally/csv': 'nothing',
  'PUT /stands/{stand}/assignee': 'stand',
  'POST /stands/{stand}/close': 'stand',

  'PUT /stands/{stand}/weights': 'stand',
  'PUT /stands/{stand}/outlook': 'stand',
  'POST /stands/{stand}/patrols': 'stand',
  'POST /records/{record}/round': 'stand',
  'PUT /stands/{stand}/step': 'stand',
  'POST /stands/{stand}/programme': 'stand',
  'DELETE /stands/{stand}/programme': 'stand',
  'PUT /handbook/species/{id}/listing': 'listing',

  'POST /mix/sums': 'nothing',
  'POST /mix/purchase': 'nothing',
  'PUT /steps/{step}/recipe': 'stand',
  'PUT /steps/{step}/card': 'stand',
  'POST /steps/{step}/batches': 'batch',

  'POST /stands/{stand}/sheets': 'stand',
  'POST /sheets/{sheet}/withdraw': 'stand',
  'POST /sheets/{sheet}/notes': 'field',
  'POST /sheets/{sheet}/photos': 'field',
  'POST /sheets/{sheet}/tracks': 'field',
  'POST /records/{record}/amendments': 'stand',
  'POST /standing-trees/{standing}/looks': 'stand',
  'POST /stands/{stand}/duties': 'stand',
  'DELETE /duties/{duty}': 'stand',
  'POST /sheets/{sheet}/records': 'stand',
  'POST /records/{record}/look-backs': 'stand',
  'POST /papers': 'nothing',

  'PATCH /shed/choices': 'shed',
  'POST /shed/cards': 'shed',
  'POST /shed/cards/starters': 'shed',
  'PUT /shed/cards/{card}/packs': 'shed',
  'POST /shed/card-versions/{version}/confirm': 'shed',
  'POST /shed/containers': 'shed',
  'PATCH /shed/containers/{container}': 'shed',
  'DELETE /shed/containers/{container}': 'shed',
  'POST /shed/containers/{container}/draws': 'shed',
  'POST /shed/sprayers': 'shed',
  'PUT /shed/sprayers/{sprayer}': 'shed',
  'POST /shed/sprayers/{sprayer}/cleanings': 'shed',
  'POST /shed/sprayers/{sprayer}/calibrations': 'shed',
  'PUT /shed/lessons/{lesson}': 'shed',
  'POST /shed/tools': 'shed',
  'DELETE /shed/tools/{tool}': 'shed',
  'POST /shed/tools/{tool}/loans': 'shed',
  'POST /shed/loans/{loan}/return': 'shed',
  'POST /shed/people': 'shed',
  'PUT /shed/people/{person}': 'shed',

  'PUT /stand-ins/weather': 'weather',
  'POST /grounds/{ground}/weather': 'weather',
  'DELETE /grounds/{ground}/weather': 'weather',
  'POST /season-plan/proposal': 'nothing',
  'POST /season-plan': 'season',
  'PUT /season-plan/terms': 'season',
  'PUT /season-plan/jobs/{step}': 'season',
  'PUT /season-plan/jobs/{step}/time': 'season',
  'PUT /season-plan/people/{person}': 'season',
  'POST /season-plan/away': 'season',
  'DELETE /season-plan/away/{away}': 'season',
  'POST /season-plan/busy': 'season',
  'PUT /stands/{stand}/priority': 'stand',
} as const satisfies Record<Write, keyof typeof HANGS_ON>;

/**
 * Where the answer of a write is what a query would get: taken at once, so that the next write is held against the
 * revision that this one made.
 */
type AnswerOf<W extends Write> = W extends `${infer V} ${infer P extends keyof paths}`
  ? Lowercase<V> extends infer L extends keyof paths[P]
    ? paths[P][L] extends { responses: infer R }
      ? {
          [S in keyof R]: S extends 200 | 201
            ? R[S] extends { content: { 'application/json': infer J } }
              ? J
              : never
            : never;
        }[keyof R]
      : never
    : never
  : never;
const SHED: (shed: Schemas['Shed']) => QueryKey = () => shedQuery().queryKey;
const SEASON: (season: Schemas['Season']) => QueryKey = () => seasonQuery().queryKey;
const STAND = (stand: Schemas['Stand']): QueryKey => standQuery(stand.id).queryKey;
const SIGHTING = (sighting: Schemas['Sighting']): QueryKey => sightingQuery(sighting.id).queryKey;
const RECIPE = (recipe: Schemas['Recipe']): QueryKey => recipeQuery(recipe.stepId, {}).queryKey;
export const ANSWERS_ARE: { [W in Write]?: (answer: AnswerOf<W>) => QueryKey } = {
  'PATCH /shed/choices': SHED,
  'POST /shed/cards': SHED,
  'PUT /shed/cards/{card}/packs': SHED,
  'POST /shed/card-versions/{version}/confirm': SHED,
  'POST /shed/containers': SHED,
  'PATCH /shed/containers/{container}': SHED,
  'DELETE /shed/containers/{container}': SHED,
  'POST /shed/containers/{container}/draws': SHED,
  'POST /shed/sprayers': SHED,
  'PUT /shed/sprayers/{sprayer}': SHED,
  'POST /shed/sprayers/{sprayer}/cleanings': SHED,
  'PUT /shed/lessons/{lesson}': SHED,
  'POST /shed/tools': SHED,
  'DELETE /shed/tools/{tool}': SHED,
  'POST /shed/tools/{tool}/loans': SHED,
  'POST /shed/loans/{loan}/return': SHED,
  'POST /shed/people': SHED,
  'PUT /shed/people/{person}': SHED,
  'POST /season-plan': SEASON,
  'PUT /season-plan/terms': SEASON,
  'PUT /season-plan/jobs/{step}': SEASON,
  'PUT /season-plan/jobs/{step}/time': SEASON,
  'PUT /season-plan/people/{person}': SEASON,
  'POST /season-plan/away': SEASON,
  'DELETE /season-plan/away/{away}': SEASON,
  'POST /season-plan/busy': SEASON,
  'PUT /stands/{stand}/priority': SEASON,
  'POST /stands/{stand}/sightings': STAND,
  'PUT /stands/{stand}/tally': STAND,
  'PUT /stands/{stand}/assignee': STAND,
  'POST /stands/{stand}/close': STAND,
  'PUT /stands/{stand}/weights': STAND,
  'PUT /stands/{stand}/step': STAND,
  'POST /stands/{stand}/programme': STAND,
  'DELETE /stands/{stand}/programme': STAND,
  'PUT /sightings/{sighting}': SIGHTING,
  'DELETE /photos/{photo}': SIGHTING,
  'PUT /steps/{step}/recipe': RECIPE,
  'PUT /steps/{step}/card': RECIPE,
};

/**
 * After each write that went through: its answer is taken, and what hangs on it is asked again before the act that sent
 * it goes on. One place, so that no screen can forget a part of it.
 */
export const afterWrite = (client: QueryClient): Middleware => ({
  async onResponse({ request, response, schemaPath }) {
    const write = `${request.method} ${schemaPath}`;
    if (!response.ok || !(write in MUTATIONS)) return undefined;
    const done = write as Write;
    const hangs = new Set<unknown>(HANGS_ON[MUTATIONS[done]]);
    const keyOf = ANSWERS_ARE[done] as ((answer: unknown) => QueryKey) | undefined;
    if (keyOf && response.status !== 204) {
      const answer: unknown = await response.clone().json();
      client.setQueryData(keyOf(answer), answer);
    }
    if (!hangs.size) return undefined;
    const predicate = (query: Query): boolean => hangs.has(query.queryKey[0]);
    // a first asking that is still under way may have been answered before the write: it is waited for, not repeated,
    // so it is asked again when it is there
    const early = client
      .getQueryCache()
      .findAll({ predicate, fetchStatus: 'fetching' })
      .filter((query) => query.state.data === undefined);
    await client.invalidateQueries({ predicate });
    if (early.length) await client.invalidateQueries({ predicate: (query) => early.includes(query) });
    return undefined;
  },
});
