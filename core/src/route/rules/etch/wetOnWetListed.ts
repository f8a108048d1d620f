import { windowRule } from '../../../cure/windows.ts';
import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs } from '../../view.ts';

/** Wet-on-wet only where the etch sheet gives that window for this follower. */
export const wetOnWetListed = rule({
  id: 'etch.wet-on-wet-listed',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    for (const [below, above] of pairs(v)) {
      if (above.policy !== 'wet-on-wet') continue;
      const r = windowRule(below.family.sheet, above.family.sheet);
      if (r.kind !== 'intervals' || !r.intervals.some((i) => i.wetOnWet))
        return fires({ below: below.family.sheet.name, above: above.family.sheet.name });
    }
    return null;
  },
});
