import { thinnerStartPct, traitsOf, type ProductSheet } from '@calvetta/core';
import type { MixJob } from './mixJob.ts';

export interface Thin {
  readonly pct: number;
  readonly mostPct: number;
  readonly suggestedPct: number;
  readonly problem: string | null;
  readonly airC: number | null;
}

/** Thinner as typed, else as suggested for the air; more than the sheet allows is said, not swallowed. */
export function thinOf(job: MixJob, sheet: ProductSheet | undefined, airC: number | null): Thin {
  if (!sheet) return { pct: 0, mostPct: 0, suggestedPct: 0, problem: null, airC };
  const { thinMaxPct } = traitsOf(sheet);
  const mostPct = job.by === 'brush' || job.by === 'roller' ? thinMaxPct.brush : thinMaxPct.gun;
  const start = thinnerStartPct(mostPct, airC ?? 18);
  const suggestedPct = start.ok ? Math.round(start.value) : 0;
  if (job.thin === null) return { pct: suggestedPct, mostPct, suggestedPct, problem: null, airC };
  const typed = Number(job.thin.replace(',', '.'));
  if (job.thin.trim() === '' || !Number.isFinite(typed) || typed < 0 || typed > 100)
    return { pct: suggestedPct, mostPct, suggestedPct, problem: 'a number from 0 to 100', airC };
  return {
    pct: typed,
    mostPct,
    suggestedPct,
    problem: typed > mostPct ? `the sheet allows ${mostPct} % laid on so` : null,
    airC,
  };
}
