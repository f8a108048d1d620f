import { useState } from 'react';
import type { PlanAsk } from '@calvetta/core';
import { Field } from '../../forms/Field.tsx';
import { Button } from '../../ui/Button.tsx';

interface Props {
  readonly partId: string;
  readonly partName: string;
  readonly ask: PlanAsk;
  readonly onAsk: (ask: PlanAsk) => void;
}

/** A part that is begun no sooner than a day, or is to be done by one, whatever its machine is. */
export function PartDaysForm({ partId, partName, ask, onAsk }: Props) {
  const own = ask.parts?.find((p) => p.partId === partId);
  const [from, setFrom] = useState(own?.fromDay ?? '');
  const [by, setBy] = useState(own?.byDay ?? '');
  const isBackwards = from !== '' && by !== '' && by < from;
  const isSame = from === (own?.fromDay ?? '') && by === (own?.byDay ?? '');
  const plan = (): void => {
    const others = (ask.parts ?? []).filter((p) => p.partId !== partId);
    const mine = { partId, fromDay: from === '' ? null : from, byDay: by === '' ? null : by };
    onAsk({ ...ask, parts: from === '' && by === '' ? others : [...others, mine] });
  };
  return (
    <details open={own !== undefined}>
      <summary className="cursor-pointer pointer-fine:py-1 text-[14px]">
        {partName}: not before a day, or done by one
      </summary>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (!isBackwards) plan();
        }}
      >
        <Field label="Not before">
          <input type="date" value={from} onChange={(e) => setFrom(e.target.value)} />
        </Field>
        <Field label="Done by" problem={isBackwards ? 'After it is begun.' : null}>
          <input type="date" value={by} min={from} onChange={(e) => setBy(e.target.value)} />
        </Field>
        <Button isInRow type="submit" disabled={isBackwards || isSame}>
          Plan it so
        </Button>
      </form>
    </details>
  );
}
