import type { MixView } from '@calvetta/contract';
import { NumberField, SelectField } from '../../forms/fields.tsx';
import type { Bound } from '../../forms/useDraft.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { isMixGone } from '../../words/mixWords.ts';

interface Props {
  readonly mixes: readonly MixView[];
  readonly chosen: string;
  readonly used: Bound;
  readonly nowMs: number;
  readonly onMix: (mixId: string) => void;
}

/** The cup it came from: batch, thinner and age follow from it, and what it used goes off the cup. */
export function FromCup({ mixes, chosen, used, nowMs, onMix }: Props) {
  const units = useUnits();
  const words = (m: MixView): string =>
    [
      `${units.volume(m.leftMl)} left`,
      ...(m.colour === null ? [] : [m.colour]),
      ...(m.batch === null ? [] : [`batch ${m.batch}`]),
    ].join(', ') + (isMixGone(m, nowMs) ? ' · gone off' : '');
  return (
    <div className="grid grid-cols-2 gap-3">
      <SelectField
        label="From the cup"
        value={chosen}
        options={[
          ...mixes.map((m) => ({ value: m.mixId, text: words(m) })),
          { value: '', text: 'none of these' },
        ]}
        onChange={onMix}
      />
      <NumberField label="Used of it, mL" hint="through the tool; empty: not measured" bound={used} />
    </div>
  );
}
