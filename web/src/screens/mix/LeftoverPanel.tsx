import { Link } from 'react-router';
import type { LeftoverView, MixView } from '@calvetta/contract';
import { LEFTOVER_WORDS } from '@calvetta/contract/words';
import { useLeftover } from '../../api/queries.ts';
import { refusedWords } from '../../record/refusal.ts';
import { useRecord } from '../../record/useRecord.ts';
import { useNowMs } from '../../state/clock.ts';
import { useNotices } from '../../state/notices.ts';
import { Button } from '../../ui/Button.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { duration, moment } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

interface Props {
  readonly mix: MixView;
  readonly zone: string;
}

/** Waiting parts that take what is left, the fullest set first; each is one touch to log. */
export function LeftoverPanel({ mix, zone }: Props) {
  const units = useUnits();
  const nowMs = useNowMs();
  const leftover = useLeftover(mix.mixId);
  const log = useLogFromMix(mix);
  if (!leftover.data) return <Waiting isPage error={leftover.error} what="leftover" />;
  const { parts, passed, usedMl, minutes, minutesLeft, leftMl } = leftover.data;
  const chosen = parts.filter((p) => p.isChosen);
  return (
    <div className="mt-2 border-l-4 border-mark bg-ground p-3">
      <p className="figure text-[18px]">
        You have about {units.volume(leftMl)}
        {minutesLeft === null ? '' : ` for ${duration(minutesLeft * 60_000)}`}
      </p>
      <p className="text-[14px] text-quiet">
        {chosen.length === 0
          ? 'No waiting part can take it now.'
          : `${chosen.map((p) => p.partName).join(' and ')}: ${units.volume(usedMl)} in ${minutes} min, the most of it that can be used (every set compared).`}
      </p>
      <ul aria-label="Parts that take it">
        {parts.map((p) => (
          <li
            key={p.partId}
            className="grid min-h-11 items-center gap-x-3 border-t border-line/60 md:grid-cols-[minmax(0,1fr)_90px_80px_150px_auto]"
          >
            <Link className="underline" to={`/parts/${encodeURIComponent(p.partId)}`}>
              {p.partName} <span className="text-quiet">{p.machineName}</span>
            </Link>
            <span className="figure">{units.volume(p.needMl)}</span>
            <span className="figure text-quiet">{Math.ceil(p.minutes)} min</span>
            <span className="text-[13px] text-quiet">
              {p.shutMs === null ? 'does not shut' : `shuts ${moment(p.shutMs, nowMs, zone)}`}
            </span>
            <Button look={p.isChosen ? 'main' : 'plain'} onClick={() => log(p, leftMl)}>
              Coated: log it
            </Button>
          </li>
        ))}
      </ul>
      {passed.length > 0 ? (
        <details className="mt-2 text-[14px]">
          <summary className="cursor-pointer text-quiet">
            {passed.length} more take this product, but not now
          </summary>
          <ul className="columns-2 text-quiet max-md:columns-1">
            {passed.map((p) => (
              <li key={p.partName}>
                {p.partName}: {LEFTOVER_WORDS[p.why]}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </div>
  );
}

/** Logs a coat from a mix: its batch, thinner and amount go with it. */
function useLogFromMix(mix: MixView): (p: LeftoverView, leftMl: number) => void {
  const record = useRecord();
  const say = useNotices((s) => s.say);
  return (p, leftMl) => {
    record({
      kind: 'coated',
      partId: p.partId,
      partName: p.partName,
      face: p.face,
      happenedMs: Date.now(),
      endedMs: null,
      body: {
        sheetId: p.sheetId,
        dftUm: p.dftUm,
        tool: 'gun',
        mixId: mix.mixId,
        usedMl: Number(Math.min(p.needMl, leftMl).toFixed(1)),
        ...(mix.batch === null ? {} : { batch: mix.batch }),
        thinnerPct: Number(mix.thinPct.toFixed(1)),
      },
    }).catch((e: unknown) =>
      say({ tone: 'trouble', text: refusedWords(e, 'It could not be stored; try again.') }),
    );
  };
}
