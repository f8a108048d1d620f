import type { Seen } from '@calvetta/core';
import { spots } from './spots.ts';

type Look =
  | { readonly of: 'rust'; readonly is: Seen['rust'] }
  | { readonly of: 'paint'; readonly is: Seen['paint'] }
  | { readonly of: 'water'; readonly is: Seen['water'] };

const [WIDTH, HEIGHT] = [84, 56];
/** Bare metal as the eye sees it, drawn from what is asked: rust left, paint left, water on it. */
export function SeenSwatch({ look }: { readonly look: Look }) {
  return (
    <svg
      width={78}
      height={52}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      aria-hidden="true"
      className="block border border-line"
    >
      <rect width={WIDTH} height={HEIGHT} fill="#a9aeb0" />
      {spots(70).map(([x, y], i) => (
        <path key={i} d={`M${x} ${y}h2`} stroke="#8d9294" strokeWidth={0.7} />
      ))}
      {look.of === 'rust' ? (
        <Rust is={look.is} />
      ) : look.of === 'paint' ? (
        <Paint is={look.is} />
      ) : (
        <Water is={look.is} />
      )}
    </svg>
  );
}

function Rust({ is }: { readonly is: Seen['rust'] }) {
  const n = { none: 0, stains: 9, firm: 34, pits: 16 }[is];
  return spots(n).map(([x, y, r], i) =>
    is === 'pits' ? (
      <g key={i}>
        <circle cx={x} cy={y} r={r + 0.8} fill="#4d2410" />
        <circle cx={x - 0.4} cy={y - 0.4} r={r * 0.4} fill="#8a4b22" />
      </g>
    ) : (
      <ellipse
        key={i}
        cx={x}
        cy={y}
        rx={r * (is === 'firm' ? 3.2 : 2.2)}
        ry={r * 1.6}
        fill="#8a4a22"
        fillOpacity={is === 'firm' ? 0.85 : 0.35}
      />
    ),
  );
}

function Paint({ is }: { readonly is: Seen['paint'] }) {
  const n = { none: 0, traces: 6, patches: 9 }[is];
  const by = is === 'patches' ? 5 : 1.8;
  return spots(n).map(([x, y, r], i) => (
    <path
      key={i}
      d={`M${x} ${y}l${r * by} ${r}l-${r} ${r * by * 0.5}l-${r * by} -${r * 0.6}z`}
      fill="#3f5d55"
    />
  ));
}

function Water({ is }: { readonly is: Seen['water'] }) {
  if (is === 'sheets')
    return <path d={`M0 12q21 -5 42 0t42 0V${HEIGHT}H0z`} fill="#7fa7c4" fillOpacity={0.55} />;
  return spots(8).map(([x, y, r], i) => (
    <circle
      key={i}
      cx={x}
      cy={y}
      r={r * 2.4}
      fill="#7fa7c4"
      fillOpacity={0.75}
      stroke="#5b86a5"
      strokeWidth={0.7}
    />
  ));
}
