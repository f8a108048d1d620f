import type { ReactNode } from 'react';
import type { AnyFault, FactBodies, FindingKind, ReferSign } from '@calvetta/core';
import { spots } from './spots.ts';

/** A fault as the eye sees it on a painted face: one hand, ours. It says nothing alone; its word stands beside it. */

const [W, H] = [84, 56];
const PAINT = '#4f6f64';
const LIGHT = '#8fb0a3';
const DARK = '#33493f';
const METAL = '#a9aeb0';
const RUST = '#8a4a22';
const WHITE = '#e9e7df';
const UNDER = '#b9a27c';

const line = (d: string, stroke: string, strokeWidth = 1.2): ReactNode => (
  <path d={d} stroke={stroke} strokeWidth={strokeWidth} fill="none" strokeLinecap="round" />
);
const area = (d: string, fill: string, fillOpacity = 1): ReactNode => (
  <path d={d} fill={fill} fillOpacity={fillOpacity} />
);
const dots = (n: number, fill: string, by = 1, ring: string | null = null): ReactNode =>
  spots(n).map(([x, y, r], i) => (
    <circle key={i} cx={x} cy={y} r={r * by} fill={fill} stroke={ring ?? 'none'} strokeWidth={ring ? 1 : 0} />
  ));
const lines = (n: number, of: (i: number) => string, stroke: string, width = 1): ReactNode =>
  Array.from({ length: n }, (_, i) => (
    <path key={i} d={of(i)} stroke={stroke} strokeWidth={width} fill="none" strokeLinecap="round" />
  ));
/** Light on a glossy film. */
const GLOSS = area('M8 0h18L6 56h-6V28z', LIGHT, 0.45);

const LOOKS: Readonly<Record<AnyFault, ReactNode>> = {
  sag: (
    <>
      {GLOSS}
      {area(
        'M20 8q22 6 44 0v10q-2 26 -6 26t-5 -22q-4 2 -8 0q-1 32 -5 32t-5 -30q-4 1 -6 0q-1 14 -4 14t-5 -26z',
        LIGHT,
      )}
      {line('M40 52q5 2 5 -4M58 42q4 1 4 -5', DARK, 1.4)}
    </>
  ),
  'dry-spray': dots(120, LIGHT, 0.5),
  cobwebbing: lines(
    14,
    (i) => `M${(i * 13) % 84} ${(i * 7) % 20}q${20 - i} ${18 + i} ${10 + i * 2} ${30 + (i % 5)}`,
    WHITE,
    0.8,
  ),
  'orange-peel': lines(
    40,
    (i) => `M${(i * 11) % 80} ${Math.floor(i / 8) * 12 + ((i * 5) % 6)}q4 -6 9 0`,
    LIGHT,
    1.4,
  ),
  craters: (
    <>
      {GLOSS}
      {dots(11, UNDER, 1.9, LIGHT)}
    </>
  ),
  blush: area('M0 10q20 -8 40 2t44 4v34q-26 8 -46 2t-38 -4z', WHITE, 0.55),
  bloom: (
    <>
      {area(`M0 0h${W}v${H}H0z`, '#8d998f', 0.8)}
      {area('M10 14q30 -8 60 4l4 22q-30 10 -62 2z', WHITE, 0.5)}
      {line('M22 20q10 8 4 20M40 18q10 8 4 22M58 20q8 8 2 20', DARK, 0.8)}
    </>
  ),
  'solvent-pop': (
    <>
      {GLOSS}
      {dots(26, DARK, 0.6, LIGHT)}
    </>
  ),
  pinholes: (
    <>
      {GLOSS}
      {dots(34, '#14201b', 0.4)}
    </>
  ),
  lifting: lines(12, (i) => `M${(i % 4) * 22} ${Math.floor(i / 4) * 19 + 10}q5 -12 10 -2t11 -2`, LIGHT, 3),
  soft: (
    <>
      {GLOSS}
      {area('M34 18q8 -10 18 0l2 16q-12 8 -22 0z', DARK, 0.6)}
      {line('M37 22q8 -6 14 0M37 27q8 -6 15 0M37 32q8 -6 15 0', LIGHT, 1)}
    </>
  ),
  'off-metal': (
    <>
      {area('M24 12l26 -4l16 14l-8 22l-30 4l-12 -18z', METAL)}
      {line('M24 12l26 -4l16 14l-8 22l-30 4l-12 -18z', DARK, 2)}
      {area('M58 44l14 6l6 -14l-12 -14z', LIGHT)}
    </>
  ),
  'between-coats': (
    <>
      {area('M24 12l26 -4l16 14l-8 22l-30 4l-12 -18z', UNDER)}
      {line('M24 12l26 -4l16 14l-8 22l-30 4l-12 -18z', DARK, 2)}
      {area('M58 44l14 6l6 -14l-12 -14z', LIGHT)}
    </>
  ),
  'rust-through': (
    <>
      {dots(9, RUST, 1.6, '#c58a5c')}
      {line('M22 26q1 10 0 22M60 20q2 12 0 30', RUST, 1.6)}
    </>
  ),
  'dry-blisters': dots(12, LIGHT, 2, DARK),
  uneven: (
    <>
      {area('M0 0h28v56H0z', DARK)}
      {area('M54 0h30v56H54z', LIGHT)}
    </>
  ),
  'colour-differs': area('M42 0h42v56H42z', '#5f7f63'),
  bleeding: (
    <>
      {area(`M0 0h${W}v${H}H0z`, WHITE)}
      {area('M18 16q14 -12 26 2t22 6q4 18 -14 20t-34 -6q-10 -10 0 -22z', '#a9743c', 0.65)}
    </>
  ),
  scratches: (
    <>
      {GLOSS}
      {lines(18, (i) => `M${(i * 9) % 70} ${(i * 17) % 50}l${16 + (i % 4) * 4} ${3 + (i % 3)}`, DARK, 0.8)}
    </>
  ),
  'torn-edge': (
    <>
      {area('M44 0l3 6l-5 5l6 7l-4 6l5 8l-6 6l4 7l-3 11H84V0z', UNDER)}
      {line('M44 0l3 6l-5 5l6 7l-4 6l5 8l-6 6l4 7l-3 11', DARK, 1.6)}
    </>
  ),
  dull: (
    <>
      {area('M8 0h18L6 56h-6V28z', LIGHT, 0.7)}
      {area('M30 0h54v56H16z', '#6d7a73')}
    </>
  ),
  nibs: (
    <>
      {GLOSS}
      {spots(16).map(([x, y, r], i) => (
        <path key={i} d={`M${x} ${y}l${r} ${-r}l${r} ${r}z`} fill={WHITE} />
      ))}
    </>
  ),
  cracks: line(
    'M6 10l16 8l10 -6l12 14l16 -4l20 8M22 18l-4 14l10 12M44 26l2 18l14 8M60 22l6 -16',
    '#14201b',
    1.4,
  ),
  chalk: (
    <>
      {area(`M0 0h${W}v${H}H0z`, '#9fb0a8')}
      {area('M30 12q14 -6 20 8l-4 26q-14 6 -20 -8z', PAINT)}
      {dots(60, WHITE, 0.4)}
    </>
  ),
  'zinc-flakes': (
    <>
      {area(`M0 0h${W}v${H}H0z`, '#8a9095')}
      {area('M18 14l14 -6l12 10l-6 14l-18 2zM52 26l16 -4l8 12l-10 12l-14 -6z', METAL)}
      {line(
        'M18 14l14 -6l12 10l-6 14l-18 2zM52 26l16 -4l8 12l-10 12l-14 -6zM44 18l10 8M38 32l14 6',
        '#3c4144',
        1.2,
      )}
    </>
  ),
  ripples: lines(6, (i) => `M0 ${8 + i * 9}q14 ${i % 2 ? 6 : -6} 28 0t28 0t28 0`, LIGHT, 2.4),
  filiform: (
    <>
      {area(`M0 0h${W}v${H}H0z`, '#b9bfc2')}
      {line('M6 50q6 -14 14 -8t8 -10t14 2t6 -14t16 4M30 54q2 -10 12 -8t12 -10t16 4', WHITE, 2)}
    </>
  ),
  'white-corrosion': (
    <>
      {area(`M0 0h${W}v${H}H0z`, '#9ba1a4')}
      {dots(26, WHITE, 1.6)}
    </>
  ),
  'two-metals-line': (
    <>
      {area('M0 0h42v56H0z', '#b9bfc2')}
      {area('M40 0q6 8 0 16t2 18t-2 22h6q4 -12 0 -22t0 -16t-1 -18z', RUST)}
    </>
  ),
  'heat-discoloured': area('M10 6q40 -8 66 8t-6 36q-40 10 -60 -8t0 -36z', '#7a5a34', 0.8),
  'softened-by-fluid': (
    <>
      {area('M30 0q-4 18 2 26t-4 30h18q6 -16 2 -28t2 -28z', UNDER)}
      {line('M30 0q-4 18 2 26t-4 30M50 0q-4 16 -2 28t-2 28', LIGHT, 3)}
    </>
  ),
  chips: spots(9).map(([x, y, r], i) => (
    <path key={i} d={`M${x} ${y}l${r * 3} ${-r}l${r} ${r * 3}l${-r * 3} ${r}z`} fill={METAL} stroke={DARK} />
  )),
  mottled: (
    <>
      {area(`M0 0h${W}v${H}H0z`, '#8f9aa0')}
      {spots(9).map(([x, y, r], i) => (
        <ellipse key={i} cx={x} cy={y} rx={r * 6} ry={r * 3} fill="#b6c0c5" fillOpacity={0.6} />
      ))}
    </>
  ),
  'poor-hiding': lines(7, (i) => `M0 ${4 + i * 8}h84`, UNDER, 3),
  'water-spots': (
    <>
      {GLOSS}
      {dots(8, 'none', 2.6, WHITE)}
    </>
  ),
  'contact-prints': (
    <>
      {GLOSS}
      {lines(9, (i) => `M${4 + i * 10} 0l-6 56`, DARK, 1)}
      {lines(6, (i) => `M0 ${5 + i * 9}l84 4`, DARK, 1)}
    </>
  ),
  'filler-rings': (
    <>
      {GLOSS}
      {line('M26 16q20 -12 36 4t-4 26t-36 -8q-6 -14 4 -22z', DARK, 1)}
      {line('M30 20q16 -9 28 3t-3 19t-27 -6q-5 -10 2 -16z', LIGHT, 1)}
    </>
  ),
  'brush-marks': lines(13, (i) => `M0 ${3 + i * 4.2}q30 ${(i % 3) - 1} 84 0`, DARK, 1.6),
  'gelled-bits': (
    <>
      {GLOSS}
      {dots(9, '#c9bd8e', 1.4, DARK)}
    </>
  ),
};

const SIGNS: Readonly<Record<ReferSign, ReactNode>> = {
  'crack-over-weld': (
    <>
      {lines(9, (i) => `M${i * 10} 24q5 8 0 16`, DARK, 2)}
      {line('M10 8l14 14l12 4l10 12l20 10', '#14201b', 2)}
    </>
  ),
  'trails-behind-rivets': spots(5).map(([x], i) => (
    <g key={i}>
      <circle cx={10 + i * 16} cy={18} r={4} fill={LIGHT} stroke={DARK} />
      <path d={`M${8 + i * 16 + (x % 2)} 22l4 26`} stroke="#14201b" strokeWidth={2.4} strokeOpacity={0.75} />
    </g>
  )),
  'rust-weeping': (
    <>
      {spots(4).map((_, i) => (
        <circle key={i} cx={12 + i * 20} cy={14} r={5} fill={DARK} />
      ))}
      {lines(4, (i) => `M${12 + i * 20} 18q2 16 -1 34`, RUST, 3)}
    </>
  ),
  scorched: area('M24 8q24 -6 38 10t-6 30q-26 10 -38 -8t6 -32z', '#2b2018', 0.85),
  'stain-at-tank': (
    <>
      {line('M0 20h84', DARK, 2)}
      {area('M34 20q-4 20 2 36h20q8 -18 0 -36z', '#6b5a2e', 0.7)}
    </>
  ),
  bulge: (
    <>
      {line('M0 44h20q22 -44 44 0h20', LIGHT, 3)}
      {line('M30 34q12 -18 24 0', WHITE, 1.6)}
    </>
  ),
  'slip-mark-moved': (
    <>
      <circle cx={42} cy={28} r={20} fill={DARK} stroke={LIGHT} strokeWidth={2} />
      {line('M42 28V8', WHITE, 3)}
      {line('M62 28h16', WHITE, 3)}
    </>
  ),
};

const METAL_FIELD = area(`M0 0h${W}v${H}H0z`, METAL);
const KINDS: Readonly<Record<Exclude<FindingKind, 'fault' | 'sign'>, ReactNode>> = {
  pits: (
    <>
      {METAL_FIELD}
      {dots(18, '#4d2410', 1.1, '#7d6a58')}
    </>
  ),
  crack: (
    <>
      {METAL_FIELD}
      {line('M8 14l16 6l8 10l14 -2l12 12l18 4', '#14201b', 2)}
    </>
  ),
  thinning: (
    <>
      {area('M0 16h84v6q-14 4 -28 2t-28 2t-28 -2z', METAL)}
      {line('M0 16h84', '#3c4144', 1.4)}
      {line('M0 44h84', '#3c4144', 1)}
    </>
  ),
  dent: (
    <>
      {METAL_FIELD}
      {area('M24 28a18 12 0 1 0 36 0a18 12 0 1 0 -36 0z', '#8b9092')}
      {line('M26 34q16 10 32 0', WHITE, 1.6)}
    </>
  ),
  pinhole: (
    <>
      {METAL_FIELD}
      <circle cx={42} cy={28} r={5} fill="#14201b" />
    </>
  ),
  'old-repair': (
    <>
      {METAL_FIELD}
      {area('M26 14h32v26H26z', '#8b9092')}
      {line('M26 14h32v26H26z', '#3c4144', 1.4)}
    </>
  ),
  leak: (
    <>
      {METAL_FIELD}
      {area('M42 10q12 18 0 28q-12 -10 0 -28z', '#5b86a5')}
    </>
  ),
  marking: (
    <>
      {GLOSS}
      {line('M16 40V18l10 12l10 -12v22M46 40V18h14M46 29h10M46 40h14', WHITE, 2.4)}
    </>
  ),
  missing: <path d="M14 12h56v32H14z" fill="none" stroke={WHITE} strokeWidth={2} strokeDasharray="5 4" />,
};

const frame = (inner: ReactNode): ReactNode => (
  <svg
    width={78}
    height={52}
    viewBox={`0 0 ${W} ${H}`}
    aria-hidden="true"
    className="block border border-line"
  >
    <rect width={W} height={H} fill={PAINT} />
    {inner}
  </svg>
);

/** A fault of the film. */
export const FaultSwatch = ({ fault }: { readonly fault: AnyFault }) => frame(LOOKS[fault]);
/** A sign that is not paint. */
export const SignSwatch = ({ sign }: { readonly sign: ReferSign }) => frame(SIGNS[sign]);

/** Whatever was found. */
export function FindingSwatch({ body }: { readonly body: FactBodies['found'] }) {
  if (body.fault) return <FaultSwatch fault={body.fault} />;
  if (body.sign) return <SignSwatch sign={body.sign} />;
  return body.what === 'fault' || body.what === 'sign' ? null : frame(KINDS[body.what]);
}
