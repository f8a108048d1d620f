import { USUAL_ABSENT, type Holds, type PlanView } from '@calvetta/core';
import { HELP_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import { dayWords } from './planWords.ts';
import { DaysDrawn } from './DaysDrawn.tsx';
import type { HelpTried } from './planner.ts';
import type { Holding } from './usePlanner.ts';

interface Props {
  readonly holding: Holding;
  readonly view: PlanView;
  readonly onStop: () => void;
}
type MachineHolds = Holds['machines'][number];

/** How sure the plan is: lived through many times, with hands, people and air as they may fall out. */
export function HoldsPanel({ holding: { holds, few, of, helps, isDone }, view, onStop }: Props) {
  return (
    <section
      aria-label="Will it hold?"
      className="flex flex-col gap-2 border border-line bg-panel p-3 print:hidden"
    >
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-[18px]">Will it hold?</h2>
        <p role="status" className="text-[13px] text-quiet">
          {holds.n < of
            ? `${holds.n} of ${of} times lived through…`
            : isDone
              ? `Lived through ${holds.n} times: work takes longer or shorter, people stay away, the air turns out otherwise.`
              : `Lived through ${holds.n} times; now with a change…`}
        </p>
        {isDone ? null : (
          <Button isInRow look="quiet" onClick={onStop}>
            Stop
          </Button>
        )}
      </div>
      <Absent view={view} />
      <ul className="grid gap-3 lg:grid-cols-2">
        {holds.machines.map((m) => (
          <Machine key={m.machineId} machine={m} n={holds.n} view={view} />
        ))}
      </ul>
      <div className="grid gap-x-8 gap-y-2 lg:grid-cols-2">
        <Windows windows={holds.windows} n={holds.n} />
        {helps.length > 0 ? <Helps helps={helps} holds={few} view={view} /> : null}
      </div>
    </section>
  );
}

/** Whose own record says something else than the usual once in ten. */
function Absent({ view }: { readonly view: PlanView }) {
  const shares = new Map(
    view.sessions.flatMap((s) =>
      s.who.flatMap((h) => (h.name === null ? [] : [[h.name, h.absent] as const])),
    ),
  );
  const own = [...shares].flatMap(([name, absent]) =>
    absent === undefined || Math.abs(absent - USUAL_ABSENT) < 0.005 ? [] : [`${name} ${times(absent)}`],
  );
  if (own.length === 0) return null;
  return (
    <p className="text-[13px] text-quiet">
      By the list of who came, they stay away: {own.join(', ')}. Whoever is not named: once in ten times.
    </p>
  );
}

const times = (share: number): string => `${Math.round(share * 100)} of 100`;

function Machine({
  machine: m,
  n,
  view,
}: {
  readonly machine: MachineHolds;
  readonly n: number;
  readonly view: PlanView;
}) {
  const due = view.machines.find((x) => x.machineId === m.machineId)?.dueMs ?? null;
  return (
    <li className="border-t border-line/60 pt-1">
      <p>
        <strong>{m.name}</strong>:{' '}
        {m.p50Ms === null ? (
          'more often than not it is not done within this plan'
        ) : (
          <>
            as likely as not done by <strong>{dayWords(m.p50Ms, view)}</strong>;{' '}
            {m.p80Ms === null ? (
              'not four times in five within this plan'
            ) : (
              <>
                four times in five by <strong>{dayWords(m.p80Ms, view)}</strong>
              </>
            )}
          </>
        )}
        {m.inTime === null ? '' : `; in time for its date ${times(m.inTime)}`}.
      </p>
      <DaysDrawn doneMs={m.doneMs} n={n} dueMs={due} view={view} />
    </li>
  );
}

const MOST_WINDOWS = 6;
function Windows({ windows, n }: { readonly windows: Holds['windows']; readonly n: number }) {
  if (n === 0) return null;
  if (windows.length === 0)
    return <p className="text-[14px]">No coat found its window shut in any of them.</p>;
  return (
    <div className="text-[14px]">
      <p>Windows that shut before the coat came, in so many of 100:</p>
      <ul>
        {windows.slice(0, MOST_WINDOWS).map((w) => (
          <li key={w.opId} className="flex justify-between gap-2">
            <span>
              {w.partName}, {w.coatName} {w.no}
            </span>
            <span className="figure">{Math.max(1, Math.round(w.share * 100))}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

const lastP80 = (h: Holds): number =>
  h.machines.reduce((ms, m) => Math.max(ms, m.p80Ms ?? Infinity), -Infinity);

/** What each change would do to the day by which all is done four times in five; what helps most comes first. */
function Helps({
  helps,
  holds,
  view,
}: {
  readonly helps: readonly HelpTried[];
  readonly holds: Holds;
  readonly view: PlanView;
}) {
  const now = lastP80(holds);
  const byGain = [...helps].sort((a, b) => lastP80(a.holds) - lastP80(b.holds));
  const words = (ms: number): string => (Number.isFinite(ms) ? dayWords(ms, view) : 'not within this plan');
  return (
    <div className="text-[14px]">
      <p>What would help, by {holds.n} of the same replays; all done four times in five by:</p>
      <ul>
        <li className="flex justify-between gap-2 text-quiet">
          <span>as it is</span>
          <span className="figure">{words(now)}</span>
        </li>
        {byGain.map(({ help, holds: then }) => (
          <li key={help} className="flex justify-between gap-2">
            <span>{HELP_WORDS[help]}</span>
            <span className={`figure ${lastP80(then) < now ? 'font-semibold' : 'text-quiet'}`}>
              {words(lastP80(then))}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
