import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoat, pairs } from '../../view.ts';

/** Bitumen bleeds through and lifts everything modern: it comes off first. */
export const bitumen = rule({
  id: 'over.bitumen',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('coatKind'), byRoute],
  check: (v) => {
    if (pairs(v).some(([a, b]) => a.family.sheet.binder === 'bitumen' && b.family.sheet.binder !== 'bitumen'))
      return fires();
    if (!v.keeps || v.survey.coating === 'none' || firstCoat(v)?.family.sheet.binder === 'bitumen')
      return null;
    return v.survey.coatKind === 'bitumen'
      ? fires()
      : v.survey.coatKind === 'unknown'
        ? asks('coatKind')
        : null;
  },
});
