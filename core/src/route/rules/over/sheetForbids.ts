import { windowRule } from '../../../cure/windows.ts';
import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { pairs } from '../../view.ts';

/** The sheet below forbids this follower. */
export const sheetForbids = rule({
  id: 'over.sheet-forbids',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    for (const [a, b] of pairs(v)) {
      const r = windowRule(a.family.sheet, b.family.sheet);
      if (r.kind === 'forbidden' && a.kind !== 'etch')
        return fires({ below: a.family.sheet.name, above: b.family.sheet.name });
    }
    return null;
  },
});
