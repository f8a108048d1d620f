import { useState } from 'react';
import { stepChanged, type EditContext, type RouteStep, type Tool } from '@calvetta/core';
import { quantity } from '../../../forms/read.ts';
import { usePrefs } from '../../../state/prefs.ts';
import { useUnits } from '../../../ui/useUnits.ts';

interface Props {
  readonly index: number;
  readonly steps: readonly RouteStep[];
  readonly context: EditContext;
  readonly onSteps: (s: readonly RouteStep[]) => void;
}
const MOST_COATS = 6;

/** A coat: its product, how many, how thick, with what. Hours and cautions follow what is chosen. */
export function CoatControls({ index, steps, context, onSteps }: Props) {
  const s = steps[index]!;
  const family = context.families.get(s.familyId!);
  const alike = [...context.families.values()].filter((f) => f.sheet.role === family?.sheet.role);
  const change = (over: Parameters<typeof stepChanged>[3]): void =>
    onSteps(stepChanged(context, steps, index, over));
  const tools = [...new Set([...(family?.traits.tools ?? []), ...(s.tool ? [s.tool] : [])])];
  return (
    <span className="flex flex-wrap items-center gap-1">
      <select
        aria-label={`Product of step ${index + 1}`}
        className="min-h-8! min-w-0 flex-1 basis-[150px] py-0! pointer-coarse:min-h-11!"
        value={s.familyId}
        onChange={(e) => change({ familyId: e.target.value })}
      >
        {alike.map((f) => (
          <option key={f.familyId} value={f.familyId}>
            {f.sheet.name}
          </option>
        ))}
      </select>
      <select
        aria-label={`Coats of step ${index + 1}`}
        className="min-h-8! py-0! pointer-coarse:min-h-11!"
        value={s.coats}
        onChange={(e) => change({ coats: Number(e.target.value) })}
      >
        {Array.from({ length: MOST_COATS }, (_, n) => (
          <option key={n} value={n + 1}>
            ×{n + 1}
          </option>
        ))}
      </select>
      <Film
        key={s.dftUm}
        index={index}
        um={s.dftUm ?? family?.sheet.dftUm ?? 0}
        onFilm={(dftUm) => change({ dftUm })}
      />
      {tools.length > 1 ? (
        <select
          aria-label={`Tool of step ${index + 1}`}
          className="min-h-8! py-0! pointer-coarse:min-h-11!"
          value={s.tool}
          onChange={(e) => change({ tool: e.target.value as Tool })}
        >
          {tools.map((t) => (
            <option key={t} value={t}>
              {t}
            </option>
          ))}
        </select>
      ) : null}
    </span>
  );
}

/** The film of one coat, in the reader's unit; what is no film is not taken, and says why. */
function Film({
  index,
  um,
  onFilm,
}: {
  readonly index: number;
  readonly um: number;
  readonly onFilm: (um: number) => void;
}) {
  const bareUnit = usePrefs((p) => p.units.film);
  const units = useUnits();
  const shown = units.film(um);
  const [text, setText] = useState(shown);
  const read = quantity({ field: 'Film', dimension: 'film', bareUnit, min: 1, max: 2000 })(text);
  return (
    <input
      aria-label={`Film of step ${index + 1}`}
      aria-invalid={!read.ok}
      title={read.ok ? 'film of one coat, dry' : read.problem}
      className={`min-h-8! w-[76px] py-0! pointer-coarse:min-h-11! ${read.ok ? '' : 'border-bad!'}`}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={() => {
        if (!read.ok) setText(shown);
        else if (text !== shown) onFilm(Number(read.value.toPrecision(4)));
      }}
    />
  );
}
