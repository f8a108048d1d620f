import type { ReactNode } from 'react';
import { seededRandom, type Substrate } from '@calvetta/core';

/** What a hand's breadth of a part looks like: shares 0…1, so that a slider can move them. What is left out is not there. */
export interface SurfaceLook {
  /** Blue-grey mill scale, in flakes. */
  readonly scale?: number;
  readonly rust?: number;
  readonly pits?: number;
  readonly deep?: boolean;
  /** Old paint: its colour; the share of it that has come off stands in `flaked`. */
  readonly paint?: string;
  readonly flaked?: number;
  /** Its edges are soft under a rag, or it stands as hard as it did. */
  readonly rubbed?: 'soft' | 'hard';
  readonly oil?: number;
  readonly soaked?: boolean;
  /** Patches laid over all: glue, filler, white crust, tar. */
  readonly patches?: keyof typeof PATCHES;
  readonly plated?: 'chrome' | 'zinc' | 'cadmium' | 'anodised';
  readonly crack?: boolean;
}

const [WIDTH, HEIGHT] = [84, 56];
const [COLUMNS, ROWS] = [9, 6];
/** The bare metal by what it is. Pictures are of things: they keep their colours at night. */
const METAL: Readonly<Partial<Record<Substrate, string>>> = {
  'grey-iron': '#8d8f90',
  'ductile-iron': '#8d8f90',
  'aluminium-wrought': '#c9cdcf',
  'aluminium-cast': '#bfc3c4',
  magnesium: '#b7b7ae',
  'zinc-diecast': '#b4b9bd',
  'copper-alloy': '#c2a15f',
  galvanised: '#b3bbc0',
  stainless: '#c4c8ca',
  'glass-fibre': '#cfc9a8',
};

interface Cell {
  readonly d: string;
  readonly at: readonly [number, number];
  /** 0…1: which cells go first when a share grows. Neighbours go together, as paint and scale do. */
  readonly turn: number;
}
/** Irregular cells that share their corners, like cracked paint; the same every time. */
const CELLS: readonly Cell[] = (() => {
  const random = seededRandom(7);
  const [w, h] = [WIDTH / COLUMNS, HEIGHT / ROWS];
  const corner = Array.from({ length: ROWS + 1 }, (_, r) =>
    Array.from({ length: COLUMNS + 1 }, (_, c): readonly [number, number] => [
      c * w + (c % COLUMNS === 0 ? 0 : (random() - 0.5) * w * 0.9),
      r * h + (r % ROWS === 0 ? 0 : (random() - 0.5) * h * 0.9),
    ]),
  );
  return Array.from({ length: ROWS * COLUMNS }, (_, i) => {
    const [r, c] = [Math.floor(i / COLUMNS), i % COLUMNS];
    const four = [corner[r]![c]!, corner[r]![c + 1]!, corner[r + 1]![c + 1]!, corner[r + 1]![c]!];
    const at = [(c + 0.5) * w, (r + 0.5) * h] as const;
    const wave = 0.5 + 0.5 * Math.sin(c * 0.9 + 1.3) * Math.cos(r * 0.8 + 0.4);
    return {
      d: `M${four.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`,
      at,
      turn: 0.65 * wave + 0.35 * random(),
    };
  }).sort((a, b) => a.turn - b.turn);
})();
const first = (share: number): readonly Cell[] => CELLS.slice(0, Math.round(share * CELLS.length));
const rest = (share: number): readonly Cell[] => CELLS.slice(Math.round(share * CELLS.length));
/** Spots scattered over the field, the same every time. */
const SPOTS: readonly (readonly [number, number, number])[] = (() => {
  const random = seededRandom(23);
  return Array.from({ length: 90 }, () => [WIDTH * random(), HEIGHT * random(), 0.6 + random()] as const);
})();

const Cells = ({
  cells,
  fill,
  opacity = 1,
}: {
  readonly cells: readonly Cell[];
  readonly fill: string;
  readonly opacity?: number;
}) => (
  <path
    d={cells.map((c) => c.d).join('')}
    fill={fill}
    fillOpacity={opacity}
    stroke={fill}
    strokeOpacity={opacity}
    strokeWidth={0.4}
  />
);

interface Props {
  readonly look: SurfaceLook;
  readonly substrate: Substrate;
  readonly widthPx?: number | undefined;
}

/** A hand's breadth of the part, drawn from what is said of it. Its word stands beside it. */
export function SurfacePicture({ look, substrate, widthPx }: Props) {
  return (
    <svg
      {...(widthPx === undefined ? {} : { width: widthPx })}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden="true"
      className="block w-full max-w-full border border-line"
    >
      <rect width={WIDTH} height={HEIGHT} fill={METAL[substrate] ?? '#a3a8aa'} />
      <path
        d={SPOTS.map(([x, y]) => `M${x.toFixed(1)} ${y.toFixed(1)}h5`).join('')}
        stroke="#1b2226"
        strokeOpacity={0.14}
        strokeWidth={0.6}
      />
      {look.plated ? <Plated by={look.plated} /> : null}
      <Corroded look={look} />
      {look.patches ? <Patches of={look.patches} /> : null}
      {look.paint ? <Paint look={look} colour={look.paint} /> : null}
      {look.crack ? (
        <path d="M8 10L22 18L30 16L44 30L52 29L66 44L76 48" fill="none" stroke="#14100d" strokeWidth={1.4} />
      ) : null}
      <Oil look={look} />
    </svg>
  );
}

function Corroded({ look }: { readonly look: SurfaceLook }) {
  const { scale = 0, rust = 0, pits = 0, deep = false } = look;
  return (
    <>
      {rust > 0 ? (
        <>
          <Cells cells={rest(1 - rust)} fill="#8a4a22" opacity={0.9} />
          <path
            d={SPOTS.slice(0, Math.round(60 * rust))
              .map(([x, y, r]) => `M${x.toFixed(1)} ${y.toFixed(1)}h${(2.4 * r).toFixed(1)}`)
              .join('')}
            stroke="#c4762f"
            strokeWidth={1.6}
          />
        </>
      ) : null}
      {scale > 0 ? (
        <>
          <Cells cells={first(scale)} fill="#46505f" />
          <path
            d={first(scale)
              .filter((_, i) => i % 3 === 0)
              .map((c) => c.d)
              .join('')}
            fill="#5d6979"
            fillOpacity={0.6}
          />
        </>
      ) : null}
      {pits > 0
        ? SPOTS.slice(60, 60 + Math.round(30 * pits)).map(([x, y, r]) => (
            <g key={x}>
              <circle cx={x} cy={y} r={r * (deep ? 3 : 1.5)} fill="#2f150a" />
              <circle cx={x + r * 0.5} cy={y + r * 0.6} r={r * (deep ? 1.4 : 0.6)} fill="#7a3d1c" />
            </g>
          ))
        : null}
    </>
  );
}

/** Paint, gone from a share of the cells, its edges lifted where it broke. */
function Paint({ look, colour }: { readonly look: SurfaceLook; readonly colour: string }) {
  const { flaked = 0, rubbed } = look;
  const on = rest(flaked);
  const edge = on.slice(0, flaked > 0 ? 12 : 0);
  return (
    <>
      {flaked > 0 ? <Cells cells={first(flaked)} fill="#8a4a22" opacity={0.85} /> : null}
      <Cells cells={on} fill={colour} />
      <path d={edge.map((c) => c.d).join('')} fill="none" stroke="#f0ede0" strokeWidth={0.9} />
      {flaked === 0 && rubbed === undefined ? (
        <path d="M6 12L26 6M60 50L78 44" stroke="#f6f4ea" strokeOpacity={0.5} strokeWidth={1.6} />
      ) : null}
      {rubbed ? <Rubbed soft={rubbed === 'soft'} colour={colour} /> : null}
    </>
  );
}

/** A rag, and what it did. */
const Rubbed = ({ soft, colour }: { readonly soft: boolean; readonly colour: string }) => (
  <>
    {soft ? (
      <>
        <ellipse cx={36} cy={32} rx={26} ry={14} fill="#cfcbbd" fillOpacity={0.75} />
        <path d="M14 30q10 8 22 2t22 4" fill="none" stroke={colour} strokeWidth={4} strokeOpacity={0.7} />
      </>
    ) : (
      <path d="M14 26L56 36" stroke="#f6f4ea" strokeOpacity={0.6} strokeWidth={2} />
    )}
    <path d="M52 18L80 10L82 40L60 46Z" fill="#e9e5d6" stroke="#8b887c" strokeWidth={0.8} />
    {soft ? <path d="M54 24L62 22L64 40L60 42Z" fill={colour} fillOpacity={0.8} /> : null}
  </>
);

const PATCHES = {
  glue: ['#b9893d', 0.85],
  filler: ['#d8c9a0', 1],
  white: ['#f4f3ec', 0.9],
  phosphate: ['#6f7784', 0.75],
  primer: ['#96503a', 1],
  soot: ['#1f1c1a', 0.75],
  underseal: ['#24211f', 1],
  tar: ['#120d0a', 1],
  verdigris: ['#5f9a86', 0.9],
  wax: ['#d9c78a', 0.55],
  silicone: ['#e9f1f4', 0.85],
  luminous: ['#c9d39a', 1],
} as const;
function Patches({ of }: { readonly of: keyof typeof PATCHES }): ReactNode {
  const [fill, opacity] = PATCHES[of];
  if (of === 'phosphate' || of === 'primer') return <Cells cells={CELLS} fill={fill} opacity={opacity} />;
  if (of === 'filler')
    return (
      <path
        d="M20 14C34 6 62 10 66 24C70 38 54 48 36 44C20 42 10 24 20 14Z"
        fill={fill}
        stroke="#b9a878"
        strokeWidth={1}
      />
    );
  if (of === 'glue')
    return (
      <path
        d="M6 12q8 5 16 0t16 2t16-3t18 4M6 28q8 5 16 0t16 2t16-3t18 4M8 44q8 5 16 0t16 2t16-3t18 4"
        fill="none"
        stroke={fill}
        strokeOpacity={opacity}
        strokeWidth={6}
        strokeLinecap="round"
      />
    );
  if (of === 'underseal' || of === 'tar')
    return (
      <>
        <Cells cells={rest(of === 'tar' ? 0.35 : 0.12)} fill={fill} opacity={opacity} />
        {of === 'tar' ? (
          <path d="M18 30q-3 10 0 16t0-16M44 34q-4 9 0 16t0-16M66 26q-3 12 0 20t0-20" fill={fill} />
        ) : (
          <path
            d={SPOTS.slice(0, 40)
              .map(([x, y]) => `M${x.toFixed(1)} ${y.toFixed(1)}h1.5`)
              .join('')}
            stroke="#5a544e"
          />
        )}
      </>
    );
  if (of === 'wax')
    return (
      <path
        d="M0 8Q20 2 42 9T84 7V50Q60 44 40 51T0 48Z"
        fill={fill}
        fillOpacity={opacity}
        stroke="#b8a561"
        strokeWidth={0.8}
      />
    );
  if (of === 'luminous')
    return (
      <>
        <circle cx={42} cy={28} r={22} fill="#1c1c1c" />
        {Array.from({ length: 12 }, (_, i) => (
          <circle
            key={i}
            cx={42 + 17 * Math.sin((i * Math.PI) / 6)}
            cy={28 - 17 * Math.cos((i * Math.PI) / 6)}
            r={2.2}
            fill={fill}
          />
        ))}
        <path d="M42 28L50 18" stroke={fill} strokeWidth={2} />
      </>
    );
  const [many, size] = of === 'soot' ? [70, 1.6] : of === 'silicone' ? [26, 2.6] : [40, 2];
  return SPOTS.slice(0, many).map(([x, y, r]) => (
    <circle
      key={x}
      cx={x}
      cy={y}
      r={r * size}
      fill={fill}
      fillOpacity={opacity}
      stroke={of === 'silicone' ? '#7c97a3' : 'none'}
      strokeWidth={0.6}
    />
  ));
}

const PLATED = { chrome: '#cdd9e4', zinc: '#aab1b4', cadmium: '#d6cf9f', anodised: '#a9927a' } as const;
const Plated = ({ by }: { readonly by: keyof typeof PLATED }) => (
  <>
    <rect width={WIDTH} height={HEIGHT} fill={PLATED[by]} />
    {by === 'chrome' ? <path d="M-4 40L40 -4H56L4 56H-4ZM44 60L88 14V26L58 60Z" fill="#f4f8fb" /> : null}
    {by === 'zinc' ? (
      <path
        d={CELLS.filter((_, i) => i % 3 === 0)
          .map((c) => c.d)
          .join('')}
        fill="#c3cacd"
      />
    ) : null}
  </>
);

function Oil({ look }: { readonly look: SurfaceLook }) {
  if (look.soaked)
    return (
      <>
        <Cells cells={rest(0.25)} fill="#2a2210" opacity={0.72} />
        {SPOTS.slice(10, 26).map(([x, y, r]) => (
          <circle key={x} cx={x} cy={y} r={r * 1.4} fill="#171103" />
        ))}
        <path d="M30 34q-4 8 0 11t0-11M62 22q-4 8 0 11t0-11" fill="#171103" />
      </>
    );
  if (!look.oil) return null;
  return (
    <>
      <path d="M4 20C14 4 44 6 52 16S82 12 80 30S58 54 40 48S-4 40 4 20Z" fill="#5c4a12" fillOpacity={0.62} />
      <path
        d="M16 20C24 13 36 13 42 17M56 26C64 24 70 26 72 31"
        fill="none"
        stroke="#f2e6b4"
        strokeWidth={1.8}
        strokeLinecap="round"
      />
    </>
  );
}
