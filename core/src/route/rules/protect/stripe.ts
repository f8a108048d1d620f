import { asks, byRoute, bySurvey, fires, fromMemory, rule } from '../../rule.ts';
import { has, indexOf } from '../../view.ts';

/** Edges, welds and rivets pull paint thin: stripe them by brush from C3 up. */
export const stripe = rule({
  id: 'protect.stripe',
  severity: 'refuse',
  phase: 'route',
  source: fromMemory('ISO 12944-3 and -7'),
  remedies: [bySurvey('category'), byRoute],
  check: (v) => {
    if (
      !(has(v, 'welds-rivets') || has(v, 'thin-edges')) ||
      v.coats.length === 0 ||
      indexOf(v, 'stripe') >= 0
    )
      return null;
    const c = v.survey.category;
    return c === 'unknown' ? asks('category') : c === 'C1' || c === 'C2' ? null : fires({ category: c });
  },
});
