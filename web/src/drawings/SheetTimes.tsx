import {
  fitCurve,
  maxStageHoursAt,
  stageHoursAt,
  withActivation,
  type ProductSheet,
  type Stage,
} from '@calvetta/core';
import { STAGE_WORDS } from '@calvetta/contract/words';

const SHOWN: readonly (readonly [Stage, string])[] = [
  ['minRecoat', 'var(--s-open)'],
  ['maxRecoat', 'var(--s-shut)'],
  ['potLife', 'var(--s-closing)'],
];
const [FROM_C, TO_C] = [5, 30];
const [LEAST_H, MOST_H] = [0.1, 1000];
const WIDTH = 184;
const HEIGHT = 74;
const LEFT = 38;

const x = (c: number): number => LEFT + ((c - FROM_C) / (TO_C - FROM_C)) * (WIDTH - LEFT - 12);
const y = (h: number): number =>
  6 + (1 - (Math.log(h) - Math.log(LEAST_H)) / (Math.log(MOST_H) - Math.log(LEAST_H))) * (HEIGHT - 22);

/** A sheet's times against temperature, hours on a logarithmic scale: from when, until when, and how long in the cup. */
export function SheetTimes({ sheet }: { readonly sheet: ProductSheet }) {
  const curves = SHOWN.flatMap(([stage, colour]) => {
    const times = sheet.stages[stage];
    if (!times) return [];
    const fitted = fitCurve(withActivation(times, sheet.binder));
    if (!fitted.ok) return [];
    const points = Array.from({ length: 11 }, (_, i) => {
      const c = FROM_C + ((TO_C - FROM_C) * i) / 10;
      const at = stage === 'minRecoat' ? stageHoursAt(fitted.value, c) : maxStageHoursAt(fitted.value, c);
      const h = at?.hours ?? null;
      return h === null ? null : `${x(c).toFixed(1)},${y(Math.min(Math.max(h, LEAST_H), MOST_H)).toFixed(1)}`;
    }).filter((p) => p !== null);
    return [{ stage, colour, points }];
  });
  if (curves.length === 0) return null;
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={`Times of ${sheet.name} from ${FROM_C} to ${TO_C} °C: ${curves.map((c) => STAGE_WORDS[c.stage]).join(', ')}`}
    >
      {[0.1, 1, 10, 100, 1000].map((h) => (
        <g key={h}>
          <path d={`M${LEFT} ${y(h)}H${WIDTH - 12}`} stroke="var(--line)" strokeWidth={0.7} />
          <text x={LEFT - 4} y={y(h) + 3.5} fontSize="10.5" textAnchor="end" fill="var(--quiet)">
            {h < 1 ? `${h * 60} min` : `${h} h`}
          </text>
        </g>
      ))}
      {[10, 20, 30].map((c) => (
        <text key={c} x={x(c)} y={HEIGHT - 3} fontSize="9.5" textAnchor="middle" fill="var(--quiet)">
          {c}°
        </text>
      ))}
      {curves.map((c) => (
        <polyline key={c.stage} points={c.points.join(' ')} fill="none" stroke={c.colour} strokeWidth={1.8} />
      ))}
    </svg>
  );
}
