import type { PlanView } from '@calvetta/core';
import { Button } from '../../ui/Button.tsx';
import { dayAndTime } from '../../ui/time.ts';

interface Props {
  readonly before: PlanView;
  readonly now: PlanView;
  readonly what: string;
  readonly onKeep: () => void;
  readonly onBack: () => void;
}

const HOUR_MS = 3_600_000;
const mends = (v: PlanView): number => v.cost.lines.find((l) => l.what === 'mends')?.count ?? 0;
const risk = (v: PlanView): number => v.cost.lines.find((l) => l.what === 'risk')?.count ?? 0;
const takenMs = (v: PlanView): number => v.sessions.reduce((sum, s) => sum + s.takenMs, 0);

/** Two plans side by side: what the change costs, before it is kept. */
export function Compare({ before, now, what, onKeep, onBack }: Props) {
  const rows: readonly (readonly [string, (v: PlanView) => string])[] = [
    ...now.machines.map(
      (m) =>
        [
          `${m.name} done`,
          (v: PlanView) => {
            const doneMs = v.machines.find((x) => x.machineId === m.machineId)?.doneMs ?? null;
            return doneMs === null ? 'not all planned' : dayAndTime(doneMs, v.zone);
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
        </tbody>
      </table>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={onBack}>Back to as it was</Button>
        <Button look="main" onClick={onKeep}>
          Go on with this
        </Button>
      </div>
    </section>
  );
}
