import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** The primer’s sheet must list the bare metal it goes on. */
export const listed = rule({
  id: 'metal.listed',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const first = firstCoat(v);
    if (!first || v.keeps) return null;
    return first.family.traits.bareMetals.includes(v.metal)
      ? null
      : fires({ product: first.family.sheet.name, metal: v.metal });
  },
});
