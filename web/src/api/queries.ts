import { keepPreviousData, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Person, ProductSheet } from '@calvetta/core';
import type { BenchHeld, PlaceInfo } from '@calvetta/contract';
import { DERIVED, KEYS } from './keys.ts';
import { getAccounts, getDoor, getToSign } from './doorClient.ts';
import { oneLine, type Heard } from './oneLine.ts';
import { flushOutbox } from '../record/outbox.ts';
import {
  Refused,
  getBench,
  getCare,
  getEntry,
  getClimate,
  getHours,
  getInspect,
  getInspectList,
  getLearned,
  getLeftover,
  getMachines,
  getPart,
  getPeopleView,
  getPlaceAir,
  getPlan,
  getPlanBuy,
  getRecall,
  getRiver,
  getSheets,
  getShelf,
  getShop,
  getShopping,
} from './client.ts';

/** Derived answers are renewed at least this often; SSE renews them at once when something happened. */
const RENEW_MS = 60_000;

export const useShop = () =>
  useQuery({
    queryKey: KEYS.shop,
    queryFn: getShop,
    staleTime: 300_000,
  });
/** Who may do what, who is in, what was left to the next. */
export const usePeopleView = () =>
  useQuery({ queryKey: KEYS.people, queryFn: getPeopleView, refetchInterval: RENEW_MS });
/** Who may come in here, and who has. Asked once; what shuts the door asks again. */
export const useDoor = () =>
  useQuery({ queryKey: KEYS.door, queryFn: getDoor, staleTime: 300_000, retry: false });
export const useAccounts = () => useQuery({ queryKey: KEYS.accounts, queryFn: getAccounts });
export const useToSign = (of: 'part' | 'machine', id: string) =>
  useQuery({ queryKey: KEYS.toSign(of, id), queryFn: () => getToSign(of, id) });
/** A page asks for what others write no more often than this. */
const LEAST_APART_MS = 250;
/** The workshop is not there yet: it is to be begun. */
export const isNoShop = (error: Error | null): boolean =>
  error instanceof Refused && error.body.code === 'not-found' && error.body.details.what === 'workshop';
/** Places in use, for whoever chooses one. */
export const usePlaces = (): readonly PlaceInfo[] => inUse(useShop().data?.places);
/** People who come, for whoever chooses one. */
export const usePeople = (): readonly Person[] => inUse(useShop().data?.people);
const inUse = <T extends { readonly isAway: boolean }>(things: readonly T[] | undefined): readonly T[] =>
  (things ?? []).filter((t) => !t.isAway);
/** A large Bench comes in pieces, the first screens first. */
const NEXT_PIECE_MS = 150;
export const useBench = () =>
  useQuery({
    queryKey: KEYS.bench,
    queryFn: ({ client }) => getBench(client.getQueryData<BenchHeld>(KEYS.bench)),
    refetchInterval: (query) => (query.state.data?.isWhole === false ? NEXT_PIECE_MS : RENEW_MS),
  });
export const useMachines = () =>
  useQuery({ queryKey: KEYS.machines, queryFn: getMachines, refetchInterval: RENEW_MS });
export const usePart = (partId: string | null) =>
  useQuery({
    queryKey: KEYS.part(partId),
    queryFn: () => getPart(partId!),
    enabled: partId !== null,
    refetchInterval: RENEW_MS,
  });
export const useInspect = (partId: string) =>
  useQuery({
    queryKey: KEYS.inspect(partId),
    queryFn: () => getInspect(partId),
    refetchInterval: RENEW_MS,
  });
export const useLearned = () => useQuery({ queryKey: KEYS.learned, queryFn: getLearned, staleTime: 60_000 });
export const useInspectList = () =>
  useQuery({ queryKey: KEYS.inspectList, queryFn: getInspectList, refetchInterval: RENEW_MS });
export const useRiver = (query: string) =>
  useQuery({
    queryKey: KEYS.river(query),
    queryFn: () => getRiver(query),
    placeholderData: keepPreviousData,
  });
export const useRecall = (batch: string) =>
  useQuery({ queryKey: KEYS.recall(batch), queryFn: () => getRecall(batch), enabled: batch !== '' });
export const useCare = () => useQuery({ queryKey: KEYS.care, queryFn: getCare });
export const useEntry = (factId: string) =>
  useQuery({ queryKey: KEYS.entry(factId), queryFn: () => getEntry(factId) });
export const useHours = () => useQuery({ queryKey: KEYS.hours, queryFn: getHours });
export const usePlaceAir = (placeId: string | null) =>
  useQuery({
    queryKey: KEYS.air(placeId),
    queryFn: () => getPlaceAir(placeId!),
    enabled: placeId !== null,
    refetchInterval: RENEW_MS,
  });
export const useClimate = (placeId: string) =>
  useQuery({ queryKey: KEYS.climate(placeId), queryFn: () => getClimate(placeId), staleTime: 3_600_000 });
/** Sheets of products that are not put away, to choose among; `keepId`: one that stays to be seen where it is chosen already. */
export function useOffered(keepId: string | null = null): readonly ProductSheet[] {
  const sheets = useSheets().data?.sheets ?? [];
  const away = useShop().data?.means.putAway ?? [];
  return sheets.filter((s) => s.sheetId === keepId || !away.includes(s.productId));
}
export const useSheets = () => useQuery({ queryKey: KEYS.sheets, queryFn: getSheets, staleTime: 300_000 });

export const usePlan = () => useQuery({ queryKey: KEYS.plan, queryFn: getPlan, staleTime: 300_000 });

export const useShelf = () =>
  useQuery({ queryKey: KEYS.shelf, queryFn: getShelf, refetchInterval: RENEW_MS });
export const useLeftover = (mixId: string) =>
  useQuery({
    queryKey: KEYS.leftover(mixId),
    queryFn: () => getLeftover(mixId),
    refetchInterval: RENEW_MS,
  });
/** What the plan that holds asks to be bought in time. */
export const usePlanBuy = () => useQuery({ queryKey: KEYS.planBuy, queryFn: getPlanBuy });
export const useShopping = (scope: string) =>
  useQuery({ queryKey: KEYS.shopping(scope), queryFn: () => getShopping(scope) });

/** Everything derived is asked for again. */
export function refreshDerived(client: QueryClient): void {
  for (const key of DERIVED) void client.invalidateQueries({ queryKey: [key] });
}

/** Keeps the page in step with the shop: the line says what changed, the outbox goes out whenever it is back. */
export function useLive(): void {
  const client = useQueryClient();
  useEffect(() => {
    let pending: ReturnType<typeof setTimeout> | undefined;
    let askedMs = 0;
    // Readings come every few seconds from several probes: one refresh for a handful of them. The first write is shown at once;
    // where twenty a second come in, four times a second is enough for an eye.
    const soon = (ms: number): void => {
      pending ??= setTimeout(
        () => {
          pending = undefined;
          askedMs = performance.now();
          refreshDerived(client);
        },
        Math.max(ms, askedMs + LEAST_APART_MS - performance.now()),
      );
    };
    const flush = (): void => void flushOutbox().then((sent) => sent > 0 && refreshDerived(client));
    const heard = ({ topic }: Heard): void => {
      if (topic === 'import') return;
      if (topic === 'door') {
        void client.invalidateQueries({ queryKey: KEYS.door });
        return;
      }
      if (topic === 'plan') {
        void client.invalidateQueries({ queryKey: KEYS.plan });
        void client.invalidateQueries({ queryKey: KEYS.planBuy });
        return;
      }
      if (topic === 'opened') {
        // What happened before the line was there, or while it was down, is asked for now.
        flush();
        refreshDerived(client);
        return;
      }
      if (topic === 'entities') void client.invalidateQueries({ queryKey: KEYS.shop });
      if (topic === 'entities' || topic === 'sheets')
        void client.invalidateQueries({ queryKey: KEYS.sheets });
      soon(topic === 'readings' || topic === 'forecast' ? 4000 : 30);
    };
    const leave = oneLine(heard);
    const timer = setInterval(flush, 5000);
    // The device says so before anything else does.
    addEventListener('online', flush);
    return () => {
      leave();
      removeEventListener('online', flush);
      clearInterval(timer);
      clearTimeout(pending);
    };
  }, [client]);
}
