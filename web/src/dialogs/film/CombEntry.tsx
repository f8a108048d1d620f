import { useState } from 'react';
import { combPrediction, type FilmReadBody } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { useSheets } from '../../api/queries.ts';
import { Field } from '../../forms/Field.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { failureWords } from '../../forms/failureWords.ts';

interface CombProps {
  readonly part: PartDetail;
  readonly onBody: (body: FilmReadBody | null) => void;
}

/** The comb pressed into the wet coat: the last tooth that is wet and the next that is dry, as the film they dry to. */
export function CombEntry({ part, onBody }: CombProps) {
  const units = useUnits();
  const sheets = useSheets();
  const coat = part.facts.flatMap((f) => (f.kind === 'coated' && f.isStanding ? [f] : []))[0];
  const sheet = sheets.data?.sheets.find((s) => s.sheetId === coat?.body.sheetId);
  const [wet, setWet] = useState('');
  const [dry, setDry] = useState('');
  const thinPct = coat?.mix?.thinPct ?? coat?.body.thinnerPct ?? 0;
  const predict = (wetText: string, dryText: string) =>
    sheet && wetText !== '' && dryText !== ''
      ? combPrediction({ wetToothUm: Number(wetText), dryToothUm: Number(dryText) }, sheet.vsPct, thinPct)
      : null;
  const change = (wetText: string, dryText: string): void => {
    setWet(wetText);
    setDry(dryText);
    const p = predict(wetText, dryText);
    onBody(
      p?.ok
        ? {
            scope: 'coat',
            by: 'comb',
            readingsUm: [Number(p.value.leastUm.toFixed(1)), Number(p.value.mostUm.toFixed(1))],
            perSpot: 1,
            zero: 'unknown',
            profile: 'none',
            baseUm: null,
            rule: 'own',
            nominalUm: coat?.body.dftUm ?? sheet!.dftUm,
            minUm: null,
            maxUm: null,
          }
        : null,
    );
  };
  if (!coat || !sheet)
    return <p className="text-quiet">No coat is on yet: the comb reads the coat just laid.</p>;
  const p = predict(wet, dry);
  return (
    <div className="flex flex-col gap-2">
      <p className="text-quiet">
        {sheet.name}, {sheet.vsPct} % solids, {thinPct.toFixed(0)} % thinner: {units.film(coat.body.dftUm)}{' '}
        meant
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Last tooth that is wet, µm">
          <input autoFocus inputMode="numeric" value={wet} onChange={(e) => change(e.target.value, dry)} />
        </Field>
        <Field label="First tooth that is dry, µm">
          <input inputMode="numeric" value={dry} onChange={(e) => change(wet, e.target.value)} />
        </Field>
      </div>
      <p role="status" className={p && !p.ok ? 'text-bad' : 'figure text-[20px]'}>
        {p === null
          ? ''
          : p.ok
            ? `dries to about ${units.film(p.value.dftUm)}, ${units.film(p.value.leastUm)} to ${units.film(p.value.mostUm)}`
            : failureWords(p.error)}
      </p>
    </div>
  );
}
