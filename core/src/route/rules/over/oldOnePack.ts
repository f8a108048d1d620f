import { asks, byRoute, bySurvey, COMMON_PRACTICE, fires, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** Old one-pack paint under a two-pack lifts unless a solvent rub leaves it alone and a barrier epoxy goes between. */
export const oldOnePack = rule({
  id: 'over.old-one-pack',
  severity: 'refuse',
  phase: 'route',
  source: COMMON_PRACTICE,
  remedies: [bySurvey('coatKind'), bySurvey('solventRub'), byRoute],
  check: (v) => {
    const first = firstCoat(v);
    if (!v.keeps || !first) return null;
    if (first.family.sheet.packs === 1 && first.family.traits.overOldPaint) return null;
    const kind = v.survey.coatKind;
    if (kind === 'two-pack' && first.family.traits.overOldPaint) return null;
    if (!first.family.traits.overOldPaint) return fires({ above: first.family.sheet.name });
    return v.survey.solventRub === 'passed'
      ? null
      : v.survey.solventRub === 'failed'
        ? fires({ above: first.family.sheet.name })
        : asks('solventRub');
  },
});
