import { useState } from 'react';
import type { PlanAsk, PlanView } from '@calvetta/core';
import { Field } from '../../forms/Field.tsx';
import { number } from '../../forms/read.ts';
import { Button } from '../../ui/Button.tsx';
import { fromLocalInput, toLocalInput } from '../../ui/time.ts';
import { timeWords } from './planWords.ts';

interface Props {
  readonly view: PlanView;
  readonly ask: PlanAsk;
  readonly onTry: (ask: PlanAsk, what: string) => void;
}
const HOUR_MS = 3_600_000;
const LONGEST_MS = 24 * HOUR_MS;
/** A number of people as typed; null: it is none. */
const people = (text: string, least: number): number | null => {
  const read = number('people', least, 10)(text);
  return read.ok && Number.isInteger(read.value) ? read.value : null;
};

/** What if more came: to every session, or to one that is not in the calendar. The plan with it beside the plan without. */
export function MoreForm({ view, ask, onTry }: Props) {
  const [many, setMany] = useState('1');
  const [spray, setSpray] = useState('0');
  // The next whole hour: now itself is past by the time it is read.
  const soonMs = Math.ceil(view.nowMs / HOUR_MS + 0.01) * HOUR_MS;
  const [from, setFrom] = useState(toLocalInput(soonMs, view.zone));
  const [to, setTo] = useState(toLocalInput(soonMs + 3 * HOUR_MS, view.zone));
  const n = people(many, 1);
  const painters = people(spray, 0);
  const isBad = n === null || painters === null || painters > n;
  const fromMs = fromLocalInput(from, view.zone);
  const toMs = fromLocalInput(to, view.zone);
  const spanTrouble = spanProblem(view, fromMs, toMs);
  const who = `${many === '1' ? 'one more' : `${many} more`}${spray === '0' ? '' : `, of them ${spray} spray`}`;
  const come = (): void => {
    if (isBad) return;
    const extra = { people: (ask.extra?.people ?? 0) + n, painters: (ask.extra?.painters ?? 0) + painters };
    onTry({ ...ask, extra }, `${who} to every session`);
  };
  const meet = (): void => {
    if (isBad || spanTrouble !== null || fromMs === null || toMs === null) return;
    const added = [...(ask.added ?? []), { fromMs, toMs, people: n, painters }];
    onTry({ ...ask, added }, `${many} come ${timeWords(fromMs, view)} as well`);
  };
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        come();
      }}
    >
      <Field label="What if so many more come" problem={n === null ? '1 to 10 people.' : null}>
        <input className="w-20" inputMode="numeric" value={many} onChange={(e) => setMany(e.target.value)} />
      </Field>
      <Field
        label="Of them spray"
        problem={painters === null || (n !== null && painters > n) ? 'No more than come.' : null}
      >
        <input
          className="w-20"
          inputMode="numeric"
          value={spray}
          onChange={(e) => setSpray(e.target.value)}
        />
      </Field>
      <Button type="submit" disabled={isBad}>
        To every session
      </Button>
      <Field label="or once more, from">
        <input type="datetime-local" value={from} onChange={(e) => setFrom(e.target.value)} />
      </Field>
      <Field label="To" problem={spanTrouble}>
        <input type="datetime-local" value={to} onChange={(e) => setTo(e.target.value)} />
      </Field>
      <Button disabled={isBad || spanTrouble !== null} onClick={meet}>
        To that one
      </Button>
    </form>
  );
}

/** What is wrong with a session that is only supposed; null: nothing. */
function spanProblem(view: PlanView, fromMs: number | null, toMs: number | null): string | null {
  if (fromMs === null || toMs === null || toMs <= fromMs) return 'Later than it begins.';
  if (toMs - fromMs > LONGEST_MS) return 'A day at the longest.';
  if (fromMs < view.nowMs) return 'From now on.';
  const same = view.sessions.find((s) => s.fromMs < toMs && fromMs < s.toMs);
  return same ? `You meet then anyhow: ${timeWords(same.fromMs, view)}.` : null;
}
