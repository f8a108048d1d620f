import type { Headline } from '@calvetta/core';
import { HEADLINE_WORDS, stateTerm } from '@calvetta/contract/words';
import { Word } from './Word.tsx';

const TONE: Readonly<Record<Headline, string>> = {
  referred: 'text-bad',
  sent: 'text-quiet',
  suspect: 'text-bad',
  out: 'text-bad',
  refused: 'text-bad',
  unknown: 'text-quiet',
  lift: 'text-bad',
  closing: 'text-warn',
  held: 'text-wait',
  keyed: 'text-good',
  open: 'text-good',
  bare: 'text-warn',
  shut: 'text-bad',
  early: 'text-wait',
  mending: 'text-warn',
  curing: 'text-quiet',
  waiting: 'text-quiet',
  cured: 'text-quiet',
};

interface Props {
  readonly headline: Headline;
  readonly isLarge?: boolean;
  /** Touched, it says what it means: where it stands by itself, or in a row that is walked by keys. Never inside a link. */
  readonly explains?: 'here' | 'in-row';
}

/** The one word a part is shown by. The word carries the state; colour only helps to find it. */
export function StateWord({ headline, isLarge = false, explains }: Props) {
  const look = `figure whitespace-nowrap ${isLarge ? 'text-[20px]' : 'text-[14px]'} ${TONE[headline]}`;
  if (explains === undefined) return <span className={look}>{HEADLINE_WORDS[headline]}</span>;
  return (
    <Word term={stateTerm(headline)} isInRow={explains === 'in-row'} className={look}>
      {HEADLINE_WORDS[headline]}
    </Word>
  );
}
