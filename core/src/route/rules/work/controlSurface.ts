import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf, lastCoat } from '../../view.ts';

/** A painted control surface is re-balanced by a licensed person before flight. */
export const controlSurface = rule({
  id: 'work.control-surface',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    return v.survey.criticality.includes('control-surface') &&
      v.coats.length > 0 &&
      indexOf(v, 'refer', 're-balance') < (lastCoat(v)?.index ?? 0)
      ? fires()
      : null;
  },
});
