import { STOP_AT_PCT, type LevelStandard, type LevelView } from '@calvetta/core';

const [W, H] = [360, 150];
const LEFT = 34;
const BOTTOM = 22;
/** The scale is of ratios: a cycle that leaves the same share of what showed falls along a line. */
const LEAST = 0.5;
const MOST_CYCLES = 24;
const y = (share: number): number =>
  6 + ((H - BOTTOM - 6) * Math.log(100 / Math.max(LEAST, share))) / Math.log(100 / LEAST);

interface Props {
  readonly level: LevelView;
  readonly standard: LevelStandard;
}

/** What still showed after every cycle, the line it falls along, and the standard that stops it. */
export function FallingCurve({ level, standard }: Props) {
  const { cycles, state } = level;
  const stopPct = STOP_AT_PCT[standard];
  const crossing = state && 'atCycle' in state.crossing ? state.crossing : null;
  const reach = crossing ? Math.ceil(crossing.atCycle) + 1 : 0;
  const endCycle = Math.min(MOST_CYCLES, Math.max(cycles.length + 1, reach, 6));
  const x = (cycle: number): number => LEFT + ((W - LEFT - 8) * (cycle - 0.5)) / endCycle;
  const at = cycles.map((c, i) => ({ ...c, px: x(i + 1), py: y(c.showingPct) }));
  const said = `Still showing: ${cycles.map((c) => `${c.showingPct} %`).join(', ')}; stop at ${stopPct} %`;
  const last = at[at.length - 1]!;
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="block w-full max-w-[520px]" role="img" aria-label={said}>
      <Scale endCycle={endCycle} x={x} />
      <path d={`M${LEFT} ${y(stopPct)}H${W - 8}`} stroke="var(--good)" strokeWidth={1.6} />
      <text
        x={W - 10}
        y={y(stopPct) - 4}
        textAnchor="end"
        fontSize={11}
        fill="var(--good)"
        className="figure"
      >
        stop at {stopPct} %
      </text>
      {crossing?.kind === 'fitted' ? (
        <rect
          x={x(Math.max(0.5, crossing.fromCycle))}
          width={Math.max(
            2,
            x(Math.min(endCycle + 0.5, crossing.toCycle)) - x(Math.max(0.5, crossing.fromCycle)),
          )}
          y={y(stopPct) - 4}
          height={8}
          fill="var(--wait)"
          fillOpacity={0.35}
        />
      ) : null}
      {crossing && !state!.isMet ? (
        <path
          d={`M${last.px} ${last.py}L${x(crossing.atCycle)} ${y(stopPct)}`}
          stroke="var(--wait)"
          strokeWidth={1.4}
          strokeDasharray="4 3"
          fill="none"
        />
      ) : null}
      <path
        d={at.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.px} ${p.py}`).join('')}
        stroke="var(--ink)"
        strokeWidth={1.2}
        fill="none"
      />
      {at.map((p) => (
        <rect key={p.factId} x={p.px - 3} y={p.py - 3} width={6} height={6} fill="var(--ink)">
          <title>{`${p.showingPct} % after ${p.what}, P${p.gritP}`}</title>
        </rect>
      ))}
    </svg>
  );
}

/** Shares at the side, cycles below. */
function Scale({ endCycle, x }: { readonly endCycle: number; readonly x: (cycle: number) => number }) {
  const text = { fontSize: 10, fill: 'var(--quiet)', className: 'figure' };
  return (
    <>
      {[100, 50, 20, 10, 5, 2, 1].map((p) => (
        <g key={p}>
          <path d={`M${LEFT} ${y(p)}H${W - 8}`} stroke="var(--line)" strokeWidth={0.6} />
          <text x={LEFT - 4} y={y(p) + 3.5} textAnchor="end" {...text}>
            {p}
          </text>
        </g>
      ))}
      {Array.from({ length: endCycle }, (_, i) => (
        <text key={i} x={x(i + 1)} y={H - 8} textAnchor="middle" {...text}>
          {i + 1}
        </text>
      ))}
    </>
  );
}
