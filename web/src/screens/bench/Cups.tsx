import { Link } from 'react-router';
import type { MixView } from '@calvetta/contract';
import { useNowMs } from '../../state/clock.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { isMixGone, mixWords } from '../../words/mixWords.ts';

/** Mixed paint runs out sooner than any window: each cup in a line, above everything else. */
export function Cups({ mixes, zone }: { readonly mixes: readonly MixView[]; readonly zone: string }) {
  const nowMs = useNowMs();
  const units = useUnits();
  if (mixes.length === 0) return null;
  return (
    <ul aria-label="In the cups now" className="border-b border-line bg-panel">
      {mixes.map((m) => (
        <li key={m.mixId}>
          <Link
            to="/mix"
            className={`flex min-h-(--row) flex-wrap items-center gap-x-4 border-l-4 px-3 hover:bg-ground ${isMixGone(m, nowMs) ? 'border-bad' : 'border-mark'}`}
          >
            <span className="figure text-[16px]">
              {m.productName}
              {m.colour === null ? '' : `, ${m.colour}`} · {units.volume(m.leftMl)}
            </span>
            <span className={isMixGone(m, nowMs) ? 'text-bad' : ''}>{mixWords(m, nowMs, zone)}</span>
            <span className="text-[13px] text-quiet underline">what else can this paint?</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
