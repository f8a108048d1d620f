import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex, indexOf } from '../../view.ts';

/** Zinc die-cast: two days’ adhesion trial on a hidden face first. */
export const diecastTrial = rule({
  id: 'metal.diecast-trial',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    if (v.survey.substrate !== 'zinc-diecast') return null;
    const trial = indexOf(v, 'test', 'adhesion-trial');
    return trial >= 0 && trial < firstCoatIndex(v) ? null : fires();
  },
});
