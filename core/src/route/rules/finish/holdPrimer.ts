import { COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { lastCoat } from '../../view.ts';

/** Colour undecided: the primer stands open, and its window shuts. It will have to be abraded before the colour. */
export const holdPrimer = rule({
  id: 'finish.hold-primer',
  severity: 'warn',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [],
  check: (v) => {
    return v.isHeld && v.coats.length > 0 ? fires({ primer: lastCoat(v)!.family.sheet.name }) : null;
  },
});
