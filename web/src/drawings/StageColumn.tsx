import { indexOfMatter, TRACES, type Matter, type SurfaceStage } from '@calvetta/core';
import { MATTER_WORDS, STEP_WORDS, WHAT_WORDS } from '@calvetta/contract/words';

/** How each matter is drawn: its colour and, where it is broken stuff, the dash of its edge. Known by word as well. */
const LOOKS: Readonly<Partial<Record<Matter, readonly [colour: string, dash?: string]>>> = {
  'sound-paint': ['#56716a'],
  'loose-paint': ['#8fa39d', '5 3'],
  'old-filler': ['#b59a52'],
  underseal: ['#2b2724'],
  tar: ['#17120f'],
  scale: ['#3d4552'],
  'tight-rust': ['#7d3f1f'],
  'pit-rust': ['#5f2a12'],
  'loose-rust': ['#b8672f', '3 2'],
  phosphate: ['#7c8597'],
  oxide: ['#b9bec2'],
  'white-corrosion': ['#dcdcd4', '3 2'],
  verdigris: ['#5f9a86'],
  soot: ['#33312f', '2 2'],
  glue: ['#a98b5d', '7 2'],
  silicone: ['#c9d3d6', '1 3'],
  wax: ['#cdbf86'],
  salts: ['#a9b7bb', '1 4'],
  oil: ['#6b5a1e'],
  'soaked-oil': ['#4b4016', '2 3'],
};
/** From the metal up. */
const ORDER: readonly Matter[] = [
  'pit-rust',
  'soaked-oil',
  'phosphate',
  'oxide',
  'scale',
  'tight-rust',
  'white-corrosion',
  'verdigris',
  'loose-rust',
  'old-filler',
  'sound-paint',
  'loose-paint',
  'underseal',
  'tar',
  'glue',
  'silicone',
  'wax',
  'soot',
  'oil',
  'salts',
];

const METAL_PX = 12;
const FULL_PX = 11;
const HEIGHT_PX = 64;

/** What was done last. */
export const stageWords = (s: SurfaceStage): string =>
  s.what === null
    ? 'as found'
    : s.what === 'again'
      ? 'degrease again'
      : (WHAT_WORDS[s.what] ?? STEP_WORDS[s.what]?.toLowerCase() ?? s.what).split(/[,:]| over /)[0]!;
/** What still stands then. */
export const standingWords = (s: SurfaceStage): string =>
  s.standing.length === 0 ? 'clean' : s.standing.map((m) => standsWords(m, s)).join(', ');
const standsWords = (m: Matter, s: SurfaceStage): string =>
  `${s.at.amounts[indexOfMatter(m)]! <= TRACES ? 'traces of ' : ''}${MATTER_WORDS[m]}`;

/** Bands from the metal up; pits are cut into the metal instead. */
function bandsOf(amount: ReadonlyMap<Matter, number>, base: number) {
  const out: { readonly matter: Matter; readonly y: number; readonly h: number }[] = [];
  let y = base;
  for (const matter of ORDER) {
    if (!amount.has(matter) || matter === 'pit-rust') continue;
    const h = Math.max(2, FULL_PX * amount.get(matter)!);
    y -= h;
    out.push({ matter, y, h });
  }
  return out;
}

const WIDTH = 120;

/** One moment of the metal as a slice: as wide as its place, and as tall as what stands on it. */
export function StageColumn({ stage }: { readonly stage: SurfaceStage }) {
  const top = Math.max(0, topOf(stage) - 1);
  return (
    <svg
      height={HEIGHT_PX - top}
      viewBox={`0 ${top} ${WIDTH} ${HEIGHT_PX - top}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      className="block w-full"
    >
      <Slice stage={stage} width={WIDTH} />
    </svg>
  );
}
const amountsOf = (stage: SurfaceStage): ReadonlyMap<Matter, number> =>
  new Map(stage.standing.map((m) => [m, stage.at.amounts[indexOfMatter(m)]! / 16]));
/** Where its uppermost band begins. */
const topOf = (stage: SurfaceStage): number =>
  Math.min(HEIGHT_PX - METAL_PX, ...bandsOf(amountsOf(stage), HEIGHT_PX - METAL_PX).map((b) => b.y));

function Slice({ stage, width }: { readonly stage: SurfaceStage; readonly width: number }) {
  const { at } = stage;
  const base = HEIGHT_PX - METAL_PX;
  const depth = at.profileUm === null ? 0 : Math.min(6, at.profileUm[0] / 8 + 1);
  const amount = amountsOf(stage);
  const bands = bandsOf(amount, base);
  return (
    <>
      {bands.map(({ matter: m, y, h }) => {
        const [colour, dash] = LOOKS[m] ?? ['#8b7a93', '2 2'];
        return dash ? (
          <path
            key={m}
            d={`M0 ${y + h / 2}H${width}`}
            stroke={colour}
            strokeWidth={h - 0.8}
            strokeDasharray={dash}
          />
        ) : (
          <rect key={m} x={0} y={y} width={width} height={h - 0.6} fill={colour} />
        );
      })}
      <path d={metal(width, base, depth)} fill="var(--metal)" />
      {amount.has('pit-rust')
        ? [0.2, 0.5, 0.8].map((x) => (
            <path
              key={x}
              d={`M${x * width - 5} ${base}q5 ${4 + 6 * amount.get('pit-rust')!} 10 0z`}
              fill="#5f2a12"
            />
          ))
        : null}
      {at.isBurnished ? <path d={`M0 ${base}H${width}`} stroke="var(--panel)" strokeWidth={1.5} /> : null}
    </>
  );
}

function metal(width: number, base: number, depth: number): string {
  if (depth === 0) return `M0 ${base}H${width}V${HEIGHT_PX}H0Z`;
  let d = `M0 ${HEIGHT_PX}V${base}`;
  for (let x = 0, k = 0; x < width; x += 4, k++)
    d += `L${Math.min(width, x + 4)} ${base + (k % 2 === 0 ? 0 : depth)}`;
  return `${d}V${HEIGHT_PX}Z`;
}
