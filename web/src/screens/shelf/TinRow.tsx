import type { TinView } from '@calvetta/contract';
import { CONTENT_WORDS } from '@calvetta/contract/words';
import { useStock } from '../../record/useRecord.ts';
import { TinLevel } from '../../drawings/TinLevel.tsx';
import { useNowMs } from '../../state/clock.ts';
import { Button } from '../../ui/Button.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { expiryWords, isSoon, tinName } from '../../words/tinWords.ts';

interface Props {
  readonly tin: TinView;
  readonly colour: string;
  readonly isAsked: boolean;
  /** Another tin could be taken instead: then it is said whose turn it is. */
  readonly hasRival: boolean;
  readonly onWeigh: () => void;
}

/** On a phone the button stands beside both lines. */
const BUTTON_AT = 'max-sm:col-start-4 max-sm:row-span-2 max-sm:row-start-1';

/** One tin in a line: what is left, of which batch, for how long, and whether it is its turn. */
export function TinRow({ tin, colour, isAsked, hasRival, onWeigh }: Props) {
  const nowMs = useNowMs();
  const units = useUnits();
  const stock = useStock();
  const about = `${tinName(tin)}${tin.batch === null ? '' : `, batch ${tin.batch}`}`;
  const fill =
    tin.content === 'paint' ? colour : tin.content === 'hardener' ? 'var(--s-keyed)' : 'var(--s-early)';
  return (
    <div
      data-row=""
      className={`grid min-h-(--row) grid-cols-[24px_minmax(0,1fr)_92px_64px] items-center gap-x-2 border-t border-line/50 py-0.5 sm:grid-cols-[24px_minmax(0,1fr)_104px_124px_64px] ${isAsked ? 'bg-ground shadow-[inset_3px_0_0_var(--mark)]' : ''}`}
    >
      <TinLevel share={tin.levelMl / tin.sizeMl} colour={fill} isBad={tin.isExpired} />
      <span className="min-w-0 truncate">
        {CONTENT_WORDS[tin.content]}
        {tin.colour === null ? '' : `, ${tin.colour}`}{' '}
        <span className="text-quiet">{tin.batch === null ? 'no batch' : tin.batch}</span>
        {tin.turn === 0 && hasRival ? (
          <span className="figure ml-2 text-[13px] text-good">take this next</span>
        ) : null}
      </span>
      <span className="figure text-[15px]">
        {units.volume(tin.levelMl)}
        <span className="text-[12px] text-quiet"> /{units.volume(tin.sizeMl)}</span>
      </span>
      <span
        className={`text-[13px] max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-2 ${tin.isExpired ? 'text-bad' : isSoon(tin, nowMs) ? 'text-warn' : 'text-quiet'}`}
      >
        {expiryWords(tin, nowMs)}
      </span>
      {tin.openedMs === null ? (
        <Button
          isInRow
          className={BUTTON_AT}
          onClick={() => void stock({ kind: 'tin-opened', about, body: { tinId: tin.tinId } })}
        >
          Open
        </Button>
      ) : (
        <Button isInRow className={BUTTON_AT} onClick={onWeigh}>
          Weigh
        </Button>
      )}
    </div>
  );
}
