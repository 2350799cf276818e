// The server's records as the stations ask for them, cached by TanStack Query.
import { keepPreviousData, skipToken, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { answered, api, type Paths, type Schemas } from '~/api/client';

export const useMe = () =>
  useQuery({
    queryKey: ['me'],
    queryFn: () => answered(api.GET('/me')),
    retry: false,
    staleTime: 300_000,
  });

export const useToday = () => useQuery({ queryKey: ['today'], queryFn: () => answered(api.GET('/today')) });

export const useOperators = (enabled: boolean) =>
  useQuery({
    queryKey: ['operators'],
    queryFn: () => answered(api.GET('/operators')),
    enabled,
  });

/** Names of the school's sites, the latest changed first, sixty at most; others are found by their names. */
export const useSites = () =>
  useQuery({
    queryKey: ['sites'],
    queryFn: () => answered(api.GET('/sites')),
    staleTime: 300_000,
  });

export const findSites = async (find: string) =>
  (await answered(api.GET('/sites', { params: { query: { find } } }))).map((one) => ({
    value: String(one.id),
    label: one.name,
  }));

/** A site with what stands there. */
export const siteQuery = (id: number) => ({
  queryKey: ['site', id],
  queryFn: () => answered(api.GET('/sites/{site}', { params: { path: { site: id } } })),
  staleTime: 300_000,
  // A drawing at hand is not exchanged under the hand: whoever saved first is told of when it is saved.
  refetchOnWindowFocus: false,
  refetchOnReconnect: false,
});

export const useSite = (id: number | undefined) =>
  useQuery({ ...siteQuery(id ?? 0), enabled: id !== undefined });

/** How the ground of a site lies, as a grid; asked for only where it is drawn. */
export const useGround = (site: Schemas['Site'] | undefined, enabled: boolean) =>
  useQuery({
    queryKey: ['ground', site?.id, site?.version],
    queryFn:
      enabled && site ? () => answered(api.POST('/site-readings', { body: site.document })) : skipToken,
    staleTime: Infinity,
  });

export const useRigs = (operator?: number) =>
  useQuery({
    queryKey: ['rigs', operator ?? null],
    queryFn: () => answered(api.GET('/rigs', { params: { query: { operator } } })),
    staleTime: 60_000,
  });

export const useRig = (id: number | undefined) =>
  useQuery({
    queryKey: ['rig', id],
    queryFn: () => answered(api.GET('/rigs/{rig}', { params: { path: { rig: id ?? 0 } } })),
    enabled: id !== undefined,
    staleTime: 60_000,
  });

export const useCrafts = () =>
  useQuery({ queryKey: ['crafts'], queryFn: () => answered(api.GET('/crafts')) });

export const useRigHistory = (rig: number) =>
  useQuery({
    queryKey: ['history', rig],
    queryFn: () => answered(api.GET('/rigs/{rig}/history', { params: { path: { rig } } })),
  });

export const useRigComparison = (one: number, other: number | undefined, mode: Schemas['RigDraft']['mode']) =>
  useQuery({
    queryKey: ['rig-comparison', one, other, mode],
    queryFn: () =>
      answered(
        api.GET('/rigs/{rig}/comparison', {
          params: { path: { rig: one }, query: { with: other ?? 0, mode } },
        }),
      ),
    enabled: other !== undefined,
    placeholderData: keepPreviousData,
  });

export const useFirstDraft = (draft: Schemas['PlanDraft'] | null) =>
  useQuery({
    queryKey: ['first-draft', draft],
    queryFn: draft === null ? skipToken : () => answered(api.POST('/drafts', { body: draft })),
    staleTime: Number.POSITIVE_INFINITY,
  });

/** Sets to begin with, laid over a rig. */
export const useStartingSets = (rig: number) =>
  useQuery({
    queryKey: ['starting-sets', rig],
    queryFn: () => answered(api.GET('/rigs/{rig}/starting-sets', { params: { path: { rig } } })),
    staleTime: Infinity,
  });

export const useMoves = () =>
  useQuery({
    queryKey: ['moves'],
    queryFn: () => answered(api.GET('/moves')),
    staleTime: Infinity,
  });

export const useMachineMoves = () =>
  useQuery({
    queryKey: ['machine-moves'],
    queryFn: () => answered(api.GET('/machine-moves')),
    staleTime: Infinity,
  });

export const useLesson = (move: string | undefined, rig: number | undefined, fault: string | null) =>
  useQuery({
    queryKey: ['lesson', move, rig, fault],
    queryFn: () =>
      answered(
        api.GET('/moves/{move}/lesson', {
          params: {
            path: { move: move ?? '' },
            query: { rig_id: rig ?? 0, ...(fault === null ? {} : { fault }) },
          },
        }),
      ),
    enabled: move !== undefined && rig !== undefined,
    staleTime: Infinity,
    // While a fault is being flown the clean one stays in sight; another move shows nothing of the last one.
    placeholderData: (last, query) => (query?.queryKey[1] === move ? keepPreviousData(last) : undefined),
  });

export const useCombinations = (enabled: boolean) =>
  useQuery({
    queryKey: ['combinations'],
    queryFn: () => answered(api.GET('/combinations')),
    enabled,
    staleTime: Infinity,
  });

export const useGlossary = (enabled: boolean) =>
  useQuery({
    queryKey: ['glossary'],
    queryFn: () => answered(api.GET('/glossary')),
    enabled,
    staleTime: Infinity,
  });

export const useComparison = (shot: number | null) =>
  useQuery({
    queryKey: ['takes', 'comparison', shot],
    queryFn: () => answered(api.GET('/shots/{shot}/comparison', { params: { path: { shot: shot ?? 0 } } })),
    enabled: shot !== null,
  });

/** Shots of an operator, or of all that may be seen, the latest first, sixty at most; others are found by their titles. */
export const useShots = (operator?: number, site?: number) =>
  useQuery({
    queryKey: ['shots', operator ?? null, site ?? null],
    queryFn: () => answered(api.GET('/shots', { params: { query: { operator, site } } })),
  });

export const findShots = (operator?: number, site?: number) => async (find: string) =>
  (await answered(api.GET('/shots', { params: { query: { operator, site, find } } }))).map((one) => ({
    value: String(one.id),
    label: titleOf(one),
  }));

/** What a list calls a shot: one that can't be read stands in its place, and says so. */
export const titleOf = (shot: Schemas['Shot']) => (shot.damaged ? `${shot.title} (damaged)` : shot.title);

/** Days of flying, the latest first, sixty at most; others are found by their titles. */
export const useDays = (operator?: number) =>
  useQuery({
    queryKey: ['days', operator ?? null],
    queryFn: () => answered(api.GET('/days', { params: { query: { operator } } })),
  });

export const findDays = (operator?: number) => async (find: string) =>
  (await answered(api.GET('/days', { params: { query: { operator, find } } }))).map((one) => ({
    value: String(one.id),
    label: `${one.title}, ${one.date}`,
  }));

export const useShot = (id: number | undefined) =>
  useQuery({
    queryKey: ['shot', id],
    queryFn: () => answered(api.GET('/shots/{shot}', { params: { path: { shot: id ?? 0 } } })),
    enabled: id !== undefined,
  });

/** Which takes of a logbook are wanted. */
export type TakeFilter = NonNullable<Paths['/takes']['get']['parameters']['query']>;

export const useTakes = (filter: TakeFilter) =>
  useInfiniteQuery({
    queryKey: ['takes', filter],
    queryFn: ({ pageParam }) => {
      const cursor = pageParam === '' ? undefined : pageParam;
      return answered(api.GET('/takes', { params: { query: { ...filter, cursor } } }));
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.next ?? undefined,
  });

/** What was flown, said or set changes all of these. */
export const PROGRESS = ['progress', 'ladder', 'next', 'class', 'logbook', 'lessons', 'today'];

const ofOperator = (operator?: number) => ({ params: { query: { operator } } });

export const useProgress = (operator?: number) =>
  useQuery({
    queryKey: ['progress', operator ?? null],
    queryFn: () => answered(api.GET('/progress', ofOperator(operator))),
  });

export const useLadder = (operator?: number, asks = true) =>
  useQuery({
    queryKey: ['ladder', operator ?? null],
    queryFn: asks ? () => answered(api.GET('/ladder', ofOperator(operator))) : skipToken,
  });

export type Now = { place: 'desk' | 'hall' | 'field'; battery_min?: number; gust_mps?: number };

/** What to do where one is now; nothing is asked while that is what Today has answered already. */
export const useNext = (now: Now | null) =>
  useQuery({
    queryKey: ['next', now],
    queryFn: now ? () => answered(api.GET('/next', { params: { query: now } })) : skipToken,
    placeholderData: keepPreviousData,
  });

export type ClassFilter = NonNullable<Paths['/class']['get']['parameters']['query']>;

export const useClass = (filter: ClassFilter) =>
  useQuery({
    queryKey: ['class', filter],
    queryFn: () => answered(api.GET('/class', { params: { query: filter } })),
    placeholderData: keepPreviousData,
  });

export const useCohorts = (one: string, other: string) =>
  useQuery({
    queryKey: ['cohorts', one, other],
    queryFn: () => answered(api.GET('/class/cohorts', { params: { query: { one, other } } })),
    enabled: one !== other,
  });

export const useKeptFilters = () =>
  useQuery({ queryKey: ['kept-filters'], queryFn: () => answered(api.GET('/kept-filters')) });

export const useLogbook = (operator: number | undefined, enabled: boolean) =>
  useQuery({
    queryKey: ['logbook', operator ?? null],
    queryFn: () => answered(api.GET('/logbook', ofOperator(operator))),
    enabled,
  });

export const useHouseStyle = (operator?: number) =>
  useQuery({
    queryKey: ['house-style', operator ?? null],
    queryFn: () => answered(api.GET('/house-style', ofOperator(operator))),
  });

export const useLessons = () =>
  useQuery({ queryKey: ['lessons'], queryFn: () => answered(api.GET('/lessons')) });

export const useSchoolLadder = (enabled: boolean) =>
  useQuery({
    queryKey: ['school-ladder'],
    queryFn: () => answered(api.GET('/school/ladder')),
    enabled,
    // What is being edited is not exchanged under the hand.
    refetchOnWindowFocus: false,
  });

export const useTake = (id: number) =>
  useQuery({
    queryKey: ['take', id],
    queryFn: () => answered(api.GET('/takes/{take}', { params: { path: { take: id } } })),
  });

export const useReplay = (id: number) =>
  useQuery({
    queryKey: ['replay', id],
    queryFn: () => answered(api.GET('/takes/{take}/replay', { params: { path: { take: id } } })),
    staleTime: Infinity,
  });

export const useJudging = () =>
  useQuery({ queryKey: ['judging'], queryFn: () => answered(api.GET('/judging')) });

export const useColumnMappings = () =>
  useQuery({ queryKey: ['column-mappings'], queryFn: () => answered(api.GET('/column-mappings')) });

export const useRememberedReadings = () =>
  useQuery({ queryKey: ['remembered-readings'], queryFn: () => answered(api.GET('/remembered-readings')) });

const ON_THE_WAY = ['waiting', 'reading', 'judging'];

/** Asked for often while one is on its way, and seldom else: somebody may send one from another place. */
export const useImports = () =>
  useQuery({
    queryKey: ['imports'],
    queryFn: () => answered(api.GET('/imports')),
    refetchInterval: ({ state }) =>
      state.data?.some((item) => ON_THE_WAY.includes(item.state)) ? 700 : 6000,
  });
