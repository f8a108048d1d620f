import type { Feature, Survey } from '../part/survey.ts';
import type { RouteStep, StepKind } from './route.ts';
import type { Surface } from './surface/state.ts';
import { afterStep, startOf, type Footing } from './surface/walk.ts';

const PROTECTED: readonly Feature[] = [
  'machined',
  'threads',
  'bores',
  'white-metal',
  'seals',
  'close-fit',
  'wiring',
  'glass',
  'drains-ports',
  'oilways',
];

export type Add = (kind: StepKind, hours: number, over?: Partial<RouteStep>) => void;

/** Writes steps and walks the surface with them, so that what follows by rule can be read off it. */
export interface Writer {
  readonly steps: RouteStep[];
  readonly add: Add;
  readonly at: () => Surface;
}

export function writer(s: Survey): Writer {
  const steps: RouteStep[] = [];
  let at: Footing | null = null;
  let walked = 0;
  return {
    steps,
    // Walked only when asked: most writers never are.
    at: () => {
      at ??= startOf(s);
      for (; walked < steps.length; walked++) at = afterStep(at, steps[walked]!, s);
      return at.surface;
    },
    add: (kind, hours, over) =>
      void steps.push({
        stepId: '',
        kind,
        coats: 0,
        dftUm: null,
        hours,
        waitHours: 0,
        cautions: [],
        ...over,
      }),
  };
}

export const guardedOf = (s: Survey): readonly Feature[] => s.features.filter((f) => PROTECTED.includes(f));
