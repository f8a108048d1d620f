import { isFerrous } from '../../../products/traits.ts';
import { fires, fromMemory, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** A blasted profile holds best and shows every flaw: where it may be blasted, it is. */
export const blastFirst = rule({
  id: 'strip.blast-first',
  severity: 'prefer',
  phase: 'prep',
  source: fromMemory('ISO 8501-1, Sa 2½'),
  remedies: [],
  check: (v) => {
    return isFerrous(v.metal) && uses(v, 'grit-blast') ? fires() : null;
  },
});
