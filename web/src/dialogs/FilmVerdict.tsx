import type { FilmJudgement, FilmReadBody } from '@calvetta/core';
import { ACCEPTANCE_WORDS, ASK_WORDS, REQUIREMENT_WORDS } from '@calvetta/contract/words';
import { FilmHistogram } from '../drawings/FilmHistogram.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { useWidth } from '../ui/useWidth.ts';

const VERDICTS = {
  accepted: ['accepted', 'text-good'],
  refused: ['not accepted', 'text-bad'],
  unknown: ['cannot be said yet', 'text-warn'],
} as const;

interface Props {
  readonly judgement: FilmJudgement;
  readonly body: Pick<FilmReadBody, 'nominalUm' | 'maxUm' | 'rule' | 'by'>;
}

/** Statistics, the readings against their limits, and the verdict with each requirement it rests on. */
export function FilmVerdict({ judgement, body }: Props) {
  const units = useUnits();
  const [ref, width] = useWidth();
  const { statistics: s, acceptance, correctedUm } = judgement;
  if (!s) return null;
  const [word, tone] = acceptance ? VERDICTS[acceptance.verdict] : ['a prediction', 'text-quiet'];
  const isCount = (code: string): boolean => code === 'few-below' || code === 'count';
  return (
    <div className="flex flex-col gap-2 border border-line bg-ground p-3">
      <p>
        <span className={`figure text-[20px] ${tone}`}>{word}</span>
        {acceptance ? <span className="text-quiet"> by {ACCEPTANCE_WORDS[body.rule]}</span> : null}
      </p>
      <p className="figure flex flex-wrap gap-x-5 text-[16px]">
        <span>mean {units.film(s.meanUm)}</span>
        <span>
          {units.film(s.leastUm)} to {units.film(s.mostUm)}
        </span>
        {s.deviationUm === null ? null : <span>s {units.film(s.deviationUm)}</span>}
        <span>n {s.n}</span>
        {judgement.correctionUm > 0 ? (
          <span className="text-quiet">{units.film(judgement.correctionUm)} taken off for the profile</span>
        ) : null}
      </p>
      <div ref={ref}>
        {width > 0 && body.by === 'gauge' ? (
          <FilmHistogram
            readingsUm={correctedUm}
            nominalUm={body.nominalUm}
            leastUm={0.8 * body.nominalUm}
            mostUm={body.maxUm}
            widthPx={width}
            film={units.film}
          />
        ) : null}
      </div>
      {acceptance ? (
        <ul className="text-[14px]">
          {acceptance.requirements.map((r) => (
            <li key={r.code} className={r.isMet ? 'text-quiet' : 'text-bad'}>
              {r.isMet ? '✓' : '✗'} {REQUIREMENT_WORDS[r.code]}{' '}
              {isCount(r.code) ? r.limit : units.film(r.limit)}: {isCount(r.code) ? r.got : units.film(r.got)}
            </li>
          ))}
          {acceptance.asks.map((a) => (
            <li key={a} className="text-warn">
              needs {ASK_WORDS[a]}
            </li>
          ))}
          {acceptance.again.length > 0 ? (
            <li>
              Measure again near{' '}
              {acceptance.again.map((i) => `no. ${i + 1} (${units.film(correctedUm[i] ?? 0)})`).join(', ')}
            </li>
          ) : null}
        </ul>
      ) : null}
    </div>
  );
}
