import type { Cases } from './cases.ts';
import { CASES as strip } from '../rules/strip/cases.spec.ts';
import { CASES as prep } from '../rules/prep/cases.spec.ts';
import { CASES as surface } from '../rules/surface/cases.spec.ts';
import { CASES as metal } from '../rules/metal/cases.spec.ts';
import { CASES as etch } from '../rules/etch/cases.spec.ts';
import { CASES as zinc } from '../rules/zinc/cases.spec.ts';
import { CASES as over } from '../rules/over/cases.spec.ts';
import { CASES as heat } from '../rules/heat/cases.spec.ts';
import { CASES as fit } from '../rules/fit/cases.spec.ts';
import { CASES as finish } from '../rules/finish/cases.spec.ts';
import { CASES as protect } from '../rules/protect/cases.spec.ts';
import { CASES as work } from '../rules/work/cases.spec.ts';

/** The cases of every rule. */
export const CASES: Readonly<Record<string, Cases>> = {
  ...strip,
  ...prep,
  ...surface,
  ...metal,
  ...etch,
  ...zinc,
  ...over,
  ...heat,
  ...fit,
  ...finish,
  ...protect,
  ...work,
};
