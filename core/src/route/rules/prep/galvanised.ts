import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf, uses } from '../../view.ts';

/** New zinc is slick: T-wash it or key it before paint. */
export const galvanised = rule({
  id: 'prep.galvanised',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (v.survey.substrate !== 'galvanised' || v.keeps) return null;
    return v.pretreats.includes('t-wash') || indexOf(v, 'abrade') >= 0 || uses(v, 'bead-blast')
      ? null
      : fires();
  },
});
