import { useSend } from '../../record/useSend.ts';
import { cupGone } from '../../record/write.ts';
import {
  cupFullMl,
  cupMarks,
  scaleSteps,
  vocAsAppliedGL,
  traitsOf,
  type Batch,
  type CupMark,
  type ProductSheet,
} from '@calvetta/core';
import type { CupView } from '@calvetta/contract';
import { Cup } from '../../drawings/Cup.tsx';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { useUnits } from '../../ui/useUnits.ts';

export const PART_WORDS: Readonly<Record<CupMark['part'], string>> = { a: 'A', b: 'B', thinner: 'thinner' };

interface Props {
  readonly sheet: ProductSheet;
  readonly batch: Batch;
  readonly thinPct: number;
  readonly cups: readonly CupView[];
  readonly cupId: string | null;
  readonly onCup: (cupId: string | null) => void;
}

/** The batch in large figures, on the cup, and on a scale. */
export function BatchPanel({ sheet, batch, thinPct, cups, cupId, onCup }: Props) {
  const units = useUnits();
  const send = useSend();
  const show = useDialogs((s) => s.show);
  const cup = cups.find((c) => c.cupId === cupId) ?? smallestThatHolds(cups, batch.totalMl);
  const marks = cup ? cupMarks(cup, batch) : null;
  const traits = traitsOf(sheet);
  return (
    <div className="grid gap-4 md:grid-cols-[minmax(0,1fr)_minmax(330px,1fr)]">
      <div className="flex flex-col gap-3">
        <Amounts batch={batch} isOnePack={batch.bMl === 0} />
        <Scale batch={batch} />
        <p className="text-[13px] text-quiet">
          {units.volume(batch.mixedMl)} mixed, {units.volume(batch.totalMl)} with {thinPct.toFixed(0)} %
          thinner by volume; volumes are taken to add up. VOC as applied about{' '}
          {vocAsAppliedGL(traits.vocGL, thinPct, traits.thinnerDensityKgL).toFixed(0)} g/L.
        </p>
      </div>
      <div>
        <div className="flex flex-wrap items-center gap-2">
          <select
            aria-label="Cup"
            value={cup?.cupId ?? ''}
            onChange={(e) => onCup(e.target.value === '' ? null : e.target.value)}
          >
            {cups.length === 0 ? <option value="">no cup measured yet</option> : null}
            {cups.map((c) => (
              <option key={c.cupId} value={c.cupId}>
                {c.name}, {units.volume(cupFullMl(c))}
              </option>
            ))}
          </select>
          <Button look="quiet" onClick={() => show({ kind: 'cup', onStored: onCup })}>
            Measure a cup
          </Button>
          {cup ? (
            <Button
              look="quiet"
              onClick={() => void send(cupGone(cup.cupId), `Put away: ${cup.name}`).catch(() => undefined)}
            >
              Drop this one
            </Button>
          ) : null}
        </div>
        {cup && marks?.ok ? (
          <Cup
            cup={cup}
            marks={marks.value}
            words={(m) => `${PART_WORDS[m.part]} to ${m.heightMm.toFixed(1)} mm`}
            heightPx={250}
            colour={sheet.bandColour}
            label={`${cup.name}: ${marks.value.map((m) => `${PART_WORDS[m.part]} to ${m.heightMm.toFixed(1)} mm`).join(', ')}`}
          />
        ) : cup ? (
          <p role="alert" className="mt-2 border-l-4 border-bad bg-ground p-2">
            {cup.name} holds {units.volume(cupFullMl(cup))}; this is {units.volume(batch.totalMl)}. Take a
            larger cup, mix in two goes, or use the scale.
          </p>
        ) : (
          <p className="mt-2 text-quiet">
            Measure a cup once, by its two diameters and height or by weighing water, and its marks are drawn
            here.
          </p>
        )}
      </div>
    </div>
  );
}

/** The smallest cup that holds the batch with room to stir; the largest when none does. */
export function smallestThatHolds(cups: readonly CupView[], totalMl: number): CupView | null {
  const bySize = [...cups].sort((a, b) => cupFullMl(a) - cupFullMl(b));
  return bySize.find((c) => cupFullMl(c) >= totalMl * 1.15) ?? bySize[bySize.length - 1] ?? null;
}

function Amounts({ batch, isOnePack }: { readonly batch: Batch; readonly isOnePack: boolean }) {
  const units = useUnits();
  const rows = [
    { word: isOnePack ? 'Paint' : 'Part A', ml: batch.aMl, g: batch.aG },
    { word: 'Part B, hardener', ml: batch.bMl, g: batch.bG },
    { word: 'Thinner', ml: batch.thinnerMl, g: batch.thinnerG },
  ].filter((r) => r.ml > 0);
  return (
    <dl aria-label="Amounts" className="flex flex-wrap gap-x-7 gap-y-2">
      {rows.map((r) => (
        <div key={r.word}>
          <dt className="text-[13px] text-quiet">{r.word}</dt>
          <dd className="figure text-[34px] leading-none">{units.volume(r.ml)}</dd>
          <dd className="figure text-[15px] text-quiet">{r.g.toFixed(0)} g</dd>
        </div>
      ))}
    </dl>
  );
}

function Scale({ batch }: { readonly batch: Batch }) {
  return (
    <div>
      <h3 className="text-[14px] text-quiet">On a scale, the cup tared: pour until it shows</h3>
      <ol className="figure flex flex-wrap gap-x-5 text-[22px]">
        {scaleSteps(batch).map((s) => (
          <li key={s.part}>
            <span className="text-[14px] text-quiet">{PART_WORDS[s.part]}</span> {s.showsG.toFixed(1)} g
          </li>
        ))}
      </ol>
    </div>
  );
}
