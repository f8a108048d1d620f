import { newestSheets } from '@calvetta/core';
import { BINDER_WORDS, EXPOSURE_WORDS, RULE_WORDS } from '@calvetta/contract/words';
import { useMachines, usePeople, usePlaces, useSheets, useShelf } from '../api/queries.ts';
import { tinName } from '../words/tinWords.ts';
import type { Findable } from './find.ts';

const at = (path: string, id: string): string => `${path}/${encodeURIComponent(id)}`;

interface Findables {
  readonly items: readonly Findable[];
  /** Parts, tins and products are here, or cannot be had now; until then nothing is said not to exist. */
  readonly isWhole: boolean;
}
const isOnItsWay = (q: { readonly data: unknown; readonly fetchStatus: string }): boolean =>
  q.data === undefined && q.fetchStatus === 'fetching';

/** Everything of the shop that has a name. */
export function useFindables(): Findables {
  const asked = [useMachines(), useShelf(), useSheets()] as const;
  const machines = asked[0].data?.machines;
  const shelf = asked[1].data;
  const sheets = asked[2].data?.sheets;
  const people = usePeople();
  const places = usePlaces();
  // The compiler keeps the list for as long as what it is made of.
  const items = [
    ...(machines ?? []).flatMap((m): Findable[] => [
      ...m.assemblies.flatMap((a) =>
        a.parts.map((p): Findable => ({
          what: 'part',
          name: p.name,
          beside: `${p.machineName} · ${p.assemblyName}`,
          also: `${p.lastCoat?.name ?? ''} ${p.next?.name ?? ''} ${p.headline}`,
          to: at('/parts', p.partId),
          partId: p.partId,
        })),
      ),
      { what: 'machine', name: m.name, beside: m.kind, to: at('/machines', m.machineId) },
    ]),
    ...places.map((p): Findable => ({
      what: 'place',
      name: p.name,
      beside: EXPOSURE_WORDS[p.exposure],
      to: at('/air', p.placeId),
    })),
    ...people.map((p): Findable => ({ what: 'person', name: p.name, beside: '', to: '/settings' })),
    ...(shelf?.tins ?? []).map((t): Findable => ({
      what: 'tin',
      name: tinName(t),
      beside: t.batch === null ? '' : `batch ${t.batch}`,
      to: '/shelf',
    })),
    ...newestSheets(sheets ?? []).map((s): Findable => ({
      what: 'product',
      name: s.name,
      beside: BINDER_WORDS[s.binder],
      to: `/reference#family.${s.productId}`,
    })),
    ...Object.entries(RULE_WORDS).map(([id, words]): Findable => ({
      what: 'rule',
      name: words,
      beside: id,
      to: `/reference#${id}`,
    })),
  ];
  return { items, isWhole: !asked.some(isOnItsWay) };
}
