import type { Advice, Family, ShopMeans, Survey } from '@calvetta/core';
import { QUALITY_WORDS, WAY_WORDS } from '@calvetta/contract/words';
import { actsWords, asked, layersWords, refusedName, remedyWords, wouldHold } from './reasons.ts';
import { RuleLine } from './RuleLine.tsx';

interface Props {
  readonly advice: Advice;
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
}

/** What is in no route, by which rule, and what would make it possible. Methods are folded away. */
export function RefusedStrip({ advice, survey, means, families }: Props) {
  const sheets = new Map([...families].map(([id, f]) => [id, f.sheet]));
  const list = (about: 'family' | 'method') =>
    advice.refused.filter((r) => r.about === about && r.reasons.length > 0);
  const waiting = advice.refused.filter((r) => r.about === 'family' && r.reasons.length === 0);
  const card = (r: Advice['refused'][number]) => (
    <section key={r.id} data-refused={r.id} className="min-w-0">
      <h4 className="text-[15px]">{refusedName(r, sheets)}</h4>
      <ul className="text-[14px]">
        {r.reasons.slice(0, 2).map((x) => (
          <RuleLine key={x.ruleId} tone="against" reason={x} />
        ))}
      </ul>
      {wouldHold(r, survey, means).length > 0 ? (
        <p className="text-[13px] text-quiet">Would hold with {wouldHold(r, survey, means).join(', or ')}.</p>
      ) : null}
    </section>
  );
  return (
    <section aria-label="Refused" className="border border-bad/40 bg-panel p-3">
      <h2 className="text-[18px]">Refused</h2>
      {advice.wouldHelp.length > 0 ? (
        <p className="mt-1 border-l-4 border-mark bg-ground px-2 py-1">
          What would open a route:{' '}
          {advice.wouldHelp
            .slice(0, 5)
            .map((h) => remedyWords(h.remedy, survey))
            .join(', ')}
          .
        </p>
      ) : null}
      {waiting.length > 0 ? (
        <p className="mt-1 text-[14px]">
          {waiting.length} families wait for an answer: unknown never passes. Asked most:{' '}
          {[...new Set(waiting.flatMap((r) => r.asks))].slice(0, 4).map(asked).join(', ')}.
        </p>
      ) : null}
      <div className="mt-2 grid gap-4 sm:grid-cols-2 xl:grid-cols-3">{list('family').map(card)}</div>
      <Unshown advice={advice} families={families} />
      <details className="mt-3">
        <summary className="figure cursor-pointer text-[15px]">
          Ways of stripping refused: {list('method').length}
        </summary>
        <div className="mt-2 grid gap-4 sm:grid-cols-2 xl:grid-cols-3">{list('method').map(card)}</div>
      </details>
    </section>
  );
}

/** Routes that hold and lost their place, each with the quality that cost it most. */
function Unshown({ advice, families }: Pick<Props, 'advice' | 'families'>) {
  if (advice.unshown.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="figure cursor-pointer text-[15px]">
        Also hold, and lost: {advice.unshown.length}
      </summary>
      <ul className="mt-1 text-[14px]">
        {advice.unshown.map((u) => (
          <li
            key={`${u.way} ${u.choice.layers.map((l) => l.familyId).join()}`}
            className="border-t border-line/60 py-1"
          >
            {WAY_WORDS[u.way]}: {actsWords(u.choice.acts)}; {layersWords(u.choice.layers, families)}{' '}
            <span className="text-quiet">
              · {u.figures.hours.toFixed(0)} h, {u.figures.days.toFixed(0)} days · less{' '}
              {QUALITY_WORDS[u.lostBy]}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
