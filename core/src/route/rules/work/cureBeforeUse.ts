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
    if (v.coats.length === 0) return null;
    const cure = Math.max(indexOf(v, 'cure'), indexOf(v, 'bake'));
    const back = indexOf(v, 'reassemble');
    return back >= 0 && (cure < (lastCoat(v)?.index ?? 0) || cure > back) ? fires() : null;
  },
});
