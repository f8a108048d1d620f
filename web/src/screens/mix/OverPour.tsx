import { cupHeightMm, type Batch, type CupShape, type Repair, type Result } from '@calvetta/core';
import { failureWords } from '../../forms/failureWords.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../forms/Field.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { PART_WORDS } from './BatchPanel.tsx';

type Texts = Readonly<Record<'a' | 'b' | 'thinner', string>>;
interface Props {
  readonly planned: Batch | null;
  readonly poured: Texts | null;
  readonly problems: Readonly<Record<'a' | 'b' | 'thinner', string | null>>;
  readonly pouredMl: { readonly aMl: number; readonly bMl: number; readonly thinnerMl: number } | null;
  readonly repair: Result<Repair> | null;
  readonly cup: CupShape | null;
  readonly onChange: (poured: Texts | null) => void;
}

/** A pour that went over: say what is in the cup, and see what to add. Nothing can be taken out again. */
export function OverPour({ planned, poured, problems, pouredMl, repair, cup, onChange }: Props) {
  if (poured === null)
    return (
      <Button
        className="self-start"
        disabled={planned === null}
        onClick={() =>
          onChange({
            a: planned ? planned.aMl.toFixed(0) : '',
            b: planned && planned.bMl > 0 ? planned.bMl.toFixed(0) : '',
            thinner: '',
          })
        }
      >
        Poured too much?
      </Button>
    );
  const parts = (['a', 'b', 'thinner'] as const).filter((p) => p !== 'b' || (planned?.bMl ?? 1) > 0);
  return (
    <section aria-label="Over-pour" className="flex flex-col gap-2 border-l-4 border-mark bg-ground p-3">
      <h3 className="text-[16px]">What is in the cup now</h3>
      <div className="flex flex-wrap items-end gap-2">
        {parts.map((p) => (
          <Field key={p} label={`${PART_WORDS[p]}, mL`} problem={problems[p]}>
            <input
              className="w-24"
              aria-label={`${PART_WORDS[p]} in the cup`}
              value={poured[p]}
              onChange={(e) => onChange({ ...poured, [p]: e.target.value })}
            />
          </Field>
        ))}
        <Button look="quiet" onClick={() => onChange(null)}>
          It was right after all
        </Button>
      </div>
      {repair?.ok && pouredMl ? (
        <Additions repair={repair.value} pouredMl={pouredMl} cup={cup} />
      ) : repair && !repair.ok ? (
        <p role="alert" className="text-bad">
          {failureWords(repair.error)}
        </p>
      ) : null}
    </section>
  );
}

interface AddProps {
  readonly repair: Repair;
  readonly pouredMl: { readonly aMl: number; readonly bMl: number; readonly thinnerMl: number };
  readonly cup: CupShape | null;
}

/** What to add of each, in order, and to where the cup then stands. */
function Additions({ repair, pouredMl, cup }: AddProps) {
  const units = useUnits();
  const steps = (
    [
      ['a', repair.add.aMl],
      ['b', repair.add.bMl],
      ['thinner', repair.add.thinnerMl],
    ] as const
  ).filter(([, ml]) => ml > 0.05);
  const before = pouredMl.aMl + pouredMl.bMl + pouredMl.thinnerMl;
  const levels = steps.map(([part, ml], i) => {
    const toMl = before + steps.slice(0, i + 1).reduce((sum, [, x]) => sum + x, 0);
    return { part, ml, height: cup ? cupHeightMm(cup, toMl) : null };
  });
  if (levels.length === 0) return <p className="text-good">The ratio is right as it stands.</p>;
  return (
    <p role="status" className="figure text-[20px]">
      Add{' '}
      {levels.map(({ part, ml, height }, i) => (
        <span key={part}>
          {i > 0 ? ', then ' : ''}
          {units.volume(ml)} {PART_WORDS[part]}
          {height?.ok ? (
            <span className="text-[15px] text-quiet"> to {height.value.toFixed(1)} mm</span>
          ) : null}
        </span>
      ))}
      <span className="text-[15px] text-quiet">
        {' '}
        · {units.volume(repair.batch.totalMl)} in all; what is over is worth a look at what else takes it
      </span>
    </p>
  );
}
