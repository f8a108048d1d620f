import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { BenchResponse, PartCard } from '@calvetta/contract';
import { useBench } from '../../api/queries.ts';
import { axisAround } from '../../drawings/axis.ts';
import { AxisHead } from '../../drawings/AxisHead.tsx';
import { useNowMs } from '../../state/clock.ts';
import { BENCH_HOURS, usePrefs } from '../../state/prefs.ts';
import { useRun } from '../../state/run.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/Empty.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { OneOf } from '../../ui/Toggle.tsx';
import { useIsNarrow } from '../../ui/useMedia.ts';
import { usePlanned } from '../../words/planned.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { BenchHead } from './BenchHead.tsx';
import { BenchRow } from './BenchRow.tsx';
import { Cups } from './Cups.tsx';
import { CareFoot } from './CareFoot.tsx';
import { InToday } from './InToday.tsx';
import { questionOf, Questions } from './Questions.tsx';
import { GROUP_WORDS, GROUPS, isInGroup, parseGroup, type Group } from './groups.ts';
import { BENCH_GRID, FIRST_COLUMN } from './grid.ts';
import { Heading } from '../../ui/Heading.tsx';

/** What can be coated, what is about to be lost, what holds the rest up: every part in motion on one time axis. */
export function BenchScreen() {
  const bench = useBench();
  if (!bench.data) return <Waiting isPage error={bench.error} what="bench" />;
  return <BenchOf bench={bench.data} />;
}

function BenchOf({ bench }: { readonly bench: BenchResponse }) {
  const [params, setParams] = useSearchParams();
  const group = parseGroup(params.get('show'));
  const machine = params.get('machine');
  const rows = useMemo(
    () => bench.rows.filter((r) => isInGroup(r, group) && (machine === null || r.machineId === machine)),
    [bench.rows, group, machine],
  );
  // In the whole list questions stand in their fold, above what runs out.
  const isFolded = group === 'all';
  const asked = useMemo(() => (isFolded ? rows.filter((r) => questionOf(r) !== null) : []), [rows, isFolded]);
  const listed = useMemo(
    () => (isFolded ? rows.filter((r) => questionOf(r) === null) : rows),
    [rows, isFolded],
  );
  const change = (key: string, value: string | null): void =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        if (value === null) next.delete(key);
        else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  return (
    <>
      <BenchHead bench={bench} />
      <InToday zone={bench.zone} />
      <Cups mixes={bench.mixes} zone={bench.zone} />
      <div className="px-4 pb-6 max-md:px-2">
        <Filters bench={bench} group={group} machine={machine} change={change} />
        {rows.length === 0 ? (
          <NoRows bench={bench} group={group} />
        ) : (
          <Rows bench={bench} rows={listed} asked={asked} machine={machine} change={change} />
        )}
        <CareFoot />
      </div>
    </>
  );
}

function NoRows({ bench, group }: { readonly bench: BenchResponse; readonly group: Group }) {
  return bench.rows.length === 0 ? (
    <Empty
      title="Nothing is in motion"
      text="A part appears here as soon as it is stripped, abraded or coated. Open it under Machines and log what was done."
      next={{ to: '/machines', text: 'To the machines' }}
    />
  ) : (
    <p className="p-6 text-quiet">
      Nothing under “{GROUP_WORDS[group]}” just now. {bench.rows.length} parts are moving.
    </p>
  );
}

interface FilterProps {
  readonly bench: BenchResponse;
  readonly group: Group;
  readonly machine: string | null;
  readonly change: (key: string, value: string | null) => void;
}

function Filters({ bench, group, machine, change }: FilterProps) {
  const isRunning = useRun((s) => s.rack !== null);
  const nowMs = useNowMs();
  const inMachine = bench.rows.filter((r) => machine === null || r.machineId === machine);
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
      <Heading title={['Bench']} className="text-[22px] leading-none">
        What can be coated
      </Heading>
      <p className="text-[13px] text-quiet max-md:w-full">
        {dayAndTime(nowMs, bench.zone)} · {bench.rows.length} of {bench.partCount} parts moving ·{' '}
        <Link to="/run" className="underline underline-offset-2">
          {isRunning ? 'back to the gun-load' : 'pull a gun-load together'}
        </Link>
      </p>
      <OneOf<Group>
        label="Show"
        size="line"
        className="flex gap-1 max-md:-mx-2 max-md:w-[100vw] max-md:overflow-x-auto max-md:px-2 md:ml-auto md:flex-wrap"
        value={group}
        onChange={(g) => change('show', g === 'all' ? null : g)}
        options={GROUPS.map((g) => ({
          value: g,
          text: (
            <>
              {GROUP_WORDS[g]}{' '}
              <span className="opacity-70">{inMachine.filter((r) => isInGroup(r, g)).length}</span>
            </>
          ),
        }))}
      />
    </div>
  );
}

function MachineSelect({ bench, machine, change }: Pick<FilterProps, 'bench' | 'machine' | 'change'>) {
  const machines = [...new Map(bench.rows.map((r) => [r.machineId, r.machineName]))];
  return (
    <select
      aria-label="Machine"
      className="min-h-7! w-full py-0! text-[13px] pointer-coarse:min-h-11!"
      value={machine ?? ''}
      onChange={(e) => change('machine', e.target.value || null)}
    >
      <option value="">all machines</option>
      {machines.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

function HoursShown() {
  const hours = usePrefs((s) => s.benchHours);
  const setHours = usePrefs((s) => s.setBenchHours);
  return (
    <OneOf
      label="Time shown"
      size="line"
      className="flex gap-1 [&>*]:min-h-7"
      value={String(hours)}
      onChange={(h) => setHours(BENCH_HOURS.find((x) => String(x) === h) ?? hours)}
      options={BENCH_HOURS.map((h) => ({ value: String(h), text: h < 100 ? `${h} h` : `${h / 24} d` }))}
    />
  );
}

interface RowsProps extends Pick<FilterProps, 'bench' | 'machine' | 'change'> {
  readonly rows: readonly PartCard[];
  /** Parts that wait for an answer. */
  readonly asked: readonly PartCard[];
}

function Rows({ bench, rows, asked, machine, change }: RowsProps) {
  const nowMs = useNowMs();
  const hours = usePrefs((s) => s.benchHours);
  const machineSelect = <MachineSelect bench={bench} machine={machine} change={change} />;
  const hoursShown = <HoursShown />;
  const isNarrow = useIsNarrow();
  const [ref, width] = useWidth();
  const axis = axisAround(nowMs, hours, width);
  // One scale for every section on the screen, so that thickness compares across rows.
  const fullUm = useMemo(() => rows.reduce((most, r) => Math.max(most, thicknessUm(r)), 120), [rows]);
  const [shown, setShown] = useState(ROWS_SHOWN);
  const planned = usePlanned();
  return (
    <div>
      <div
        className={`sticky top-0 z-10 border-b border-line bg-ground ${isNarrow ? 'flex flex-wrap gap-2 px-1' : BENCH_GRID}`}
      >
        {isNarrow ? (
          <>
            <div className="flex-1">{machineSelect}</div>
            {hoursShown}
          </>
        ) : (
          <>
            <span className={FIRST_COLUMN} />
            {machineSelect}
            <span className="figure text-[12px] text-quiet">state</span>
          </>
        )}
        <div ref={ref} className="min-w-0 self-end max-md:w-full">
          {width > 0 ? <AxisHead axis={axis} nowMs={nowMs} zone={bench.zone} /> : null}
        </div>
        {isNarrow ? null : (
          <div className="col-span-2 flex items-center justify-between">
            <span className="figure text-[12px] text-quiet">next act</span>
            {hoursShown}
          </div>
        )}
      </div>
      <Questions cards={asked} />
      <div role="list" aria-label="Parts in motion, what is lost first at the top">
        {width > 0
          ? rows.slice(0, shown).map((r) => {
              const next = planned(r, nowMs, bench.zone);
              return (
                <BenchRow
                  key={r.partId}
                  card={r}
                  bench={bench}
                  axis={axis}
                  fullUm={fullUm}
                  isNarrow={isNarrow}
                  planned={next?.words ?? null}
                  plannedShort={next?.short ?? null}
                  isPlanTrouble={next?.isTrouble ?? false}
                  plannedMs={next?.atMs ?? null}
                />
              );
            })
          : null}
      </div>
      {rows.length > shown ? (
        <p className="p-3">
          <Button onClick={() => setShown(shown + ROWS_SHOWN)}>
            Show {Math.min(ROWS_SHOWN, rows.length - shown)} more of {rows.length}
          </Button>
        </p>
      ) : null}
    </div>
  );
}

/** Rows drawn at first: what is lost first is among them. */
const ROWS_SHOWN = 100;
const thicknessUm = (r: PartCard): number =>
  Math.max(
    r.specifiedUm,
    r.layers.reduce((sum, l) => sum + l.dftUm, 0),
  );
