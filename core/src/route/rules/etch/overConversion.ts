import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';

/** Conversion coating or etch, not both: each wants the bare metal. */
export const overConversion = rule({
  id: 'etch.over-conversion',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.pretreats.includes('conversion') && v.coats.some((c) => c.kind === 'etch') ? fires() : null;
  },
});
