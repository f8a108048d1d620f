import { Link } from 'react-router';
import { canonicalJson, dayAfter, newestSheet, type PlanAsk, type PlanView } from '@calvetta/core';
import type { StoredPlan } from '@calvetta/contract';
import { useMachines, usePeople, usePlaces, usePlan, useSheets, useShop } from '../../api/queries.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/Empty.tsx';
import { Heading } from '../../ui/Heading.tsx';
import { ToBuy } from '../../ui/ToBuy.tsx';
import { ToolForm } from './ToolForm.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { moment } from '../../ui/time.ts';
import { AskForm } from './AskForm.tsx';
import { Compare } from './Compare.tsx';
import { defaultAsk } from './defaultAsk.ts';
import { HeatForm } from './HeatForm.tsx';
import { LateForm } from './LateForm.tsx';
import { MoreForm } from './MoreForm.tsx';
import { HoldsPanel } from './HoldsPanel.tsx';
import { Broken, Lacking } from './Lacking.tsx';
import { dayWords, doneWords } from './planWords.ts';
import { PlanChart } from './PlanChart.tsx';
import { ProductForm } from './ProductForm.tsx';
import { SessionPanel } from './SessionPanel.tsx';
import type { Since } from './planner.ts';
import type { Making } from './usePlanner.ts';
import { useHeldPlan, type HeldPlan } from './useHeldPlan.ts';
import { usePlanning } from './usePlanning.ts';
import { WorkPanel } from './WorkPanel.tsx';

type Nothing = Parameters<typeof Empty>[0];
const NO_MACHINE: Nothing = {
  title: 'Nothing to plan yet',
  text: 'A plan is made of machines whose parts have a route. Name a machine, survey its parts, choose their routes.',
  next: { to: '/machines', text: 'To the machines' },
};
const NO_SESSION: Nothing = {
  title: 'Nobody said when people come',
  text: 'A plan fills the evenings and Saturdays on which somebody is there. Say which those are.',
  next: { to: '/settings', text: 'Say when we come' },
};
const NoPlan = (nothing: Nothing) => (
  <div className="p-4">
    <Heading title={['Plan']}>Plan</Heading>
    <Empty {...nothing} />
  </div>
);

/** What each session should do, in which gun-loads, and when the machine is done. */
export default function PlanScreen() {
  const shop = useShop();
  const machines = useMachines();
  const stored = usePlan();
  const places = usePlaces();
  const people = usePeople();
  if (!shop.data) return <Waiting isPage error={shop.error} what="workshop" />;
  if (!machines.data) return <Waiting isPage error={machines.error} what="machines" />;
  if (stored.data === undefined) return <Waiting isPage error={stored.error} what="plan" />;
  const inUse = machines.data.machines.filter((m) => !m.isAway);
  if (inUse.length === 0) return <NoPlan {...NO_MACHINE} />;
  if (shop.data.attendance.weekly.length === 0) return <NoPlan {...NO_SESSION} />;
  return (
    <Standing
      stored={stored.data.plan}
      first={defaultAsk(inUse, places, people)}
      machines={inUse}
      places={places}
      zone={shop.data.zone}
      nowMs={machines.data.nowMs}
    />
  );
}

interface StandingProps {
  readonly stored: StoredPlan | null;
  /** What is asked where no plan is kept. */
  readonly first: PlanAsk;
  readonly machines: Parameters<typeof AskForm>[0]['machines'];
  readonly places: Parameters<typeof AskForm>[0]['places'];
  readonly zone: string;
  readonly nowMs: number;
}

function Standing(props: StandingProps) {
  const held = useHeldPlan(props.stored);
  const { stored } = held;
  return <Planning key={stored?.planId ?? 'none'} {...props} {...held} first={stored?.ask ?? props.first} />;
}

function Planning(props: StandingProps & HeldPlan) {
  const { stored, other, zone, nowMs } = props;
  const p = usePlanning(props, props.first);
  const { view, making, trial } = p;
  const isMaking = making !== null && !making.isDone;
  return (
    <div className="flex h-full min-h-0 flex-col gap-3 p-4 max-md:h-auto max-md:p-2 print:block">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2 print:hidden">
        <Heading title={['Plan']}>Plan</Heading>
        <p role="status" className="min-w-[180px] flex-1 text-[13px] text-quiet">
          {statusWords(p, stored, nowMs, zone)}
        </p>
        <Acts planning={p} stored={stored} other={other} isMaking={isMaking} />
      </div>
      {other ? <Other plan={other} nowMs={nowMs} zone={zone} onSee={props.onSeeOther} /> : null}
      <Done view={view} />
      {p.isAsking ? (
        <section className="border border-line bg-panel p-3 print:hidden" aria-label="What is asked">
          <AskForm {...props} ask={p.ask} todayIso={dayAfter(zone, nowMs, 0)} onChange={p.setAsk} />
          {view ? (
            <HeatForm
              places={props.places}
              view={view}
              onTry={(heat, what) => p.tryOut({ ...p.ask, heat: [...p.ask.heat, heat] }, what)}
            />
          ) : null}
          {view ? <MoreForm view={view} ask={p.ask} onTry={p.tryOut} /> : null}
          {view ? <ToolForm ask={p.ask} onTry={p.tryOut} /> : null}
          {view ? <ProductForm view={view} ask={p.ask} onTry={p.tryOut} /> : null}
          {view ? <LateForm onTry={(lateDays, what) => p.tryOut({ ...p.ask, lateDays }, what)} /> : null}
        </section>
      ) : null}
      {p.trouble === null ? null : (
        <p role="alert" className="border-l-4 border-bad bg-panel p-2">
          {p.trouble}
        </p>
      )}
      {trial && view && !isMaking ? (
        <Compare
          before={trial.before}
          now={view}
          what={trial.what}
          sure={p.sure}
          onSure={p.liveBoth}
          onKeep={p.goOn}
          onBack={p.goBack}
        />
      ) : null}
      {view && p.holding ? <HoldsPanel holding={p.holding} view={view} onStop={p.stop} /> : null}
      {view === null ? null : view.sessions.length === 0 ? (
        <Nobody />
      ) : view.breaches.length > 0 ? (
        <Broken view={view} />
      ) : (
        <Drawn planning={p} view={view} />
      )}
    </div>
  );
}

type Planned = ReturnType<typeof usePlanning>;

/** Make, stop, keep, and take away. */
function Acts({
  planning: p,
  stored,
  other,
  isMaking,
}: {
  readonly planning: Planned;
  readonly stored: StoredPlan | null;
  readonly other: StoredPlan | null;
  readonly isMaking: boolean;
}) {
  const { view } = p;
  // A date asked for otherwise is another plan, though the work stands where it stood.
  const isKept =
    stored !== null &&
    view !== null &&
    canonicalJson([view.ask, view.plan.items]) === canonicalJson([stored.ask, stored.plan.items]);
  const mayKeep = view !== null && !isMaking && !p.trial && !isKept && view.breaches.length === 0;
  return (
    <div className="ml-auto flex flex-wrap gap-2">
      {isMaking ? (
        <Button onClick={p.stop}>Stop at this one</Button>
      ) : (
        <Button
          look={view ? 'plain' : 'main'}
          disabled={p.ask.machines.length === 0}
          onClick={() => p.make(p.ask)}
        >
          {view ? 'Make it again' : 'Make a plan'}
        </Button>
      )}
      {view && !isMaking && view.breaches.length === 0 && view.runs.length > 0 ? (
        <Button onClick={p.live}>Will it hold?</Button>
      ) : null}
      <Button aria-expanded={p.isAsking} onClick={() => p.setAsking(!p.isAsking)}>
        What is asked
      </Button>
      {mayKeep ? (
        <Button look="main" disabled={p.isKeeping} onClick={() => p.keep(view)}>
          {other ? 'Keep this one in its place' : 'Keep this plan'}
        </Button>
      ) : null}
      {stored ? (
        <a
          className="figure flex min-h-11 items-center rounded-sm border border-ink/60 bg-panel px-4 text-[15px]"
          href="/api/plan.ics"
          download="calvetta-plan.ics"
        >
          For a calendar
        </a>
      ) : null}
    </div>
  );
}

/** Kept elsewhere while somebody works on a plan here: theirs holds, and one's own stays in one's hands. */
function Other({
  plan,
  nowMs,
  zone,
  onSee,
}: {
  readonly plan: StoredPlan;
  readonly nowMs: number;
  readonly zone: string;
  readonly onSee: () => void;
}) {
  const who = usePeople().find((p) => p.personId === plan.personId)?.name ?? 'Somebody';
  return (
    <div role="status" className="flex flex-wrap items-center gap-3 border-l-4 border-warn bg-panel p-2">
      <p className="min-w-[220px] flex-1">
        {who} kept another plan {moment(plan.madeAtMs, nowMs, zone)}. That one holds; what you have here is
        not kept.
      </p>
      <Button onClick={onSee}>Drop this, see theirs</Button>
    </div>
  );
}

/** The chart, and beside it the chosen work and its session. */
function Drawn({ planning: p, view }: { readonly planning: Planned; readonly view: PlanView }) {
  return (
    <>
      {view.blindPlaces.length > 0 ? (
        <p className="text-[13px] text-warn">
          {view.blindPlaces.join(', ')}: fewer than fourteen days of readings. Past the forecast no coat is
          planned there; let a probe report, and it will be.
        </p>
      ) : null}
      <OtherProduct view={view} />
      <Lacking view={view} />
      <div className="flex min-h-[320px] flex-1 gap-3 max-lg:flex-col-reverse print:block">
        <PlanChart
          view={view}
          session={p.session}
          onSession={p.setSession}
          opId={p.chosen}
          onBlock={p.choose}
          onMove={p.move}
        />
        <aside className="flex w-[340px] shrink-0 flex-col gap-3 overflow-y-auto max-lg:w-full print:w-full">
          {p.chosen === null ? null : (
            <WorkPanel
              view={view}
              opId={p.chosen}
              notPinned={p.notPinned}
              onBlock={p.choose}
              onMove={p.move}
              onAsk={p.make}
              onUnpin={(id) => p.make({ ...view.ask, pins: view.ask.pins.filter((x) => x.opId !== id) })}
            />
          )}
          <SessionPanel
            view={view}
            index={Math.min(p.session, view.sessions.length - 1)}
            opId={p.chosen}
            onBlock={p.choose}
            onLose={(ms) =>
              p.tryOut({ ...view.ask, lost: [...view.ask.lost, ms] }, `nobody comes ${dayWords(ms, view)}`)
            }
          />
          {view.toBuy.length > 0 ? (
            <section aria-label="To buy in time" className="flex flex-col gap-1 border-t border-line pt-2">
              <h2 className="text-[16px]">To buy in time</h2>
              <ToBuy lines={view.toBuy} zone={view.zone} />
              <Link className="text-[13px] underline underline-offset-2 print:hidden" to="/shelf">
                The shelf, and the cheapest packs
              </Link>
            </section>
          ) : null}
        </aside>
      </div>
    </>
  );
}

/** A plan made with another product is no change of the routes: who lays it would lay what no route says. */
function OtherProduct({ view }: { readonly view: PlanView }) {
  const sheets = useSheets().data?.sheets ?? [];
  const { product } = view.ask;
  if (!product) return null;
  const name = (id: string): string => newestSheet(sheets, id)?.name ?? id;
  return (
    <p className="border-l-4 border-warn bg-panel p-2 text-[14px]">
      Made with {name(product.to)} in place of {name(product.from)}. The routes still say {name(product.from)}
      : change them, part by part or for parts alike, before it is laid.
    </p>
  );
}

function statusWords(p: Planned, stored: StoredPlan | null, nowMs: number, zone: string): string {
  if (p.making) return makingWords(p.making);
  if (stored)
    return p.view
      ? `Kept ${moment(stored.madeAtMs, nowMs, zone)}${sinceWords(p.since)}`
      : 'Reading the plan…';
  return p.view
    ? ''
    : 'Tick the machines to bring on, give a date where there is one, and press Make a plan. Sessions are filled so that windows do not shut between them; what finds no place is said, with why.';
}

const Nobody = () => (
  <p role="alert" className="border-l-4 border-bad bg-panel p-2">
    Nobody comes in these weeks, so nothing can be planned. Say under{' '}
    <Link className="underline" to="/settings">
      Settings, People
    </Link>{' '}
    who comes on which days, or plan with “so many, whoever it is”.
  </p>
);

function makingWords({ tried, isDone }: Making): string {
  if (tried === 0) return isDone ? 'Stopped before there was a plan.' : 'Looking at the shop…';
  const plans = tried === 1 ? 'One plan' : `${tried} plans`;
  return isDone ? `${plans} tried; this is the best.` : `${plans} tried so far; the best is shown.`;
}

function sinceWords(since: Since | null): string {
  if (!since) return '';
  const few = (names: readonly string[]): string =>
    names.length > 3 ? `${names.length} parts` : names.join(', ');
  const done = since.done.length > 0 ? ` · ${since.done.length} jobs of it are done` : '';
  const late = since.late.length > 0 ? ` · ${since.late.length} should have been done by now` : '';
  const moved =
    since.moved.length > 0
      ? ` · the shop has gone on since: ${few(since.moved)} placed anew. Keep it to make it hold`
      : '';
  return done + late + moved;
}

/** When each machine is done, against its date, and before when it cannot be. */
function Done({ view }: { readonly view: PlanView | null }) {
  if (!view) return null;
  return (
    <ul className="flex flex-wrap gap-x-4">
      {view.machines.map((m) => {
        const isLate = m.doneMs !== null && m.dueMs !== null && m.doneMs > m.dueMs;
        return (
          <li key={m.machineId} className="leading-tight">
            <span className="figure">{m.name}</span>{' '}
            {m.doneMs === null ? (
              <span className="text-bad">not wholly planned</span>
            ) : (
              <span className={isLate ? 'text-bad' : ''}>
                done {doneWords(m.doneMs, view)}
                {isLate ? ', after its date' : ''}
              </span>
            )}
            {m.boundMs === null ? (
              ''
            ) : (
              <span className="text-quiet"> · cannot be before {doneWords(m.boundMs, view)}</span>
            )}
          </li>
        );
      })}
    </ul>
  );
}
