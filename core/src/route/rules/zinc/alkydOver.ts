import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoat, pairs, type CoatView } from '../../view.ts';

/** Alkyd and oil paint turn to soap on zinc: zinc-rich, galvanised and die-cast alike. Tie-coat first. */
export const alkydOver = rule({
  id: 'zinc.alkyd-over',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const soapy = (c: CoatView | undefined): boolean =>
      c?.family.sheet.binder === 'alkyd-1k' || c?.family.sheet.binder === 'oil-1k';
    if (v.metal === 'zinc' && !v.keeps && soapy(firstCoat(v))) return fires({ on: v.survey.substrate });
    return pairs(v).some(([a, b]) => a.family.traits.pigment === 'zinc-metal' && soapy(b))
      ? fires({ on: 'zinc-rich' })
      : null;
  },
});
