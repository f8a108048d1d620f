import { windowRule } from '../../../cure/windows.ts';
import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs, type CoatView } from '../../view.ts';

/** A two-pack over a one-pack lifts it. */
export const twoOverOne = rule({
  id: 'over.two-over-one',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    // Moisture-cured urethane sets hard by reaction, like a two-pack out of one tin.
    const sets = (c: CoatView): boolean =>
      c.family.sheet.packs === 2 || c.family.sheet.binder === 'moisture-urethane';
    for (const [a, b] of pairs(v)) {
      if (sets(a) || a.kind === 'etch' || !sets(b)) continue;
      const r = windowRule(a.family.sheet, b.family.sheet);
      if (r.kind !== 'intervals' || r.basis !== 'listed-follower')
        return fires({ below: a.family.sheet.name, above: b.family.sheet.name });
    }
    return null;
  },
});
