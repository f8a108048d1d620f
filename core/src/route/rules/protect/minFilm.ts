import { asks, byRoute, bySurvey, fires, fromMemory, rule } from '../../rule.ts';
import { paintOf, totalUm } from '../../view.ts';
import { leastFilm } from '../../exposure.ts';

/** The film must reach what the exposure asks of this system. */
export const minFilm = rule({
  id: 'protect.min-film',
  severity: 'refuse',
  phase: 'route',
  source: fromMemory('ISO 12944-5:2018, minimum film by category and durability'),
  remedies: [bySurvey('category'), byRoute],
  check: (v) => {
    if (v.coats.length === 0) return null;
    const need = leastFilm(v);
    if (need.kind === 'ask') return asks('category');
    if (need.kind !== 'scope') return null;
    const um = paintOf(v).reduce((sum, c) => sum + totalUm(c), 0);
    return um < need.um ? fires({ um, needUm: need.um, category: v.survey.category }) : null;
  },
});
