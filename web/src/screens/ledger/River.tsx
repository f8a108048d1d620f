import { useDeferredValue } from 'react';
import { useSearchParams } from 'react-router';
import { MARKS, type Mark, type RiverView } from '@calvetta/core';
import { MARK_WORDS } from '@calvetta/contract/words';
import { useMachines, usePeople, useRiver } from '../../api/queries.ts';
import { MarkSwatch, RiverLaneDrawing } from '../../drawings/RiverLane.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { useWidth } from '../../ui/useWidth.ts';
import { dayAndTime } from '../../ui/time.ts';
import { RiverAxis } from './RiverAxis.tsx';
import { RiverList } from './RiverList.tsx';

/** The fields of the address that say what is shown; the rest of the address stays as it is. */
const FIELDS = ['words', 'mark', 'machine', 'person', 'from', 'to'] as const;
type Field = (typeof FIELDS)[number];

/** The whole record along time: lanes by machine, marks by kind, and the entries that match. */
export function River() {
  const [params, setParams] = useSearchParams();
  const asked = Object.fromEntries(
    FIELDS.flatMap((f) => {
      const v = params.get(f);
      return v === null || v === '' ? [] : [[f, v]];
    }),
  ) as Partial<Record<Field, string>>;
  const river = useRiver(useDeferredValue(new URLSearchParams(asked).toString()));
  const set = (patch: Partial<Record<Field, string>>): void =>
    setParams(
      (p) => {
        for (const [k, v] of Object.entries(patch))
          if (v === '') p.delete(k);
          else p.set(k, v);
        return p;
      },
      { replace: true },
    );
  if (!river.data) return <Waiting isPage error={river.error} what="record" />;
  const { data } = river;
  const isNarrowed = Object.keys(asked).length > 0;
  return (
    <div className="flex flex-col gap-4">
      <Asked asked={asked} onSet={set} />
      <Lanes
        data={data}
        onStretch={(machineId, at) =>
          set({
            machine: machineId,
            from: new Date(data.fromMs + at * data.stretchMs).toISOString(),
            to: new Date(data.fromMs + (at + 1) * data.stretchMs).toISOString(),
          })
        }
      />
      <p className="flex flex-wrap items-baseline gap-x-4">
        <span>
          <strong className="figure text-[18px]">{data.total}</strong>{' '}
          {data.total === 1 ? 'entry' : 'entries'}
          {asked.from && !river.isPlaceholderData
            ? `, ${dayAndTime(data.fromMs, data.zone)} to ${dayAndTime(data.toMs, data.zone)}`
            : ''}
        </span>
        {isNarrowed ? (
          <button
            type="button"
            className="underline underline-offset-2 pointer-coarse:min-h-11"
            onClick={() => set(Object.fromEntries(FIELDS.map((f) => [f, ''])))}
          >
            all of it
          </button>
        ) : null}
      </p>
      <RiverList data={data} />
    </div>
  );
}

interface AskedProps {
  readonly asked: Partial<Record<Field, string>>;
  readonly onSet: (patch: Partial<Record<Field, string>>) => void;
}

/** What is looked for: words, one kind of mark, a machine, a person. */
function Asked({ asked, onSet }: AskedProps) {
  const machines = useMachines();
  const people = usePeople();
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <label className="figure flex flex-col gap-1 text-[13px] text-quiet">
        Words
        <input
          className="w-56 text-ink"
          value={asked.words ?? ''}
          maxLength={200}
          placeholder="part, product, what was noted"
          onChange={(e) => onSet({ words: e.target.value })}
        />
      </label>
      <Pick
        label="Machine"
        value={asked.machine ?? ''}
        options={(machines.data?.machines ?? []).map((m) => [m.machineId, m.name])}
        onPick={(machine) => onSet({ machine })}
      />
      <Pick
        label="Who"
        value={asked.person ?? ''}
        options={people.map((p) => [p.personId, p.name])}
        onPick={(person) => onSet({ person })}
      />
      <div role="group" aria-label="Marks" className="flex flex-wrap gap-1">
        {MARKS.map((m: Mark) => (
          <button
            key={m}
            type="button"
            aria-pressed={asked.mark === m}
            className="flex min-h-9 items-center gap-1 border border-line px-2 text-[13px] hover:border-ink aria-pressed:border-2 aria-pressed:border-chosen aria-pressed:font-semibold pointer-coarse:min-h-11"
            onClick={() => onSet({ mark: asked.mark === m ? '' : m })}
          >
            <MarkSwatch mark={m} />
            {MARK_WORDS[m]}
          </button>
        ))}
      </div>
    </div>
  );
}

interface PickProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
  readonly onPick: (value: string) => void;
}
function Pick({ label, value, options, onPick }: PickProps) {
  return (
    <label className="figure flex flex-col gap-1 text-[13px] text-quiet">
      {label}
      <select className="text-ink" value={value} onChange={(e) => onPick(e.target.value)}>
        <option value="">all</option>
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

interface LanesProps {
  readonly data: RiverView;
  readonly onStretch: (machineId: string, at: number) => void;
}
const NAME_PX = 190;

function Lanes({ data, onStretch }: LanesProps) {
  const [ref, width] = useWidth();
  const lanePx = Math.max(120, width > 640 ? width - NAME_PX : width);
  return (
    <section ref={ref} aria-label="The record along time" className="border border-line bg-panel">
      {width > 0 && data.lanes.length > 0 ? (
        <>
          {data.lanes.map((l) => (
            <div
              key={l.machineId}
              className="border-b border-line/60 sm:grid sm:grid-cols-[190px_minmax(0,1fr)] sm:items-center"
            >
              <p className="px-3 pt-1 text-[14px] leading-tight sm:pt-0">
                {l.name} <span className="figure text-quiet">{l.n}</span>
              </p>
              <RiverLaneDrawing
                bins={l.bins}
                widthPx={lanePx}
                label={`${l.name}: ${l.n} entries; touch a stretch to see them`}
                onTouch={(at) => onStretch(l.machineId, at)}
              />
            </div>
          ))}
          <div className="sm:pl-[190px]">
            <RiverAxis fromMs={data.fromMs} toMs={data.toMs} zone={data.zone} widthPx={lanePx} />
          </div>
        </>
      ) : (
        <p className="p-3 text-quiet">Nothing on record matches.</p>
      )}
    </section>
  );
}
