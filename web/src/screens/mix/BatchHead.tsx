import { thinnerGrade, traitsOf, type ProductSheet } from '@calvetta/core';
import type { BenchResponse } from '@calvetta/contract';
import { THINNER_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../forms/fields.tsx';
import { Field } from '../../forms/Field.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import type { MixJob } from './mixJob.ts';
import type { Thin } from './thin.ts';

interface HeadProps {
  readonly sheet: ProductSheet;
  readonly colour: string | null;
  readonly thin: Thin;
  readonly job: MixJob;
  readonly places: BenchResponse['places'];
  readonly onChange: (patch: Partial<MixJob>) => void;
}

/** What is mixed, by which ratio, where, and how much it is thinned. */
export function BatchHead({ sheet, colour, thin, job, places, onChange }: HeadProps) {
  const units = useUnits();
  const { mix } = traitsOf(sheet);
  const ratio = mix === null ? 'one-pack' : `${mix.a}:${mix.b} by ${mix.by}`;
  return (
    <div className="flex flex-wrap items-start justify-between gap-3">
      <div>
        <h2 className="text-[20px] leading-tight">
          {sheet.name}
          {colour === null ? '' : `, ${colour}`}
        </h2>
        <p className="text-[14px] text-quiet">
          {ratio} · {sheet.vsPct} % solids by volume · {sheet.source}
        </p>
      </div>
      <div className="flex flex-wrap gap-3">
        <SelectField
          label="Mixed in"
          value={job.placeId ?? places[0]?.placeId ?? ''}
          options={places.map((p) => ({ value: p.placeId, text: `${p.name} ${units.temp(p.airC)}` }))}
          onChange={(placeId) => onChange({ placeId })}
        />
        <Field
          label={`Thinner, % · ${THINNER_WORDS[thinnerGrade(thin.airC ?? 18)]} grade`}
          problem={thin.problem}
          hint={`start with ${thin.suggestedPct}, at most ${thin.mostPct}; the flow cup decides`}
        >
          <input
            className="w-24"
            aria-label="Thinner, %"
            inputMode="decimal"
            value={job.thin ?? String(thin.suggestedPct)}
            onChange={(e) => onChange({ thin: e.target.value })}
          />
        </Field>
      </div>
    </div>
  );
}

interface SmallProps {
  readonly mixedMl: number;
  readonly smallestMl: number;
  readonly onUse: () => void;
}

/** Too little to measure the ratio by: says how much is enough, and offers it. */
export function SmallBatch({ mixedMl, smallestMl, onUse }: SmallProps) {
  const units = useUnits();
  if (mixedMl >= smallestMl - 1e-9) return null;
  return (
    <p role="alert" className="flex flex-wrap items-center gap-3 border-l-4 border-mark bg-ground px-3 py-1">
      <span>
        Less than {units.volume(smallestMl)} cannot be measured to 5 % on a cup read to 1 mL: weigh it, or mix
        more.
      </span>
      <Button onClick={onUse}>Mix {units.volume(smallestMl)}</Button>
    </p>
  );
}
