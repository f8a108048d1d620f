import { nightsOf, type Night, type PlanView } from '@calvetta/core';
import { useUnits } from '../../ui/useUnits.ts';
import type { Ground } from './geometry.ts';
import { dayWords, timeWords } from './planWords.ts';

const ROW_PX = 30;
/** A night in which something stands is drawn so high at least. */
const LEAST_PX = 4;

interface Props {
  readonly view: PlanView;
  readonly ground: Ground;
  readonly namesPx: number;
  readonly onSession: (index: number) => void;
}

/** What stands wet from one session to the next: as high as it is large, full where there is no room for more. */
export function NightRow({ view, ground, namesPx, onSession }: Props) {
  const units = useUnits();
  const nights = nightsOf(view);
  const most = view.ask.roomM2 ?? Math.max(...nights.map((n) => n.areaM2), 1);
  const words = (n: Night): string =>
    `Night after ${dayWords(view.sessions[n.index]!.fromMs, view)}: ${n.parts.length === 1 ? 'one part stands' : `${n.parts.length} parts stand`}, ${units.area(n.areaM2)}. ${n.parts
      .map(
        (p) =>
          `${p.name} ${p.untilMs === null ? 'past the plan’s end' : `until ${timeWords(p.untilMs, view)}`}`,
      )
      .join('; ')}`;
  return (
    <div className="relative border-b border-line" style={{ height: ROW_PX }}>
      <span
        className="figure sticky left-0 z-10 flex h-full items-center bg-panel px-2 text-[13px] text-quiet"
        style={{ width: namesPx }}
      >
        stands overnight
      </span>
      {nights.map((n) => {
        const after = ground.columns[n.index]!;
        const next = ground.columns[n.index + 1];
        const left = after.x + after.width;
        const height = Math.max(LEAST_PX, Math.min(1, n.areaM2 / most) * (ROW_PX - 4));
        return n.parts.length === 0 ? null : (
          <button
            key={n.fromMs}
            type="button"
            tabIndex={-1}
            aria-label={words(n)}
            title={words(n)}
            onClick={() => onSession(n.index)}
            className="absolute inset-y-0 z-[5]"
            style={{ left: namesPx + left - 3, width: (next ? next.x - left : 14) + 6 }}
          >
            <span
              aria-hidden="true"
              className="absolute inset-x-[3px] bottom-[2px] bg-wait"
              style={{ height }}
            />
          </button>
        );
      })}
    </div>
  );
}
