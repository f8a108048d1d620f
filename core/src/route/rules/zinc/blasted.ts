import { byFacility, byRoute, fires, fromMemory, rule } from '../../rule.ts';
import { uses } from '../../view.ts';

/** Zinc-rich works only on steel blasted to Sa 2½ with a profile. */
export const blasted = rule({
  id: 'zinc.blasted',
  severity: 'refuse',
  phase: 'route',
  source: fromMemory('ISO 12944-5; ISO 8501-1 Sa 2½'),
  remedies: [byFacility('grit'), byRoute],
  check: (v) => {
    const zinc = v.coats.find((c) => c.family.traits.pigment === 'zinc-metal');
    if (!zinc) return null;
    return uses(v, 'grit-blast') ? null : fires();
  },
});
