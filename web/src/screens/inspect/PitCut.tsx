import type { PitsView } from '@calvetta/core';

const [W, H] = [400, 130];
const TOP = 22;

/** How much of the wall is drawn: all of it, unless the pits would not be seen then. */
function shownMm(judgeByMm: number, soundMm: number | null, leastMm: number | null): number {
  const pits = Math.max(2.2 * judgeByMm, 0.2);
  if (soundMm === null) return pits;
  const toLeast = leastMm === null ? 0 : 1.15 * (soundMm - leastMm);
  return Math.min(soundMm, toLeast <= 5 * judgeByMm ? Math.max(pits, toLeast) : pits);
}
/** Where the drawing breaks off, the metal goes on. */
const torn = (floor: number): string =>
  Array.from(
    { length: 22 },
    (_, i) => `L${W - 122 - ((W - 126) * (i + 1)) / 22} ${floor + (i % 2 ? 0 : -5)}`,
  ).join('');

/** The wall in cut, to scale in depth: every patch's deepest pit, how deep the whole is likely to go, and the least that must be left. */
export function PitCut({ pits }: { readonly pits: PitsView }) {
  const { deepestMm, soundMm = null, leastMm = null } = pits.fact.body;
  const { verdict } = pits;
  const fullMm = shownMm(verdict.judgeByMm, soundMm, leastMm);
  const isBroken = soundMm !== null && soundMm > fullMm + 1e-9;
  const y = (depth: number): number => TOP + ((H - TOP - 8) * Math.min(depth, fullMm)) / fullMm;
  const step = (W - 130) / deepestMm.length;
  const half = Math.min(14, step * 0.42);
  const surface = deepestMm
    .map((d, i) => {
      const cx = 10 + step * (i + 0.5);
      return d === 0 ? '' : `L${cx - half} ${TOP}Q${cx} ${2 * y(d) - TOP} ${cx + half} ${TOP}`;
    })
    .join('');
  const floor = soundMm === null ? H - 2 : y(Math.min(soundMm, fullMm));
  const said = `${deepestMm.length} patches, deepest ${verdict.deepestSeenMm} mm, judged by ${verdict.judgeByMm.toFixed(2)} mm`;
  // Two words of nearly the same depth stand one above the other.
  const judgedY = y(verdict.judgeByMm);
  const leastY = soundMm === null || leastMm === null ? null : y(soundMm - leastMm);
  const apart = leastY === null ? 0 : Math.max(0, 12 - Math.abs(leastY - judgedY)) / 2;
  const judgedBy = leastY !== null && leastY < judgedY ? apart : -apart;
  const mark = (depth: number, colour: string, text: string, by: number, isDashed = false) => (
    <>
      <path
        d={`M4 ${y(depth)}H${W - 122}`}
        stroke={colour}
        strokeWidth={1.4}
        {...(isDashed ? { strokeDasharray: '5 3' } : {})}
      />
      <text x={W - 118} y={y(depth) + 4 + by} fontSize={11} fill={colour} className="figure">
        {text}
      </text>
    </>
  );
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="block w-full max-w-[560px]" role="img" aria-label={said}>
      <path
        d={`M4 ${TOP}${surface}L${W - 122} ${TOP}V${floor}${isBroken ? torn(floor) : 'H4'}Z`}
        fill="var(--metal)"
      />
      {verdict.estimate ? (
        <rect
          x={4}
          width={W - 126}
          y={y(verdict.estimate.fromMm)}
          height={Math.max(1, y(verdict.estimate.toMm) - y(verdict.estimate.fromMm))}
          fill="var(--s-closing)"
          fillOpacity={0.4}
        />
      ) : null}
      {mark(verdict.judgeByMm, 'var(--bad)', `judge by ${verdict.judgeByMm.toFixed(2)} mm`, judgedBy)}
      {soundMm !== null && leastMm !== null && soundMm - leastMm <= fullMm
        ? mark(soundMm - leastMm, 'var(--wait)', `least wall ${leastMm.toFixed(1)} mm`, -judgedBy, true)
        : null}
      <text x={W - 118} y={TOP - 6} fontSize={11} fill="var(--quiet)" className="figure">
        surface
      </text>
      {soundMm === null ? null : (
        <text x={W - 118} y={floor + 3} fontSize={11} fill="var(--quiet)" className="figure">
          {isBroken ? 'on to ' : ''}back, {soundMm.toFixed(1)} mm
        </text>
      )}
    </svg>
  );
}
