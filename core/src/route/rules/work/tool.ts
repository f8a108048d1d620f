import { byFacility, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** The sheet does not give this tool, or the shop or the place does not allow it. */
export const tool = rule({
  id: 'work.tool',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byFacility('gun'), bySurvey('reach'), byRoute],
  check: (v) => {
    for (const c of v.coats) {
      if (c.kind === 'cavity' || c.family.sheet.binder === 'powder') continue;
      if (
        !c.family.traits.tools.includes(c.tool) &&
        !(c.tool === 'brush' && c.family.sheet.role === 'filler')
      )
        return fires({ tool: c.tool, product: c.family.sheet.name });
      if (c.tool === 'gun' && (!v.means.facilities.includes('gun') || v.survey.reach !== 'gun'))
        return fires({ tool: 'gun', product: c.family.sheet.name });
    }
    return null;
  },
});
