import { TZDate } from '@date-fns/tz';
import { addDays, addMonths, format, startOfDay, startOfMonth } from 'date-fns';

interface Props {
  readonly fromMs: number;
  readonly toMs: number;
  readonly zone: string;
  readonly widthPx: number;
}
const DAY_MS = 86_400_000;
/** Labels no nearer than this. */
const APART_PX = 64;

/** Days, months or years under the lanes, by how much of them is shown. */
function ticksOf({ fromMs, toMs, zone, widthPx }: Props): { readonly ms: number; readonly text: string }[] {
  const days = (toMs - fromMs) / DAY_MS;
  const most = Math.max(1, Math.floor(widthPx / APART_PX));
  const out: { ms: number; text: string }[] = [];
  if (days <= 70) {
    const step = Math.max(1, Math.ceil(days / most));
    for (let d = startOfDay(new TZDate(fromMs, zone)); d.getTime() < toMs; d = addDays(d, step))
      out.push({ ms: d.getTime(), text: format(d, 'd MMM') });
  } else {
    const step = Math.max(1, Math.ceil(days / 30.4 / most));
    for (let d = startOfMonth(new TZDate(fromMs, zone)); d.getTime() < toMs; d = addMonths(d, step))
      out.push({ ms: d.getTime(), text: format(d, step >= 6 ? 'yyyy' : 'MMM yyyy') });
  }
  return out.filter((t) => t.ms >= fromMs);
}

export function RiverAxis(props: Props) {
  const { fromMs, toMs, widthPx } = props;
  return (
    <svg width={widthPx} height={20} aria-hidden="true" className="block">
      {ticksOf(props).map(({ ms, text }) => {
        const x = ((ms - fromMs) / (toMs - fromMs)) * widthPx;
        return (
          <g key={ms}>
            <path d={`M${x} 0v4`} stroke="var(--quiet)" />
            <text x={x + 2} y={15} fontSize={12} fill="var(--quiet)" className="figure">
              {x + 40 > widthPx ? '' : text}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
