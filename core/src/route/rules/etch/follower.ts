import { windowRule } from '../../../cure/windows.ts';
import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs } from '../../view.ts';

/** Nothing goes on an etch but the follower its own sheet lists: acid left in it stops many epoxies. */
export const follower = rule({
  id: 'etch.follower',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    for (const [below, above] of pairs(v)) {
      if (below.kind !== 'etch' || above.kind === 'etch') continue;
      const r = windowRule(below.family.sheet, above.family.sheet);
      if (r.kind !== 'intervals' || r.basis !== 'listed-follower')
        return fires({ etch: below.family.sheet.name, follower: above.family.sheet.name });
    }
    return null;
  },
});
