import { mayHoldAsbestos } from '../../build.ts';
import { byRoute, bySurvey, fires, published, rule } from '../../rule.ts';
import { indexOf, stripIndex } from '../../view.ts';

/** Dark old filler, underseal and brake dust may hold asbestos: a sample is tested before they are scraped, sanded or blown. */
export const asbestosTest = rule({
  id: 'prep.asbestos-test',
  severity: 'refuse',
  phase: 'prep',
  source: published('asbestos regulations of your country'),
  safety: true,
  remedies: [bySurvey('oldFiller'), byRoute],
  check: (v) => {
    if (!mayHoldAsbestos(v.survey) || stripIndex(v) < 0) return null;
    const test = indexOf(v, 'test', 'asbestos');
    return test >= 0 && test < stripIndex(v) ? null : fires();
  },
});
