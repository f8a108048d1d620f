import type { Survey } from '../../part/survey.ts';
import { isAsked, SURVEY_GROUPS, SURVEY_SHAPES, type AskedField } from '../../part/surveySheet.ts';
import { advise, type Advice, type AdviseInput } from '../advise.ts';
import { GATES, isOpen } from '../gates.ts';
import { movesOf } from './moves.ts';

/** Figures that stand for all a field can be: where judgements part (common practice, no published source). */
const SAMPLES: Readonly<Partial<Record<AskedField, readonly number[]>>> = {
  thicknessMm: [0.8, 2, 8],
  massKg: [5, 40, 300],
  heatC: [60, 170, 500],
};
const samplesOf = (field: AskedField): readonly (string | number)[] => {
  const shape = SURVEY_SHAPES[field];
  if (shape.type !== 'choice') return SAMPLES[field] ?? [];
  const all = GATES.find((g) => g.field === field)?.values ?? shape.options;
  return all.filter((o) => o !== 'unknown');
};

/** Of two sets, the share of their members that only one of them has. */
function apart(gone: number, come: number, both: number): number {
  const all = gone + come + both;
  return all === 0 ? 0 : (gone + come) / all;
}

/** How far an advice moved, 0…1: most where another route leads, less where ways or families came or went. */
export function distance(before: Advice, after: Advice): number {
  const m = movesOf(before, after);
  const ways = new Set(after.routes.map((r) => r.way)).size;
  return (
    0.5 * Number(m.lead !== null) +
    0.3 * apart(m.ways.went.length, m.ways.came.length, ways) +
    0.2 * apart(m.families.went.length, m.families.came.length, after.refused.length)
  );
}

/**
 * How much an answer would change, 0…1: the mean over all it can be of how far the advice moves. One advice an answer: a page
 * asks field by field, between two frames. Pure.
 */
export function worthOf(input: AdviseInput, now: Advice, field: AskedField): number {
  const samples = samplesOf(field);
  if (samples.length === 0) return 0;
  const moved = samples.map((v) =>
    distance(now, advise({ ...input, survey: { ...input.survey, [field]: v } })),
  );
  return moved.reduce((sum, d) => sum + d, 0) / samples.length;
}

/** What the eye sees first on any part, in the order of a look (common practice): asked before what only arithmetic finds. */
const FIRST_LOOK: readonly AskedField[] = ['coating', 'rust', 'oil', 'category'];
export const MOST_QUESTIONS = 5;
/** Below this an answer moves nothing that a person would notice. */
const LEAST_WORTH = 0.04;

/** Fields that are open on this part and could be asked. */
export const openFields = (s: Survey): AskedField[] =>
  SURVEY_GROUPS.flatMap((g) => g.fields).filter(
    (f) => f !== 'kind' && isOpen(s, f) && isAsked(f, s) && samplesOf(f).length > 0,
  );

/**
 * The questions to put next, five at most: the first look as long as it is open, then whatever moves the answer most. `worth`:
 * of those worked out so far; `left`: those somebody left open. A look that a route rests on counts for more: it is done in any case.
 */
export function questionsNext(
  s: Survey,
  worth: ReadonlyMap<AskedField, number>,
  left: readonly AskedField[],
  gates: readonly string[],
): AskedField[] {
  const open = openFields(s).filter((f) => !left.includes(f));
  const first = FIRST_LOOK.filter((f) => open.includes(f));
  const rest = open
    .filter((f) => !first.includes(f))
    .map((f) => ({ f, w: (worth.get(f) ?? 0) + (gates.includes(f) ? 0.1 : 0) }))
    .filter((x) => x.w >= LEAST_WORTH)
    .sort((a, b) => b.w - a.w)
    .map((x) => x.f);
  return [...first, ...rest].slice(0, MOST_QUESTIONS);
}
