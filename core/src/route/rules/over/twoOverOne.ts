import { windowRule } from '../../../cure/windows.ts';
import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs } from '../../view.ts';

/** A two-pack over a one-pack lifts it. */
export const twoOverOne = rule({
  id: 'over.two-over-one',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    for (const [a, b] of pairs(v))
      if (
        a.family.sheet.packs === 1 &&
        a.kind !== 'etch' &&
        b.family.sheet.packs === 2 &&
        windowRule(a.family.sheet, b.family.sheet).kind !== 'intervals'
      )
        return fires({ below: a.family.sheet.name, above: b.family.sheet.name });
    return null;
  },
});
