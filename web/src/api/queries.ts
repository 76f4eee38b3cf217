import { whoIsHere } from '@/features/session/leaving';
import { keepPreviousData, queryOptions } from '@tanstack/vue-query';
import { api, unwrap, type Schemas } from './client';

/* One factory an endpoint: it owns key and fetcher. */
export const sessionQuery = () => queryOptions({ queryKey: ['session'], queryFn: whoIsHere, staleTime: 60_000 });
export const todayQuery = () => queryOptions({ queryKey: ['today'], queryFn: () => unwrap(api.GET('/today')) });
export const groundsQuery = () => queryOptions({ queryKey: ['grounds'], queryFn: () => unwrap(api.GET('/grounds')) });
export const patchQuery = (patch: string) =>
  queryOptions({
    queryKey: ['patch', patch],
    queryFn: () => unwrap(api.GET('/patches/{patch}', { params: { path: { patch } } })),
  });
export const standQuery = (stand: string) =>
  queryOptions({
    queryKey: ['stand', stand],
    queryFn: () => unwrap(api.GET('/stands/{stand}', { params: { path: { stand } } })),
  });
export const yearQuery = (stand: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'year'],
    queryFn: () => unwrap(api.GET('/stands/{stand}/year', { params: { path: { stand } } })),
  });
export const calendarQuery = () =>
  queryOptions({ queryKey: ['calendar'], queryFn: () => unwrap(api.GET('/session/calendar')) });
export const coverageQuery = (sheet: string, width: string) =>
  queryOptions({
    queryKey: ['sheet', sheet, 'coverage', width],
    queryFn: () => unwrap(api.GET('/sheets/{sheet}/coverage', { params: { path: { sheet }, query: { width } } })),
  });
export const fieldNotesQuery = (sheet: string) =>
  queryOptions({
    queryKey: ['sheet', sheet, 'notes'],
    queryFn: () => unwrap(api.GET('/sheets/{sheet}/notes', { params: { path: { sheet } } })),
  });
export const weatherQuery = (ground: string) =>
  queryOptions({
    queryKey: ['weather', ground],
    queryFn: () => unwrap(api.GET('/grounds/{ground}/weather', { params: { path: { ground } } })),
  });
export const seasonQuery = () => queryOptions({ queryKey: ['season'], queryFn: () => unwrap(api.GET('/season-plan')) });
export const calendarDaysQuery = (first: string, last: string, who: 'me' | 'all') =>
  queryOptions({
    queryKey: ['season', 'calendar', first, last, who],
    queryFn: () => unwrap(api.GET('/calendar', { params: { query: { first, last, who } } })),
    placeholderData: keepPreviousData,
  });
/** Hours pass though nobody writes: asked again every ten minutes. */
const EVERY_TEN_MINUTES = 600_000;
export const hoursQuery = (stand: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'hours'],
    queryFn: () => unwrap(api.GET('/stands/{stand}/hours', { params: { path: { stand } } })),
    refetchInterval: EVERY_TEN_MINUTES,
  });
export const hourQuery = (stand: string, at: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'hour', at],
    queryFn: () => unwrap(api.GET('/stands/{stand}/hours/hour', { params: { path: { stand }, query: { at } } })),
    placeholderData: keepPreviousData,
  });
export const todayHoursQuery = () =>
  queryOptions({
    queryKey: ['today', 'hours'],
    queryFn: () => unwrap(api.GET('/today/hours')),
    refetchInterval: EVERY_TEN_MINUTES,
  });
/** A query string has no numbers, only digits. */
const boardAsk = (schools: Record<string, string>, weights: Record<string, number> | null) => ({
  schools,
  ...(weights ? { weights: Object.fromEntries(Object.entries(weights).map(([m, w]) => [m, String(w)])) } : {}),
});
export const boardQuery = (
  stand: string,
  schools: Record<string, string>,
  weights: Record<string, number> | null = null,
) =>
  queryOptions({
    queryKey: ['stand', stand, 'board', schools, weights],
    queryFn: () =>
      unwrap(api.GET('/stands/{stand}/board', { params: { path: { stand }, query: boardAsk(schools, weights) } })),
  });
/** One row of the board with every reason. */
export const boardRowQuery = (
  stand: string,
  row: string,
  schools: Record<string, string>,
  weights: Record<string, number> | null = null,
) =>
  queryOptions({
    queryKey: ['stand', stand, 'board', 'row', row, schools, weights],
    queryFn: () =>
      unwrap(
        api.GET('/stands/{stand}/board/row', {
          params: { path: { stand }, query: { row, ...boardAsk(schools, weights) } },
        }),
      ),
  });
export const programmesQuery = (stand: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'programmes'],
    queryFn: () => unwrap(api.GET('/stands/{stand}/programmes', { params: { path: { stand } } })),
  });
export const sideBySideQuery = (stand: string, rows: readonly string[]) =>
  queryOptions({
    queryKey: ['stand', stand, 'side-by-side', rows],
    queryFn: () =>
      unwrap(api.GET('/stands/{stand}/comparison', { params: { path: { stand }, query: { rows: rows.join(',') } } })),
  });
export const costsQuery = (stand: string, row: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'costs', row],
    queryFn: () => unwrap(api.GET('/stands/{stand}/costs', { params: { path: { stand }, query: { row } } })),
  });
export const outlookQuery = (stand: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'outlook'],
    queryFn: () => unwrap(api.GET('/stands/{stand}/outlook', { params: { path: { stand } } })),
  });
export const accountsQuery = (year: number | null) =>
  queryOptions({
    queryKey: ['accounts', year],
    queryFn: () => unwrap(api.GET('/accounts', { params: { query: year === null ? {} : { year } } })),
  });
/** Wishes for a recipe beyond what is kept with its step. */
export type RecipeAsk = Partial<
  Record<
    | 'sprayerId'
    | 'carrier'
    | 'additivesForWater'
    | 'with'
    | 'withAlso'
    | 'water'
    | 'leftover'
    | 'leftoverFrom'
    | 'people'
    | 'dye'
    | 'surfactant'
    | 'conditioner'
    | 'oil'
    | 'emulsifier',
    string
  >
>;
export const recipeQuery = (step: string, ask: RecipeAsk) =>
  queryOptions({
    queryKey: ['recipe', step, ask],
    queryFn: () => unwrap(api.GET('/steps/{step}/recipe', { params: { path: { step }, query: ask } })),
  });
export const batchesQuery = (step: string) =>
  queryOptions({
    queryKey: ['batches', step],
    queryFn: () => unwrap(api.GET('/steps/{step}/batches', { params: { path: { step } } })),
  });
export const sumsQuery = () =>
  queryOptions({ queryKey: ['sums'], queryFn: () => unwrap(api.GET('/mix/sums')), staleTime: Infinity });
export const shoppingQuery = () =>
  queryOptions({ queryKey: ['shed', 'shopping'], queryFn: () => unwrap(api.GET('/shed/shopping')) });
export const sheetDraftQuery = (stand: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'sheet-draft'],
    queryFn: () => unwrap(api.GET('/stands/{stand}/sheet-draft', { params: { path: { stand } } })),
  });
export const sheetQuery = (sheet: string) =>
  queryOptions({
    queryKey: ['sheet', sheet],
    queryFn: () => unwrap(api.GET('/sheets/{sheet}', { params: { path: { sheet } } })),
  });
export const recordQuery = (record: string) =>
  queryOptions({
    queryKey: ['record', record],
    queryFn: () => unwrap(api.GET('/records/{record}', { params: { path: { record } } })),
  });
/** A paper is looked at again until it is made. */
export const paperQuery = (paper: string) =>
  queryOptions({
    queryKey: ['paper', paper],
    queryFn: () => unwrap(api.GET('/papers/{paper}', { params: { path: { paper } } })),
    refetchInterval: ({ state }) => (isInWork(state.data) ? 700 : false),
  });
export const isInWork = (paper: Schemas['Paper'] | null | undefined): boolean =>
  paper?.state === 'waiting' || paper?.state === 'making';
export const shedQuery = () => queryOptions({ queryKey: ['shed'], queryFn: () => unwrap(api.GET('/shed')) });
export const handbookQuery = () =>
  queryOptions({ queryKey: ['handbook'], queryFn: () => unwrap(api.GET('/handbook')), staleTime: Infinity });
export const speciesQuery = (id: string) =>
  queryOptions({
    queryKey: ['species', id],
    queryFn: () => unwrap(api.GET('/handbook/species/{id}', { params: { path: { id } } })),
  });
export interface PatchListAsk {
  page: number;
  /** 25 where it is left out; the server gives at most 200. */
  perPage?: number;
  sort: 'name' | 'area' | 'setting' | 'stands' | 'changed';
  order: 'asc' | 'desc';
  q: string;
  setting: string;
  archived: boolean;
}
export const patchesQuery = (ground: string, ask: PatchListAsk) =>
  queryOptions({
    queryKey: ['patches', ground, ask],
    queryFn: () =>
      unwrap(
        api.GET('/grounds/{ground}/patches', {
          params: {
            path: { ground },
            query: {
              page: String(ask.page),
              perPage: String(ask.perPage ?? 25),
              sort: ask.sort,
              order: ask.order,
              ...(ask.q ? { q: ask.q } : {}),
              ...(ask.setting ? { setting: ask.setting } : {}),
              ...(ask.archived ? { archived: 'yes' as const } : {}),
            },
          },
        }),
      ),
  });
export const keepersQuery = (ground: string) =>
  queryOptions({
    queryKey: ['keepers', ground],
    queryFn: () => unwrap(api.GET('/grounds/{ground}/keepers', { params: { path: { ground } } })),
  });
export const outlinesQuery = (patch: string) =>
  queryOptions({
    queryKey: ['patch', patch, 'outlines'],
    queryFn: () => unwrap(api.GET('/patches/{patch}/outlines', { params: { path: { patch } } })),
  });
export const countQuery = (stand: string, share: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'count', share],
    queryFn: () => unwrap(api.GET('/stands/{stand}/count', { params: { path: { stand }, query: { share } } })),
  });
export const prospectsQuery = (stand: string) =>
  queryOptions({
    queryKey: ['stand', stand, 'prospects'],
    queryFn: () => unwrap(api.GET('/stands/{stand}/prospects', { params: { path: { stand } } })),
  });
export const sightingQuery = (sighting: string) =>
  queryOptions({
    queryKey: ['sighting', sighting],
    queryFn: () => unwrap(api.GET('/sightings/{sighting}', { params: { path: { sighting } } })),
  });
export const sightingsQuery = (ground: string) =>
  queryOptions({
    queryKey: ['sightings', ground],
    queryFn: () => unwrap(api.GET('/sightings', { params: { query: ground ? { ground } : {} } })),
  });
export const comparisonQuery = (species: string) =>
  queryOptions({
    queryKey: ['comparison', species],
    queryFn: () => unwrap(api.GET('/handbook/comparison', { params: { query: { species } } })),
    staleTime: Infinity,
  });
export interface SpeciesAsk {
  name: string;
  habit: string;
  setting: string;
  month: string;
  showing: 'flower' | 'fruit' | 'leaf';
  ground: string;
}
export const speciesListQuery = (ask: SpeciesAsk) =>
  queryOptions({
    queryKey: ['species-list', ask],
    queryFn: () => {
      const given = Object.fromEntries(
        Object.entries(ask).filter(([k, v]) => v !== '' && ((k !== 'showing' && k !== 'ground') || ask.month !== '')),
      );
      return unwrap(api.GET('/handbook/species', { params: { query: given } }));
    },
    staleTime: Infinity,
  });
export const meQuery = () => queryOptions({ queryKey: ['me'], queryFn: () => unwrap(api.GET('/me')) });
export const crewQuery = () => queryOptions({ queryKey: ['crew'], queryFn: () => unwrap(api.GET('/crew')) });
export const actsQuery = (before: number | null) =>
  queryOptions({
    queryKey: ['acts', before],
    queryFn: () => unwrap(api.GET('/crew/acts', { params: { query: before === null ? {} : { before } } })),
  });
