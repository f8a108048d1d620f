import { byRoute, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoatIndex, stripIndex } from '../../view.ts';

/** A licensed person looks at bare pressure, structural, brake, steering, lifting and aircraft parts before paint hides anything. */
export const inspectBare = rule({
  id: 'prep.inspect-bare',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [byRoute],
  check: (v) => {
    const watched = v.survey.criticality.filter((c) => c !== 'fuel');
    if (watched.length === 0 || v.coats.length === 0) return null;
    const refer = v.steps.findIndex((s) => s.kind === 'refer' && s.what === 'inspection');
    return refer > stripIndex(v) && refer < firstCoatIndex(v)
      ? null
      : fires({ criticality: watched.join(', ') });
  },
});
