import { brightFeatures } from '../../../part/zones.ts';
import { COMMON_PRACTICE, byRoute, fires, rule } from '../../rule.ts';
import { indexOf, lastCoat } from '../../view.ts';

/** Metal that stays bright is never left without an end: oil, lanolin film or paper as soon as the masking is off. */
export const brightEnd = rule({
  id: 'protect.bright-end',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const bright = brightFeatures(v.survey);
    if (bright.length === 0 || v.coats.length === 0) return null;
    const end = indexOf(v, 'preserve');
    return end > (lastCoat(v)?.index ?? 0) ? null : fires({ features: bright.join(', ') });
  },
});
