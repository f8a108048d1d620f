import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** What the shop put away is not offered: it has none of it, and does not mean to get any. */
export const putAway = rule({
  id: 'work.put-away',
  severity: 'refuse',
  phase: 'coats',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const away = v.coats.find((c) => v.means.putAway?.includes(c.family.familyId));
    return away ? fires({ product: away.family.sheet.name }) : null;
  },
});
