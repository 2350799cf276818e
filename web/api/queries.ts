// The server's records as the stations ask for them, cached by TanStack Query.
import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { call, type Schemas } from '~/api/client';

/** A path with what is asked for; what is undefined is left out. */
function asked(path: string, query: Record<string, string | number | undefined>): string {
  const given = Object.entries(query).flatMap(([key, value]) =>
    value === undefined ? [] : [[key, String(value)]],
  );
  return given.length === 0 ? path : `${path}?${new URLSearchParams(given)}`;
}

export const useMe = () =>
  useQuery({
    queryKey: ['me'],
    queryFn: () => call<Schemas['User']>('GET', '/me'),
    retry: false,
    staleTime: 300_000,
  });

export const useToday = () =>
  useQuery({ queryKey: ['today'], queryFn: () => call<Schemas['Today']>('GET', '/today') });

export const useOperators = (enabled: boolean) =>
  useQuery({
    queryKey: ['operators'],
    queryFn: () => call<Schemas['Operator'][]>('GET', '/operators'),
    enabled,
  });

/** Names of the school's sites, the latest changed first, sixty at most; others are found by their names. */
export const useSites = () =>
  useQuery({
    queryKey: ['sites'],
    queryFn: () => call<Schemas['SiteName'][]>('GET', '/sites'),
    staleTime: 300_000,
  });

export const findSites = async (find: string) =>
  (await call<Schemas['SiteName'][]>('GET', asked('/sites', { find }))).map((one) => ({
    value: String(one.id),
    label: one.name,
  }));

/** A site with what stands there. */
export const siteQuery = (id: number) => ({
  queryKey: ['site', id],
  queryFn: () => call<Schemas['Site']>('GET', `/sites/${id}`),
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
    queryFn: () => call<Schemas['SiteReading']>('POST', '/site-readings', site?.document),
    enabled: enabled && site !== undefined,
    staleTime: Infinity,
  });

export const useRigs = (operator?: number) =>
  useQuery({
    queryKey: ['rigs', operator ?? null],
    queryFn: () => call<Schemas['Rig'][]>('GET', asked('/rigs', { operator })),
    staleTime: 60_000,
  });

export const useRig = (id: number | undefined) =>
  useQuery({
    queryKey: ['rig', id],
    queryFn: () => call<Schemas['RigDetail']>('GET', `/rigs/${id}`),
    enabled: id !== undefined,
    staleTime: 60_000,
  });

export const useCrafts = () =>
  useQuery({ queryKey: ['crafts'], queryFn: () => call<Schemas['Craft'][]>('GET', '/crafts') });

export const useRigHistory = (rig: number) =>
  useQuery({
    queryKey: ['history', rig],
    queryFn: () => call<Schemas['RigVersion'][]>('GET', `/rigs/${rig}/history`),
  });

export const useRigComparison = (one: number, other: number | undefined, mode: string) =>
  useQuery({
    queryKey: ['rig-comparison', one, other, mode],
    queryFn: () =>
      call<Schemas['RigComparison']>('GET', `/rigs/${one}/comparison?with=${other}&mode=${mode}`),
    enabled: other !== undefined,
    placeholderData: keepPreviousData,
  });

export const useMoves = () =>
  useQuery({
    queryKey: ['moves'],
    queryFn: () => call<Schemas['Move'][]>('GET', '/moves'),
    staleTime: Infinity,
  });

export const useLesson = (move: string | undefined, rig: number | undefined, fault: string | null) =>
  useQuery({
    queryKey: ['lesson', move, rig, fault],
    queryFn: () =>
      call<Schemas['Lesson']>(
        'GET',
        `/moves/${move}/lesson?rig_id=${rig}${fault === null ? '' : `&fault=${fault}`}`,
      ),
    enabled: move !== undefined && rig !== undefined,
    staleTime: Infinity,
    // While a fault is being flown the clean one stays in sight; another move shows nothing of the last one.
    placeholderData: (last, query) => (query?.queryKey[1] === move ? keepPreviousData(last) : undefined),
  });

export const useCombinations = (enabled: boolean) =>
  useQuery({
    queryKey: ['combinations'],
    queryFn: () => call<Schemas['Combinations']>('GET', '/combinations'),
    enabled,
    staleTime: Infinity,
  });

export const useGlossary = (enabled: boolean) =>
  useQuery({
    queryKey: ['glossary'],
    queryFn: () => call<Schemas['Word'][]>('GET', '/glossary'),
    enabled,
    staleTime: Infinity,
  });

export const useComparison = (shot: number | null) =>
  useQuery({
    queryKey: ['takes', 'comparison', shot],
    queryFn: () => call<Schemas['Comparison']>('GET', `/shots/${shot}/comparison`),
    enabled: shot !== null,
  });

/** Shots of an operator, or of all that may be seen, the latest first, sixty at most; others are found by their titles. */
export const useShots = (operator?: number, site?: number) =>
  useQuery({
    queryKey: ['shots', operator ?? null, site ?? null],
    queryFn: () => call<Schemas['Shot'][]>('GET', asked('/shots', { operator, site })),
  });

export const findShots = (operator?: number, site?: number) => async (find: string) =>
  (await call<Schemas['Shot'][]>('GET', asked('/shots', { operator, site, find }))).map((one) => ({
    value: String(one.id),
    label: one.title,
  }));

/** Days of flying, the latest first, sixty at most; others are found by their titles. */
export const useDays = (operator?: number) =>
  useQuery({
    queryKey: ['days', operator ?? null],
    queryFn: () => call<Schemas['Day'][]>('GET', asked('/days', { operator })),
  });

export const findDays = (operator?: number) => async (find: string) =>
  (await call<Schemas['Day'][]>('GET', asked('/days', { operator, find }))).map((one) => ({
    value: String(one.id),
    label: `${one.title}, ${one.date}`,
  }));

export const useShot = (id: number | undefined) =>
  useQuery({
    queryKey: ['shot', id],
    queryFn: () => call<Schemas['Shot']>('GET', `/shots/${id}`),
    enabled: id !== undefined,
  });

export const useTrend = (operator?: number) =>
  useQuery({
    queryKey: ['takes', 'trend', operator ?? null],
    queryFn: () => call<Schemas['Trend'][]>('GET', asked('/trend', { operator })),
  });

export const useTakes = (operator?: number, craft?: number) =>
  useInfiniteQuery({
    queryKey: ['takes', operator ?? null, craft ?? null],
    queryFn: ({ pageParam }) => {
      const cursor = pageParam === '' ? undefined : pageParam;
      return call<Schemas['TakePage']>('GET', asked('/takes', { operator, craft, cursor }));
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.next ?? undefined,
  });

export const useTake = (id: number) =>
  useQuery({ queryKey: ['take', id], queryFn: () => call<Schemas['TakeDetail']>('GET', `/takes/${id}`) });

export const useReplay = (id: number) =>
  useQuery({
    queryKey: ['replay', id],
    queryFn: () => call<Schemas['Replay']>('GET', `/takes/${id}/replay`),
    staleTime: Infinity,
  });

export const useImports = (busy: boolean) =>
  useQuery({
    queryKey: ['imports'],
    queryFn: () => call<Schemas['Import'][]>('GET', '/imports'),
    refetchInterval: busy ? 700 : false,
  });
