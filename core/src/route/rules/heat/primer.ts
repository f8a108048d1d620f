import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** Heat finishes go on their own primer or on bare metal, 20–25 µm a coat. */
export const primer = rule({
  id: 'heat.primer',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const hot = v.coats.find((c) => c.family.sheet.binder === 'silicone-heat');
    return hot && (v.keeps || (v.paint[0] !== hot && v.paint[0]!.family.sheet.binder !== 'silicone-heat'))
      ? fires({ below: v.keeps ? 'old paint' : v.paint[0]!.family.sheet.name })
      : null;
  },
});
