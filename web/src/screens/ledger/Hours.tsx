import { Link } from 'react-router';
import { chunk } from '../../ui/chunk.tsx';
import type { HoursView, Job, MachineHours, RateView, TradeCheck } from '@calvetta/core';
import { SPENT_WORDS, TRADE_CHECK_WORDS, WORK_WORDS } from '@calvetta/contract/words';
import { SPENT_ON } from '@calvetta/core';
import { useHours } from '../../api/queries.ts';
import { useMoney } from '../../ui/money.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { Waiting } from '../../ui/Trouble.tsx';
import { HoursBar } from './HoursBar.tsx';

/** Hours against what was reckoned, the shop's own pace, what is left, and money. */
export function Hours() {
  const hours = useHours();
  if (!hours.data) return <Waiting isPage error={hours.error} what="hours" />;
  const { data } = hours;
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="flex min-w-0 flex-col gap-5">
        <Machines data={data} />
        <Jobs jobs={data.jobs} />
      </div>
      <div className="flex min-w-0 flex-col gap-5">
        <Pace rates={data.rates} />
        <Trade checks={data.trade} />
        <People data={data} />
        <Months data={data} />
      </div>
    </div>
  );
}

const MonthsChart = chunk(() => import('./MonthsChart.tsx'), <p className="text-quiet">Drawing…</p>);
const h = (hours: number): string => `${hours < 10 ? hours.toFixed(1) : Math.round(hours)} h`;

function Machines({ data }: { readonly data: HoursView }) {
  const most = Math.max(1, ...data.machines.map((m) => m.workedH + m.left.p80));
  return (
    <section aria-label="Machines" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">Machines</h2>
      <p className="text-[13px] text-quiet">
        Full: hours logged. Open: hours the routes still ask at your own pace, as likely as not; hatched: four
        times in five.
      </p>
      <ul>
        {data.machines.map((m) => (
          <li key={m.machineId} className="border-t border-line/60 py-2">
            <p className="flex flex-wrap items-baseline justify-between gap-x-4">
              <Link
                className="font-semibold underline underline-offset-2"
                to={`/machines/${encodeURIComponent(m.machineId)}`}
              >
                {m.name}
              </Link>
              <span className="figure">
                {m.workedH > 0 ? `${h(m.workedH)} done, ` : ''}
                {h(m.left.p50)} to go, {h(m.left.p80)} to be sure of it
              </span>
            </p>
            <HoursBar workedH={m.workedH} p50={m.left.p50} p80={m.left.p80} mostH={most} />
            <Money machine={m} />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What it cost so far: paint by its cups, the rest as it was logged. */
function Money({ machine: m }: { readonly machine: MachineHours }) {
  const money = useMoney();
  const units = useUnits();
  const spent = SPENT_ON.filter((s) => m.spentCents[s] > 0);
  const hands = m.workedCents ?? 0;
  const all = hands + m.paintCents + spent.reduce((sum, s) => sum + m.spentCents[s], 0);
  if (all === 0) return null;
  return (
    <p className="text-[14px] text-quiet">
      <span className="figure text-ink">{money.price(all)}</span>:{' '}
      {[
        ...(hands > 0 ? [`hands ${money.price(hands)}`] : []),
        ...(m.paintCents > 0 ? [`paint ${money.price(m.paintCents)}`] : []),
        ...spent.map((s) => `${SPENT_WORDS[s]} ${money.price(m.spentCents[s])}`),
      ].join(', ')}
      {m.areaM2 > 0
        ? `; ${money.price(Math.round(all / m.areaM2))} for each m² of its ${units.area(m.areaM2)}`
        : ''}
      {m.coatsNotPriced > 0
        ? `. Not in it: the paint of ${m.coatsNotPriced} ${m.coatsNotPriced === 1 ? 'coat' : 'coats'} that name no cup, or whose tins have no price`
        : ''}
    </p>
  );
}

function Pace({ rates }: { readonly rates: readonly RateView[] }) {
  return (
    <section aria-label="Your pace" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">Your pace</h2>
      {rates.length === 0 ? (
        <p className="text-quiet">
          Not known yet. A job says something once hours are logged for it and its steps are done.
        </p>
      ) : (
        <ul>
          {rates.map((r) => (
            <li key={`${r.on}${r.shape}`} className="border-t border-line/60 py-1 text-[15px]">
              <p className="flex justify-between gap-3">
                <span>
                  {WORK_WORDS[r.on]}, {r.shape === 'casting' ? 'castings' : 'plate and sheet'}
                </span>
                <strong className="figure">× {r.factor.toFixed(2)}</strong>
              </p>
              <p className="text-[13px] text-quiet">
                {r.jobs} {r.jobs === 1 ? 'job' : 'jobs'}, in the middle {r.median.toFixed(2)} times as long as
                reckoned
                {r.from === null || r.to === null
                  ? ''
                  : ` (${r.from.toFixed(2)} to ${r.to.toFixed(2)}, four times in five)`}
                {r.leftOut.length === 0 ? '' : `; left out as too far off: ${r.leftOut.join(', ')}`}
              </p>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-1 text-[13px] text-quiet">
        Few jobs are drawn towards 1: with four of them half of what they say counts.
      </p>
    </section>
  );
}

/** What such jobs take elsewhere, and here. */
function Trade({ checks }: { readonly checks: readonly TradeCheck[] }) {
  return (
    <section aria-label="Against the trade" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">Against the trade</h2>
      <ul>
        {checks.map((c) => (
          <li key={c.id} className="border-t border-line/60 py-1 text-[15px]">
            <p className="flex justify-between gap-3">
              <span>{TRADE_CHECK_WORDS[c.id]}</span>
              <strong className="figure whitespace-nowrap">
                {c.fromH}–{c.toH} h
              </strong>
            </p>
            {c.own.map((o) => (
              <p key={o.name} className="text-[13px] text-quiet">
                {o.name}: {h(o.hours)},{' '}
                {o.by === 'both' ? 'logged and still to go' : o.by === 'logged' ? 'logged' : 'by its route'}
                {o.hours < c.fromH ? ' — less than usual' : o.hours > c.toH ? ' — more than usual' : ''}
              </p>
            ))}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[13px] text-quiet">
        Figures of the trade, a third to either side; nobody has published them.
      </p>
    </section>
  );
}

function People({ data }: { readonly data: HoursView }) {
  const most = Math.max(1, ...data.people.map((p) => p.hours));
  if (data.people.length === 0) return null;
  return (
    <section aria-label="People" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">People</h2>
      <ul>
        {data.people.map((p) => (
          <li
            key={p.personId}
            className="grid grid-cols-[110px_minmax(0,1fr)_64px] items-center gap-2 text-[15px]"
          >
            <span>{p.name}</span>
            <HoursBar workedH={p.hours} p50={0} p80={0} mostH={most} />
            <span className="figure text-right">{h(p.hours)}</span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[13px] text-quiet">Volunteers’ hours count for grants.</p>
    </section>
  );
}

/** Months that are shown, the newest last. */
const MOST_MONTHS = 24;

function Months({ data }: { readonly data: HoursView }) {
  const shown = data.months.slice(-MOST_MONTHS);
  if (shown.length < 2) return null;
  return (
    <section aria-label="By month" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">By month</h2>
      <MonthsChart months={shown} />
    </section>
  );
}

function Jobs({ jobs }: { readonly jobs: readonly Job[] }) {
  const shown = jobs.slice(0, 30);
  return (
    <section aria-label="Jobs" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">Jobs, against what was reckoned</h2>
      {shown.length === 0 ? (
        <p className="text-quiet">
          No hours yet. On a part: “Log…”, then Worked; or start its clock and stop it when you put the tools
          down.
        </p>
      ) : (
        <ul>
          {shown.map((j) => (
            <li
              key={`${j.partId}${j.on}`}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-t border-line/60 py-1 sm:grid-cols-[minmax(0,1fr)_160px_150px]"
            >
              <span>
                <Link className="underline underline-offset-2" to={`/parts/${encodeURIComponent(j.partId)}`}>
                  {j.partName}
                </Link>{' '}
                <span className="text-quiet">{WORK_WORDS[j.on]}</span>
              </span>
              <HoursBar
                workedH={j.workedH}
                p50={0}
                p80={0}
                mostH={Math.max(j.workedH, j.reckonedH ?? 0)}
                reckonedH={j.reckonedH}
              />
              <span className="figure col-span-2 text-[14px] text-quiet sm:col-span-1 sm:text-right">
                {h(j.workedH)} {j.reckonedH === null ? ', nothing reckoned' : `of ${h(j.reckonedH)}`}
                {j.isDone ? '' : ', goes on'}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
