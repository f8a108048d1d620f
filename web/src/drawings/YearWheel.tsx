import { useMemo } from 'react';

/** Something that falls on a day of the coming year. */
export interface WheelMark {
  readonly id: string;
  readonly atMs: number;
  readonly isDue: boolean;
  /** Which of a few rings it stands on, from the rim inwards. */
  readonly ring: number;
  readonly words: string;
}
interface Props {
  readonly nowMs: number;
  readonly marks: readonly WheelMark[];
  readonly chosenId: string | null;
  readonly onChoose: (id: string) => void;
}
const SIZE = 360;
const MID = SIZE / 2;
const RIM = 148;
const RING_PX = 17;
const YEAR_MS = 365.25 * 86_400_000;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Where in the year, clockwise from the top of January. */
function angleOf(ms: number): number {
  const start = Date.UTC(new Date(ms).getUTCFullYear(), 0, 1);
  return ((ms - start) / YEAR_MS) * 2 * Math.PI - Math.PI / 2;
}
const at = (angle: number, r: number): readonly [number, number] => [
  MID + r * Math.cos(angle),
  MID + r * Math.sin(angle),
];

/** The year as a wheel: months round it, the wet half shaded, one ring a kind of care, a hand where today is. */
export function YearWheel({ nowMs, marks, chosenId, onChoose }: Props) {
  const months = useMemo(
    () => MONTHS.map((m, i) => ({ m, angle: (i / 12) * 2 * Math.PI - Math.PI / 2 })),
    [],
  );
  const [hx, hy] = at(angleOf(nowMs), RIM + 6);
  const [x0, y0] = at((9 / 12) * 2 * Math.PI - Math.PI / 2, RIM);
  const [x1, y1] = at((3 / 12) * 2 * Math.PI - Math.PI / 2, RIM);
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      className="block w-full max-w-[440px]"
      role="group"
      aria-label="The year's care"
    >
      <path
        d={`M${MID} ${MID}L${x0} ${y0}A${RIM} ${RIM} 0 0 1 ${x1} ${y1}Z`}
        fill="var(--s-early)"
        opacity={0.16}
      />
      <circle cx={MID} cy={MID} r={RIM} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
      {[1, 2, 3, 4, 5, 6].map((k) => (
        <circle
          key={k}
          cx={MID}
          cy={MID}
          r={RIM - k * RING_PX}
          fill="none"
          stroke="var(--line)"
          strokeWidth={0.6}
        />
      ))}
      {months.map(({ m, angle }) => {
        const [a, b] = at(angle, RIM);
        const [c, d] = at(angle, RIM + 5);
        const [tx, ty] = at(angle + Math.PI / 12, RIM + 17);
        return (
          <g key={m}>
            <path d={`M${a} ${b}L${c} ${d}`} stroke="var(--ink)" strokeWidth={1} />
            <text x={tx} y={ty + 4} textAnchor="middle" fontSize={12} fill="var(--quiet)" className="figure">
              {m}
            </text>
          </g>
        );
      })}
      <path d={`M${MID} ${MID}L${hx} ${hy}`} stroke="var(--mark)" strokeWidth={2} />
      <circle cx={MID} cy={MID} r={4} fill="var(--mark)" />
      {marks.map((k) => (
        <Mark key={k.id} mark={k} isChosen={k.id === chosenId} onChoose={onChoose} />
      ))}
    </svg>
  );
}

interface MarkProps {
  readonly mark: WheelMark;
  readonly isChosen: boolean;
  readonly onChoose: (id: string) => void;
}
function Mark({ mark: k, isChosen, onChoose }: MarkProps) {
  const [x, y] = at(angleOf(k.atMs), RIM - (k.ring + 0.5) * RING_PX);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={k.words}
      aria-pressed={isChosen}
      className="cursor-pointer"
      onClick={() => onChoose(k.id)}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        onChoose(k.id);
      }}
    >
      <title>{k.words}</title>
      <circle cx={x} cy={y} r={11} fill="transparent" />
      <rect
        x={x - 5}
        y={y - 5}
        width={10}
        height={10}
        fill={isChosen ? 'var(--chosen)' : k.isDue ? 'var(--bad)' : 'var(--panel)'}
        stroke={k.isDue ? 'var(--bad)' : 'var(--ink)'}
        strokeWidth={1.4}
      />
    </g>
  );
}
