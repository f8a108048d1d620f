import type { PlanView } from '@calvetta/core';
import { Link } from 'react-router';
import { reasonWords, SURVEY_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import type { Sure } from './planner.ts';
import { dayWords, doneWords } from './planWords.ts';

interface Props {
  readonly before: PlanView;
  readonly now: PlanView;
  readonly what: string;
  /** How sure each is; null: nobody asked. */
  readonly sure: Sure | null;
  readonly onSure: () => void;
  readonly onKeep: () => void;
  readonly onBack: () => void;
}

const HOUR_MS = 3_600_000;
const mends = (v: PlanView): number => v.cost.lines.find((l) => l.what === 'mends')?.count ?? 0;
const risk = (v: PlanView): number => v.cost.lines.find((l) => l.what === 'risk')?.count ?? 0;
const takenMs = (v: PlanView): number => v.sessions.reduce((sum, s) => sum + s.takenMs, 0);

/** Two plans side by side: what the change costs, before it is kept. */
export function Compare({ before, now, what, sure, onSure, onKeep, onBack }: Props) {
  const rows: readonly (readonly [string, (v: PlanView) => string])[] = [
    ...now.machines.map(
      (m) =>
        [
          `${m.name} done`,
          (v: PlanView) => {
            const doneMs = v.machines.find((x) => x.machineId === m.machineId)?.doneMs ?? null;
            return doneMs === null ? 'not all planned' : doneWords(doneMs, v);
          },
        ] as const,
    ),
    ['parts not wholly planned', (v) => String(v.left.length)],
    ['coats past their window', (v) => String(mends(v))],
    ['hours of hands', (v) => (takenMs(v) / HOUR_MS).toFixed(0)],
    ['gun-loads', (v) => String(v.runs.length)],
    ['coats at risk from the air', (v) => String(risk(v))],
  ];
  return (
    <section aria-label="Side by side" className="border border-line bg-panel p-3">
      <table className="w-full max-w-[640px] text-left">
        <thead>
          <tr>
            <th scope="col" className="figure py-1">
              What if: {what}
            </th>
            <th scope="col" className="figure">
              as it was
            </th>
            <th scope="col" className="figure">
              then
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([label, of]) => (
            <tr key={label} className="border-t border-line/60">
              <th scope="row" className="py-0.5 font-normal">
                {label}
              </th>
              <td className="figure">{of(before)}</td>
              <td className={`figure ${of(before) === of(now) ? 'text-quiet' : 'font-semibold'}`}>
                {of(now)}
              </td>
            </tr>
          ))}
          {sure ? <SureRows sure={sure} view={now} /> : null}
        </tbody>
      </table>
      <Kept view={now} />
      <div className="mt-2 flex flex-wrap gap-2">
        {sure ? null : <Button onClick={onSure}>How sure is each?</Button>}
        <Button onClick={onBack}>Back to as it was</Button>
        <Button look="main" onClick={onKeep}>
          Go on with this
        </Button>
      </div>
    </section>
  );
}

const isWhole = (s: Sure): boolean => s.before.n >= s.of && s.now.n >= s.of;

/** By when each machine is done four times in five, and how often it is in time, as it was and then. */
function SureRows({ sure, view }: { readonly sure: Sure; readonly view: PlanView }) {
  if (!isWhole(sure))
    return (
      <tr className="border-t border-line/60">
        <th scope="row" className="py-0.5 font-normal" colSpan={3} role="status">
          {sure.before.n + sure.now.n} of {2 * sure.of} times lived through…
        </th>
      </tr>
    );
  const when = (m: Sure['now']['machines'][number] | undefined): string =>
    [
      m?.p80Ms == null ? 'not within this plan' : dayWords(m.p80Ms, view),
      ...(m?.inTime == null ? [] : [`in time ${Math.round(m.inTime * 100)} of 100`]),
    ].join(', ');
  return sure.now.machines.map((m) => {
    const was = sure.before.machines.find((x) => x.machineId === m.machineId);
    const [a, b] = [when(was), when(m)];
    return (
      <tr key={m.machineId} className="border-t border-line/60">
        <th scope="row" className="py-0.5 font-normal">
          {m.name} done four times in five by
        </th>
        <td className="figure">{a}</td>
        <td className={`figure ${a === b ? 'text-quiet' : 'font-semibold'}`}>{b}</td>
      </tr>
    );
  });
}

/** Why a part keeps its product, and what would let the other on. */
function keptWhy({ refusals: [first], asks, isUnjudged }: PlanView['kept'][number]): string {
  if (isUnjudged) return 'never surveyed here, so nothing judges it. Survey it, and it is.';
  if (first) return reasonWords(first);
  return `not known: ${asks.map((f) => SURVEY_WORDS[f].toLowerCase()).join(', ')}. Answer it in its survey.`;
}

/** Parts that another product does not suit, each with what the rules say. */
function Kept({ view }: { readonly view: PlanView }) {
  if (view.kept.length === 0) return null;
  return (
    <details className="mt-2 text-[14px]">
      <summary className="cursor-pointer">
        {view.kept.length === 1 ? 'One part keeps' : `${view.kept.length} parts keep`} what the routes say
      </summary>
      <ul className="list-disc pl-5">
        {view.kept.map((k) => (
          <li key={k.partId}>
            <Link
              className="underline underline-offset-2"
              to={`/parts/${encodeURIComponent(k.partId)}/route`}
            >
              {k.name}
            </Link>
            : {keptWhy(k)}
          </li>
        ))}
      </ul>
    </details>
  );
}
