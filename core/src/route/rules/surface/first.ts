import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';

/** What smears, clogs or spoils is off before the act: oil and glue before media, paint before a bath. */
export const first = rule({
  id: 'surface.first',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const blocked = v.blocked();
    return blocked ? fires({ ...blocked }) : null;
  },
});
