import { useState } from 'react';
import { sharedMinutes } from '@calvetta/core';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { useRecordMany } from '../../record/useRecordMany.ts';
import { useRun, type Rack } from '../../state/run.ts';
import { Button } from '../../ui/Button.tsx';
import { duration } from '../../ui/time.ts';

/** What the run took: from its beginning to its last pass, for as many as were at it, shared by how long each part was sprayed. */
export function RunHours({ rack }: { readonly rack: Rack }) {
  const recordMany = useRecordMany();
  const save = useSave();
  const [hands, setHands] = useState('1');
  const sprayed = rack.parts.filter((p) => p.passes.length > 0);
  const lastMs = Math.max(...sprayed.flatMap((p) => p.passes));
  const n = Number(hands);
  const isSaid = Number.isInteger(n) && n >= 1 && n <= 50;
  if (sprayed.length === 0) return null;
  const ranMin = Math.max(1, (lastMs - rack.beganMs) / 60_000);
  if (rack.isHoursLogged === true) return <p className="text-[16px]">Its hours are logged.</p>;
  const log = (): void => {
    const shares = sharedMinutes(
      ranMin * n,
      sprayed.map((p) => p.passMin * p.passes.length),
    );
    const body = (minutes: number) => ({ on: 'coat' as const, minutes, ...(n > 1 ? { hands: n } : {}) });
    const draft = {
      kind: 'worked' as const,
      parts: sprayed,
      happenedMs: rack.beganMs,
      body: body(ranMin * n),
    };
    save.run(
      () => recordMany(draft, (i) => body(Math.max(0.1, Number(shares[i]!.toFixed(1))))),
      useRun.getState().hoursLogged,
    );
  };
  return (
    <form
      className="flex flex-wrap items-center gap-2 text-[16px]"
      onSubmit={(e) => {
        e.preventDefault();
        if (isSaid) log();
      }}
    >
      It has taken {duration(ranMin * 60_000)}, by
      <input
        aria-label="How many were at it"
        inputMode="numeric"
        className="w-14"
        value={hands}
        onChange={(e) => setHands(e.target.value)}
      />
      {n === 1 ? 'pair of hands.' : 'pairs of hands.'}
      <Button type="submit" disabled={!isSaid || save.isBusy}>
        Log its hours
      </Button>
      <FormTrouble words={save.trouble} />
    </form>
  );
}
