import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { totalUm } from '../../view.ts';

/** Heat finishes go on their own primer or on bare metal, 20–25 µm a coat. */
export const primer = rule({
  id: 'heat.primer',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const hot = v.coats.find((c) => c.family.sheet.binder === 'silicone-heat');
    return hot && (v.keeps || totalUm(hot) > hot.family.traits.totalMaxUm)
      ? fires({ um: totalUm(hot), mostUm: hot.family.traits.totalMaxUm })
      : null;
  },
});
