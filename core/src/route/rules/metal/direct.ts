import { isOilSpace } from '../../caps.ts';
import { COMMON_PRACTICE, asks, byRoute, bySurvey, fires, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** A finish straight on bare metal only on a rough casting, working finish, indoors, or thin where the form asks for it. */
export const direct = rule({
  id: 'metal.direct',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('category'), bySurvey('finish'), byRoute],
  check: (v) => {
    const first = firstCoat(v);
    if (!first || v.keeps || first.kind !== 'topcoat' || first.family.sheet.binder === 'silicone-heat')
      return null;
    const s = v.survey;
    if (
      first.family.traits.isLining ||
      isOilSpace(s) ||
      (s.kind === 'radiator' && first.family.traits.onFins)
    )
      return null;
    if (first.family.sheet.binder === 'powder') return null;
    if (!['grey-iron', 'ductile-iron', 'cast-steel'].includes(s.substrate) || s.finish !== 'working')
      return fires();
    return s.category === 'unknown'
      ? asks('category')
      : s.category === 'C1' || s.category === 'C2'
        ? null
        : fires({ category: s.category });
  },
});
