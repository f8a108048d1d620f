import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { indexOf, lastCoat } from '../../view.ts';

/** No clamping, slinging or stacking before the film has cured. */
export const cureBeforeUse = rule({
  id: 'work.cure-before-use',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const back = indexOf(v, 'reassemble');
    if (back < 0 || v.coats.length === 0) return null;
    const cure = Math.max(indexOf(v, 'cure'), indexOf(v, 'bake'));
    return cure < (lastCoat(v)?.index ?? 0) || cure > back ? fires() : null;
  },
});
