// The server's records as the stations ask for them, cached by TanStack Query.
import { keepPreviousData, skipToken, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { answered, api, type Schemas } from '~/api/client';

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

export const useMoves = () =>
  useQuery({
    queryKey: ['moves'],
    queryFn: () => answered(api.GET('/moves')),
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
    label: one.title,
  }));

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

export const useTrend = (operator?: number) =>
  useQuery({
    queryKey: ['takes', 'trend', operator ?? null],
    queryFn: () => answered(api.GET('/trend', { params: { query: { operator } } })),
  });

export const useTakes = (operator?: number, craft?: number) =>
  useInfiniteQuery({
    queryKey: ['takes', operator ?? null, craft ?? null],
    queryFn: ({ pageParam }) => {
      const cursor = pageParam === '' ? undefined : pageParam;
      return answered(api.GET('/takes', { params: { query: { operator, craft, cursor } } }));
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.next ?? undefined,
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
