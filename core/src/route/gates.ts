import {
  CATEGORIES,
  COATING,
  LEGACY,
  OIL,
  PRIOR_PRIMERS,
  TEST_RESULTS,
  type Survey,
} from '../part/survey.ts';
import { isCasting } from '../part/substrate.ts';
import { metalOf } from '../products/traits.ts';
import type { StepGate } from './route.ts';

/** An answer of a survey that a look or a quick test gives, and that a route may rest on. */
export interface GateField {
  readonly field: keyof Survey;
  /** What a route hopes for, and may only hope for with a gate. */
  readonly hoped: string | number;
  /** Every answer it can be. */
  readonly values: readonly (string | number)[];
}
const known = (list: readonly string[]): readonly string[] => list.filter((x) => x !== 'unknown');
const YES_NO = ['no', 'yes'] as const;

/** In the order in which they are looked at: what can hurt first. At most three stand in one route. */
export const GATES: readonly GateField[] = [
  { field: 'lagging', hoped: 'no', values: YES_NO },
  { field: 'legacy', hoped: 'none', values: known(LEGACY) },
  { field: 'plating', hoped: 'none', values: ['none', 'chrome', 'zinc', 'cadmium', 'anodised'] },
  { field: 'assembled', hoped: 'no', values: YES_NO },
  { field: 'hardened', hoped: 'no', values: YES_NO },
  { field: 'heatC', hoped: 60, values: [60, 110, 170, 240, 500] },
  { field: 'coating', hoped: 'sound', values: known(COATING).filter((x) => x !== 'partly') },
  { field: 'solventRub', hoped: 'passed', values: known(TEST_RESULTS) },
  { field: 'priorPrimer', hoped: 'none', values: known(PRIOR_PRIMERS) },
  { field: 'scale', hoped: 'no', values: YES_NO },
  { field: 'oil', hoped: 'surface', values: known(OIL) },
  { field: 'phosphated', hoped: 'no', values: YES_NO },
  { field: 'oldFiller', hoped: 'no', values: YES_NO },
  { field: 'seamsRinse', hoped: 'yes', values: YES_NO },
  { field: 'category', hoped: 'C3', values: known(CATEGORIES).filter((c) => c !== 'immersed' && c !== 'CX') },
];
export const MOST_GATES = 3;

export const isOpen = (s: Survey, f: keyof Survey): boolean => s[f] === 'unknown' || s[f] === null;
/** Whether a field can matter on this part at all: nothing is asked of paint where there is none, nor of seams where there are none. */
function canMatter(s: Survey, f: keyof Survey): boolean {
  const metal = metalOf(s.substrate);
  switch (f) {
    case 'legacy':
    case 'solventRub':
    case 'oldFiller':
    case 'priorPrimer':
      return s.coating !== 'none';
    case 'seamsRinse':
      return s.features.includes('seams') || s.features.includes('box-section');
    case 'phosphated':
      return metal === 'steel' || metal === 'iron';
    case 'scale':
      return metal === 'steel' && !isCasting(s.substrate);
    case 'hardened':
      return metal === 'steel';
    default:
      return true;
  }
}

/** The fields of a survey that are open, that can matter, and that a gate may stand for. */
export const openGates = (s: Survey): readonly GateField[] =>
  GATES.filter((g) => isOpen(s, g.field) && canMatter(s, g.field));

/** The survey with open gate fields as hoped for: all of them, or those named. */
export function hopedSurvey(s: Survey, only?: readonly (keyof Survey)[]): Survey {
  const open = openGates(s).filter((g) => only === undefined || only.includes(g.field));
  return open.length === 0 ? s : { ...s, ...Object.fromEntries(open.map((g) => [g.field, g.hoped])) };
}

/** Whether an answer lets a route go on. */
export const passes = (gate: StepGate, got: unknown): boolean => gate.passes.includes(String(got));

/** The surveys a route with gates must hold for: each gate at its first answer, and each other answer in turn. */
export function surveysUnder(s: Survey, gates: readonly StepGate[]): Survey[] {
  const live = gates.filter((g) => isOpen(s, g.field as keyof Survey) && g.passes.length > 0);
  if (live.length === 0) return [s];
  const typed = (g: StepGate, text: string): string | number => (g.field === 'heatC' ? Number(text) : text);
  const first = { ...s, ...Object.fromEntries(live.map((g) => [g.field, typed(g, g.passes[0]!)])) };
  return [
    first,
    ...live.flatMap((g) => g.passes.slice(1).map((p) => ({ ...first, [g.field]: typed(g, p) }))),
  ];
}
