import { useState } from 'react';
import {
  EVEN_WEIGHTS,
  isOpenFinding,
  repairOptions,
  type FindingKind,
  type FindingView,
  type InspectView,
  type PitsView,
  type RepairOption,
  type RepairWeights,
} from '@calvetta/core';
import { findingName, REPAIR_FORBIDDEN_WORDS, REPAIR_WORDS } from '@calvetta/contract/words';
import { OneOf } from '../../ui/Toggle.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useMoney } from '../../ui/money.ts';
import { useFinds } from './useFinding.ts';

/** What a repair of the metal is for. */
const METAL: readonly FindingKind[] = ['pits', 'thinning', 'dent', 'pinhole', 'old-repair'];

const WEIGHTS: Readonly<
  Record<'even' | 'original' | 'hours' | 'money', { readonly text: string; readonly weights: RepairWeights }>
> = {
  even: { text: 'all alike', weights: EVEN_WEIGHTS },
  original: { text: 'keep what is original', weights: { original: 4, hours: 1, money: 1 } },
  hours: { text: 'few hours', weights: { original: 1, hours: 4, money: 1 } },
  money: { text: 'little money', weights: { original: 1, hours: 1, money: 4 } },
};
type Weight = keyof typeof WEIGHTS;

/** Fill, weld, patch, remake, buy, refer or leave: what each costs and keeps, and what forbids it. */
export function RepairOptions({ view, pits }: { readonly view: InspectView; readonly pits: PitsView }) {
  const [weight, setWeight] = useState<Weight>('even');
  const money = useMoney();
  const open = view.findings.findLast((f) => isOpenFinding(f) && METAL.includes(f.fact.body.what)) ?? null;
  const chosen = open?.repair?.body ?? null;
  const { soundMm = null, leastMm = null, isThrough } = pits.fact.body;
  const options = repairOptions({
    survey: view.survey,
    depthMm: pits.verdict.judgeByMm,
    isThrough,
    soundMm,
    leastMm,
    areaM2: view.card.areaM2 === null ? null : view.card.areaM2 / view.card.faceCount,
    weights: WEIGHTS[weight].weights,
  });
  const mostHours = Math.max(...options.map((o) => o.hours));
  const mostCents = Math.max(...options.map((o) => o.moneyCents));
  const allowed = options.filter((o) => o.forbidden.length === 0);
  const refused = options.filter((o) => o.forbidden.length > 0);
  return (
    <section aria-label="What to do about it" className="flex flex-col gap-2 border-t border-line pt-3">
      <h3 className="text-[16px]">What to do about it</h3>
      <OneOf<Weight>
        label="What counts most"
        size="small"
        value={weight}
        onChange={setWeight}
        options={Object.entries(WEIGHTS).map(([value, w]) => ({ value: value as Weight, text: w.text }))}
      />
      <ol className="flex flex-col gap-1">
        {allowed.map((o, i) => (
          <li
            key={o.repair}
            className={`grid grid-cols-[minmax(110px,1fr)_repeat(3,minmax(64px,1fr))] items-center gap-2 text-[14px] ${i === 0 ? 'font-semibold' : ''}`}
          >
            <span>
              {REPAIR_WORDS[o.repair]}
              {o.repair === chosen?.repair ? <span className="text-good"> ✓ chosen</span> : null}
              {o.shows ? <span className="font-normal text-quiet"> · it will show</span> : null}
            </span>
            <Measure
              share={o.hours / mostHours}
              text={`${o.hours.toFixed(0)} h${o.weeks > 0 ? `, ${o.weeks} wk` : ''}`}
            />
            <Measure share={o.moneyCents / mostCents} text={money.about(o.moneyCents / 100)} />
            <Measure share={o.keeps} text={`keeps ${Math.round(100 * o.keeps)} %`} isGood />
          </li>
        ))}
      </ol>
      {open ? <Choose view={view} finding={open} allowed={allowed} /> : null}
      <p className="text-[13px] text-quiet">Usual figures for a face of this size; your own will differ.</p>
      {refused.length > 0 ? (
        <ul className="text-[14px]" aria-label="Refused">
          {refused.map((o: RepairOption) => (
            <li key={o.repair} className="border-t border-line/60 py-1">
              <span className="text-bad">{REPAIR_WORDS[o.repair]}: no.</span>{' '}
              {o.forbidden.map((f) => REPAIR_FORBIDDEN_WORDS[f]).join('; ')}.
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  );
}

interface ChooseProps {
  readonly view: InspectView;
  readonly finding: FindingView;
  readonly allowed: readonly RepairOption[];
}

/** What is to be done about a finding of the metal: one touch, kept with it. */
function Choose({ view, finding, allowed }: ChooseProps) {
  const { log, save } = useFinds(view);
  const { findingId } = finding;
  return (
    <>
      <p className="flex flex-wrap items-center gap-1 text-[14px]">
        For {findingName(finding)}:
        {allowed.map((o) => (
          <button
            key={o.repair}
            type="button"
            disabled={save.isBusy}
            aria-pressed={o.repair === finding.repair?.body.repair}
            className="min-h-8 border border-line px-2 text-[13px] hover:border-ink aria-pressed:border-chosen aria-pressed:bg-chosen aria-pressed:text-chosen-ink"
            onClick={() => log('repair-chosen', finding.fact.face, { findingId, repair: o.repair })}
          >
            {REPAIR_WORDS[o.repair]}
          </button>
        ))}
      </p>
      <FormTrouble words={save.trouble} />
    </>
  );
}

function Measure({
  share,
  text,
  isGood = false,
}: {
  readonly share: number;
  readonly text: string;
  readonly isGood?: boolean;
}) {
  return (
    <span className="figure text-[13px] font-normal">
      {text}
      <svg viewBox="0 0 100 5" preserveAspectRatio="none" className="block h-[5px] w-full" aria-hidden="true">
        <path d="M0 4.500h100" stroke="var(--line)" />
        <rect width={Math.max(0.5, 100 * share)} height={5} fill={isGood ? 'var(--good)' : 'var(--quiet)'} />
      </svg>
    </span>
  );
}
