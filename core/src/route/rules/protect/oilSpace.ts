import { isOilSpace } from '../../caps.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { paintOf } from '../../view.ts';

/** Crankcases, gearboxes and oilways stay bare and oiled, or take a thin oil-proof enamel: flakes of thick epoxy block oilways. */
export const oilSpace = rule({
  id: 'protect.oil-space',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (!isOilSpace(v.survey)) return null;
    const thick = paintOf(v).find((c) => c.family.sheet.packs === 2 || c.family.traits.isLining);
    return thick ? fires({ product: thick.family.sheet.name }) : null;
  },
});
