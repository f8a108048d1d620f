import { fitCurve, type FittedCurve, type StageTimes } from '../products/curve.ts';
import { withActivation, type ProductSheet, type Stage, type WindowEdge } from '../products/sheet.ts';
import { maxRateTable, minRateTable, type RateTable } from './rate.ts';

/** Tabulated rates of a sheet, made on first use: sheets are immutable revisions, so the tables never go stale. */
const cache = new WeakMap<StageTimes, Map<string, RateTable | null>>();

/** The rate table of an edge; null when the sheet says nothing (unknown) or contradicts itself. */
export function edgeTable(sheet: ProductSheet, edge: WindowEdge): RateTable | null {
  const times = edge.times ?? (edge.stage === undefined ? undefined : sheet.stages[edge.stage]);
  return times ? tableFor(sheet, times, edge.type) : null;
}

/** The rate table of a min-type stage, or of the max-type ones (max recoat, pot life). Null when the sheet is silent. */
export function stageTable(sheet: ProductSheet, stage: Stage): RateTable | null {
  return edgeTable(sheet, {
    stage,
    p: 1,
    type: stage === 'maxRecoat' || stage === 'potLife' ? 'max' : 'min',
  });
}

function tableFor(sheet: ProductSheet, times: StageTimes, type: 'min' | 'max'): RateTable | null {
  let tables = cache.get(times);
  if (!tables) {
    tables = new Map<string, RateTable | null>();
    cache.set(times, tables);
  }
  const key = `${type}|${sheet.cureMinC ?? ''}|${sheet.binder}`;
  let table = tables.get(key);
  if (table === undefined) {
    const fitted = fitCurve(withActivation(times, sheet.binder));
    table = fitted.ok ? build(fitted.value, type, sheet.cureMinC) : null;
    tables.set(key, table);
  }
  return table;
}

function build(curve: FittedCurve, type: 'min' | 'max', cureMinC: number | null): RateTable {
  return type === 'max' ? maxRateTable(curve) : minRateTable(curve, cureMinC);
}
