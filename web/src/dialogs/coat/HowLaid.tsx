import { RATIO_BY, THINNER_GRADES, type FactBodies } from '@calvetta/core';
import type { ReactNode } from 'react';
import { OneOf } from '../../ui/Toggle.tsx';
import { Button } from '../../ui/Button.tsx';

/** How a coat was laid: small things that name the cause when something goes wrong. Every one may be left out. */
export type Laid = Pick<
  FactBodies['coated'],
  'thinnerGrade' | 'gunMm' | 'ratioBy' | 'isStirred' | 'isStrained'
>;

const GRADE_WORDS: Readonly<Record<(typeof THINNER_GRADES)[number], string>> = {
  fast: 'fast',
  medium: 'medium',
  slow: 'slow',
  'very-slow': 'very slow',
};
const BY_WORDS: Readonly<Record<(typeof RATIO_BY)[number], string>> = {
  scale: 'scale',
  cup: 'marked cup',
  eye: 'by eye',
};
/** Distances a hand can tell apart, mm. */
const GUN_MM = ['100', '150', '200', '250', '300'] as const;

export const laidWords = (l: Laid): string =>
  [
    l.thinnerGrade ? `${GRADE_WORDS[l.thinnerGrade]} thinner` : null,
    l.gunMm ? `gun ${l.gunMm / 10} cm` : null,
    l.ratioBy ? `ratio by ${l.ratioBy === 'eye' ? 'eye' : BY_WORDS[l.ratioBy]}` : null,
    l.isStirred === undefined ? null : l.isStirred ? 'stirred' : 'not stirred',
    l.isStrained === undefined ? null : l.isStrained ? 'strained' : 'not strained',
  ]
    .filter((w) => w !== null)
    .join(', ');
const isEmpty = (l: Laid): boolean => Object.keys(l).length === 0;

interface Props {
  readonly laid: Laid;
  readonly onLaid: (laid: Laid) => void;
  /** As it was logged last on this device. */
  readonly last: Laid;
  readonly isGun: boolean;
  readonly isTwoPack: boolean;
}

/** Folded away: one touch takes what was so last time. */
export function HowLaid({ laid, onLaid, last, isGun, isTwoPack }: Props) {
  const yesNo = (label: string, field: 'isStirred' | 'isStrained') => (
    <Line label={label}>
      <OneOf
        label={label}
        size="small"
        value={laid[field] === undefined ? null : laid[field] ? 'yes' : 'no'}
        onChange={(v) => onLaid({ ...laid, [field]: v === 'yes' })}
        options={[
          { value: 'yes', text: 'yes' },
          { value: 'no', text: 'no' },
        ]}
      />
    </Line>
  );
  return (
    <details>
      <summary className="min-h-9 cursor-pointer pointer-fine:py-1 text-[14px]">
        How it was laid:{' '}
        {isEmpty(laid) ? <span className="text-quiet">may be left out</span> : laidWords(laid)}
      </summary>
      <div className="flex flex-col gap-2 pt-1">
        <p className="text-[13px] text-quiet">If something goes wrong, this names the cause.</p>
        {isEmpty(laid) && !isEmpty(last) ? (
          <Button className="self-start" onClick={() => onLaid(last)}>
            As last time: {laidWords(last)}
          </Button>
        ) : null}
        <Line label="Thinner">
          <OneOf
            label="Thinner"
            size="small"
            value={laid.thinnerGrade ?? null}
            onChange={(thinnerGrade) => onLaid({ ...laid, thinnerGrade })}
            options={THINNER_GRADES.map((value) => ({ value, text: GRADE_WORDS[value] }))}
          />
        </Line>
        {isGun ? (
          <Line label="Gun away, cm">
            <OneOf
              label="Gun away, cm"
              size="small"
              value={laid.gunMm === undefined ? null : (String(laid.gunMm) as (typeof GUN_MM)[number])}
              onChange={(mm) => onLaid({ ...laid, gunMm: Number(mm) })}
              options={GUN_MM.map((value) => ({ value, text: String(Number(value) / 10) }))}
            />
          </Line>
        ) : null}
        {isTwoPack ? (
          <Line label="Ratio by">
            <OneOf
              label="Ratio by"
              size="small"
              value={laid.ratioBy ?? null}
              onChange={(ratioBy) => onLaid({ ...laid, ratioBy })}
              options={RATIO_BY.map((value) => ({ value, text: BY_WORDS[value] }))}
            />
          </Line>
        ) : null}
        {yesNo('Stirred to the bottom', 'isStirred')}
        {yesNo('Strained', 'isStrained')}
      </div>
    </details>
  );
}

function Line({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="figure w-[150px] text-[13px] text-quiet" aria-hidden="true">
        {label}
      </span>
      {children}
    </div>
  );
}
