import { isCasting } from '../../../part/substrate.ts';
import { COMMON_PRACTICE, byFacility, fires, rule } from '../../rule.ts';
import { has } from '../../view.ts';

/** Powder is a contractor’s work, and only on what may be baked: no castings that gas, filler, solder, seals, white metal or sealed hollows. */
export const powder = rule({
  id: 'work.powder',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byFacility('contractor'), byFacility('oven')],
  check: (v) => {
    if (!v.coats.some((c) => c.family.sheet.binder === 'powder')) return null;
    const s = v.survey;
    if (
      (['white-metal', 'seals', 'solder', 'internals'] as const).some((f) => has(v, f)) ||
      s.assembled !== 'no' ||
      v.keeps
    )
      return fires({ why: 'bake' });
    if (isCasting(s.substrate)) return fires({ why: 'casting gases' });
    if (s.criticality.some((c) => c === 'airworthy' || c === 'control-surface'))
      return fires({ why: 'heat-treated metal' });
    return v.means.facilities.includes('contractor') ? null : fires({ why: 'contractor' });
  },
});
