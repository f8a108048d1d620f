import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { newestSheets } from '@calvetta/core';
import { BINDER_WORDS, EXPOSURE_WORDS, RULE_WORDS } from '@calvetta/contract/words';
import { useMachines, usePeople, usePlaces, useSheets, useShelf } from '../api/queries.ts';
import { useDialogs } from '../state/dialogs.ts';
import { Panel } from '../ui/Panel.tsx';
import { tinName } from '../words/tinWords.ts';
import { find, type Findable, type Found } from './find.ts';

const MOST = 12;
const at = (path: string, id: string): string => `${path}/${encodeURIComponent(id)}`;

/** Everything of the shop that has a name. */
function useFindables(): Findable[] {
  const machines = useMachines().data?.machines;
  const shelf = useShelf().data;
  const sheets = useSheets().data?.sheets;
  const people = usePeople();
  const places = usePlaces();
  return useMemo(
    () => [
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
    ],
    [machines, shelf, sheets, people, places],
  );
}

/** Finds whatever has a name, by any of its words; “coat buffer beam” opens the coat. Arrows and Enter are enough. */
export function FindDialog({ onClose }: { readonly onClose: () => void }) {
  const items = useFindables();
  const navigate = useNavigate();
  const show = useDialogs((s) => s.show);
  const [text, setText] = useState('');
  const list = useRef<HTMLUListElement>(null);
  const found = find(items, text);
  const go = ({ item, act }: Found): void => {
    if (act !== null && item.partId !== undefined) {
      show({ kind: 'log', partId: item.partId, factKind: act.kind });
      return;
    }
    onClose();
    void navigate(item.to);
  };
  const step = (e: KeyboardEvent, from: number): void => {
    const by = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    e.preventDefault();
    const buttons = list.current?.querySelectorAll('button');
    buttons?.[Math.max(0, from + by)]?.focus();
  };
  return (
    <Panel title="Find" subtitle="parts, machines, places, tins, products, rules, people" onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (found[0]) go(found[0]);
        }}
      >
        <input
          autoFocus
          aria-label="What to find"
          placeholder="frame, saltern epoxy, coat buffer beam…"
          className="mb-3 w-full text-[16px]"
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => step(e, -1)}
        />
      </form>
      <ul ref={list}>
        {found.slice(0, MOST).map((f, i) => (
          <li key={`${f.act?.kind ?? ''}${f.item.what}${f.item.to}${f.item.name}${f.item.beside}`}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-line text-left hover:bg-ground focus:bg-ground"
              onClick={() => go(f)}
              onKeyDown={(e) => step(e, i)}
            >
              <span>
                {f.act === null ? null : <span className="figure capitalize">{f.act.word}: </span>}
                <strong>{f.item.name}</strong>{' '}
                <span className="text-quiet">{f.item.beside === '' ? '' : `· ${f.item.beside}`}</span>
              </span>
              <span className="text-[13px] text-quiet">{f.item.what}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-quiet" role="status">
        {found.length > MOST
          ? `${found.length - MOST} more: write another word`
          : found.length === 0 && text.trim() !== ''
            ? 'Nothing here has these words.'
            : ''}
      </p>
    </Panel>
  );
}
