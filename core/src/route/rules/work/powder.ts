import { byFacility, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { has } from '../../view.ts';

/** Powder is a contractor’s work, and only on what may be baked: no filler, seals or white metal. */
export const powder = rule({
  id: 'work.powder',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byFacility('contractor'), byFacility('oven')],
  check: (v) => {
    if (!v.coats.some((c) => c.family.sheet.binder === 'powder')) return null;
    if (has(v, 'white-metal') || has(v, 'seals') || v.survey.assembled !== 'no' || v.keeps)
      return fires({ why: 'bake' });
    return v.means.facilities.includes('contractor') ? null : fires({ why: 'contractor' });
  },
});
