import type { ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { metalOf } from '../products/traits.ts';
import { isOilSpace } from './caps.ts';
import { hardnessOf } from '../part/kindFacts.ts';
import { COAT_KINDS_OF_STEP, OPEN_COATS, type RouteStep, type StepKind } from './route.ts';

/** How a route ends: with paint, or with something that is not paint. */
export type RouteAnswer =
  | 'paint'
  | 'preserve'
  | 'bare'
  | 'inside-only'
  | 'repair'
  | 'replace'
  | 'send'
  | 'refer'
  | 'watch';

/** An answer without paint that may be given for a part. */
export interface NotPaint {
  readonly answer: Exclude<RouteAnswer, 'paint'>;
  readonly what: string;
  /** It is what a good restorer would think of first here. */
  readonly leads: boolean;
  /** Rust and paint come off first. */
  readonly wantsBare: boolean;
  /** What is done to it, and how it is looked after. */
  readonly does: StepKind;
  readonly care: string | null;
}

const ENDS: Readonly<Record<string, RouteAnswer>> = {
  'leave-bare': 'bare',
  'bare-oiled': 'bare',
  'wax-inside': 'inside-only',
};
/** Steps that end a route without paint, the weightiest first. */
const ENDING: readonly StepKind[] = ['send', 'replace', 'preserve', 'repair'];

const PAINT = { kind: 'paint', what: 'paint' } as const;

/** How a route ends, and with what exactly; null: it does not end. */
export function answerOf(
  steps: readonly RouteStep[],
): { readonly kind: RouteAnswer; readonly what: string } | null {
  // From the last: coats stand at the end of a route, and this is asked of every one.
  for (let i = steps.length - 1; i >= 0; i--) {
    const s = steps[i]!;
    if ((COAT_KINDS_OF_STEP.includes(s.kind) && s.kind !== 'cavity') || s.what === OPEN_COATS) return PAINT;
  }
  for (const kind of ENDING) {
    const s = steps.findLast((x) => x.kind === kind);
    if (!s) continue;
    const what = s.what ?? '';
    return { kind: kind === 'preserve' ? (ENDS[what] ?? 'preserve') : (kind as RouteAnswer), what };
  }
  if (steps.some((s) => s.kind === 'cavity')) return { kind: 'inside-only', what: 'wax-inside' };
  const refer = steps.find((s) => s.kind === 'refer' && EXPERTS.includes(s.what ?? ''));
  if (refer) return { kind: 'refer', what: refer.what! };
  return steps.some((s) => s.kind === 'care' && s.what === 'look-yearly')
    ? { kind: 'watch', what: 'look-yearly' }
    : null;
}

/** Whom a part is referred to, where nothing here may be done to it. */
export const EXPERTS: readonly string[] = [
  'boiler-inspector',
  'fluid-maker',
  'radium',
  'cadmium',
  'magnesium-specialist',
  'licensed-engineer',
  'paint-maker',
];
/** The named expert of last resort: nothing holds here, and this is who to ask. */
export function expertFor(s: Survey): string {
  if (s.alsoOn.includes('luminous-paint')) return 'radium';
  if (s.plating === 'cadmium') return 'cadmium';
  if (s.criticality.includes('pressure')) return 'boiler-inspector';
  if (metalOf(s.substrate) === 'magnesium') return 'magnesium-specialist';
  if (s.criticality.some((c) => c === 'airworthy' || c === 'control-surface')) return 'licensed-engineer';
  return s.category === 'immersed' ? 'fluid-maker' : 'paint-maker';
}

const isSound = (s: Survey): boolean =>
  s.coating === 'sound' || (s.coating === 'partly' && (s.soundShare ?? 0.5) >= 0.5);
const isDry = (s: Survey): boolean => s.category === 'C1' || s.category === 'C2';

/** Answers without paint that this part may have, those that lead first (docs/surface.md 5; common practice). Pure. */
export function answersFor(s: Survey, means: ShopMeans): NotPaint[] {
  const out: NotPaint[] = [];
  const add = (
    answer: NotPaint['answer'],
    what: string,
    over: Partial<Pick<NotPaint, 'leads' | 'wantsBare' | 'does' | 'care'>> = {},
  ): void =>
    void out.push({ answer, what, leads: false, wantsBare: false, does: 'preserve', care: null, ...over });
  const isWet = s.category === 'immersed';
  const refer = (what: string): void =>
    add('refer', what, { leads: true, does: 'refer', care: 'look-yearly' });
  if (s.criticality.includes('pressure') && isWet) refer('boiler-inspector');
  if (s.fluids.some((f) => f === 'petrol' || f === 'potable' || f === 'brake-fluid')) refer('fluid-maker');
  if (s.alsoOn.includes('luminous-paint')) refer('radium');
  if (s.plating === 'cadmium') refer('cadmium');
  if (s.leaks === 'yes')
    add('repair', 'weld-or-braze', { leads: true, does: 'repair', care: 'then-survey-again' });
  if (isOilSpace(s)) add('bare', 'bare-oiled', { leads: true, care: 'renew-oil' });
  ofKind(s, add);
  if ((s.heatC ?? 0) > 600) {
    add('preserve', 'stove-polish', { leads: true, wantsBare: true, care: 'polish-again' });
    if (means.facilities.includes('contractor'))
      add('send', 'metal-spray', { wantsBare: true, does: 'send', care: null });
  }
  if (isSound(s) && s.finish !== 'show' && !isWet && !['C4', 'C5', 'CX'].includes(s.category))
    add('preserve', 'wax-patina', { care: 'wax-yearly' });
  if (s.concealed === 'yes' && isDry(s))
    add('preserve', 'wax-film', { wantsBare: true, care: 'look-yearly' });
  const isPlain = metalOf(s.substrate) === 'steel' && hardnessOf(s) === 'no' && s.assembled === 'no';
  if (isPlain && ['C4', 'C5'].includes(s.category) && means.facilities.includes('contractor') && !isClosed(s))
    add('send', 'galvanise', { does: 'send', wantsBare: false, care: 'look-yearly' });
  if (isSound(s) && ['none', 'A'].includes(s.rust)) add('watch', 'look-yearly', { does: 'care' });
  // Who to ask is never refused.
  add('refer', expertFor(s), { does: 'refer', care: 'look-yearly' });
  return out.filter((a, i) => out.findIndex((b) => b.answer === a.answer && b.what === a.what) === i);
}
/** A sealed hollow bursts in the zinc bath; seals, white metal and solder do not survive it (ISO 14713-2, from memory). */
const isClosed = (s: Survey): boolean =>
  s.features.some((f) =>
    ['box-section', 'seals', 'white-metal', 'solder', 'internals', 'close-fit'].includes(f),
  );

function ofKind(
  s: Survey,
  add: (
    answer: NotPaint['answer'],
    what: string,
    over?: Partial<Pick<NotPaint, 'leads' | 'wantsBare' | 'does' | 'care'>>,
  ) => void,
): void {
  switch (s.kind) {
    case 'fasteners':
      add('preserve', 'oil-film', { leads: true, wantsBare: true, care: 'renew-oil' });
      add('replace', 'new-fasteners', { does: 'replace' });
      if (hardnessOf(s) === 'no') add('send', 'plate', { does: 'send', wantsBare: true });
      return;
    case 'shaft-pin-rod':
      add('preserve', 'oil-film', { leads: true, wantsBare: true, care: 'renew-oil' });
      return;
    case 'spring':
      add('preserve', 'graphite', { wantsBare: true, care: 'renew-oil' });
      return;
    case 'radiator':
      add('bare', 'leave-bare', { care: 'look-yearly' });
      return;
    case 'bed-slide':
      add('preserve', 'oil-film', { care: 'renew-oil' });
      return;
    case 'wheel-brake':
      if (s.criticality.includes('brakes-steering')) add('replace', 'worn-brake-part', { does: 'replace' });
      return;
    default:
  }
}
