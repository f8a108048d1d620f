import { useState } from 'react';
import { WORK_WORDS } from '@calvetta/contract/words';
import { Field } from '../forms/Field.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useRecord } from '../record/useRecord.ts';
import { useNowMs } from '../state/clock.ts';
import { FORGOTTEN_MS, useTimer, type Running } from '../state/timer.ts';
import { Button } from '../ui/Button.tsx';
import { duration } from '../ui/time.ts';

/** What hands are busy with, over every screen, until it is stopped and logged. */
export default function TimerBar() {
  const running = useTimer((s) => s.running);
  return running ? <Bar running={running} /> : null;
}

function Bar({ running }: { readonly running: Running }) {
  const nowMs = useNowMs();
  const stop = useTimer((s) => s.stop);
  const record = useRecord();
  const save = useSave();
  const [minutes, setMinutes] = useState('');
  const ranMs = Math.max(0, nowMs - running.sinceMs);
  const isForgotten = ranMs > FORGOTTEN_MS;
  const workedMin = isForgotten ? Number(minutes.replace(',', '.')) : Math.max(1, Math.round(ranMs / 60_000));
  const isSaid = Number.isFinite(workedMin) && workedMin >= 1 && workedMin <= ranMs / 60_000 + 1;
  const log = (): void =>
    save.run(
      () =>
        record({
          kind: 'worked',
          partId: running.partId,
          partName: running.partName,
          face: null,
          happenedMs: running.sinceMs,
          endedMs: Math.min(nowMs, running.sinceMs + workedMin * 60_000),
          body: { on: running.on, minutes: Math.round(workedMin) },
        }),
      stop,
    );
  return (
    <section
      aria-label="Running clock"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t-2 border-chosen bg-panel px-4 py-2 print:hidden"
    >
      <p className="text-[15px]">
        <strong className="first-letter:uppercase inline-block">{WORK_WORDS[running.on]}</strong>,{' '}
        {running.partName}: <span className="figure text-[18px]">{duration(ranMs)}</span>
      </p>
      {isForgotten ? (
        <Field label="It ran longer than an evening. How many minutes was it?">
          <input
            className="figure w-24"
            inputMode="decimal"
            value={minutes}
            onChange={(e) => setMinutes(e.target.value)}
          />
        </Field>
      ) : null}
      <Button look="main" disabled={save.isBusy || !isSaid} onClick={log}>
        Stop and log
      </Button>
      <Button look="quiet" disabled={save.isBusy} onClick={stop}>
        Throw it away
      </Button>
      <FormTrouble words={save.trouble} />
    </section>
  );
}
