import type { RouteStep } from '../../route.ts';
import type { Cases } from '../../test/cases.ts';

const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'A' } as const;

const SOAKED = { substrate: 'grey-iron', oil: 'soaked' } as const;
/** Somebody warms it all the same. */
const warmed = (x: readonly RouteStep[]): RouteStep[] =>
  x.flatMap((s) => (s.kind === 'inspect' ? [{ ...s, kind: 'degrease' as const, what: 'warm-out' }, s] : [s]));

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'prep.degrease-first': {
    fires: [{ drop: 'degrease' }, { move: ['strip', 'degrease'] }],
    clear: [{}, { m: ['chelating-bath'] }],
    unknown: 'never',
  },
  'prep.glue-first': {
    fires: [
      { s: { glue: 'yes' }, drop: 'degrease:glue' },
      { s: { glue: 'unknown' }, drop: 'degrease:glue' },
    ],
    clear: [{ s: { glue: 'yes' } }, {}],
    unknown: 'never',
  },
  'prep.zinc-salts': {
    fires: [
      {
        s: { coating: 'sound', coatKind: 'two-pack', rust: 'A', priorPrimer: 'zinc-rich', primerDays: 3 },
        m: ['keep'],
        drop: 'wash:zinc-salts',
      },
    ],
    clear: [
      {
        s: { coating: 'sound', coatKind: 'two-pack', rust: 'A', priorPrimer: 'zinc-rich', primerDays: 3 },
        m: ['keep'],
      },
      {
        s: { coating: 'sound', coatKind: 'two-pack', rust: 'A', priorPrimer: 'zinc-rich', primerDays: 2 },
        m: ['keep'],
        drop: 'wash:zinc-salts',
      },
    ],
    unknown: 'never',
  },
  'prep.conversion-first': {
    fires: [{ s: { substrate: 'aluminium-wrought' }, m: ['hand'], p: 'conversion' }],
    clear: [{ s: { substrate: 'aluminium-wrought', category: 'C1' }, m: ['hand'], p: 'conversion' }],
    unknown: 'never',
  },
  'prep.salt-test': {
    fires: [{ s: { salt: 'yes' }, drop: 'test:salt' }],
    clear: [{ s: { salt: 'yes' } }],
    unknown: [{ s: { salt: 'unknown' }, drop: 'test:salt' }],
  },
  'prep.flash-rust': {
    fires: [
      {
        edit: (x) =>
          x.flatMap((s) => (s.what === 'dust' ? [s, { ...s, kind: 'repair' as const, waitHours: 0 }] : [s])),
      },
    ],
    clear: [{}],
    unknown: 'never',
  },
  'prep.inspect-bare': {
    fires: [{ s: { criticality: ['pressure'] }, drop: 'refer:inspection' }],
    clear: [{ s: { criticality: ['pressure'] } }],
    unknown: 'never',
  },
  'prep.record-first': { fires: [{ s: OLD, drop: 'record' }], clear: [{ s: OLD }], unknown: 'never' },
  'prep.test-fit': {
    fires: [{ s: { features: ['close-fit'] }, drop: 'test-fit' }],
    clear: [{ s: { features: ['close-fit'] } }],
    unknown: 'never',
  },
  'prep.warm-out': {
    fires: [
      { s: { ...SOAKED, features: ['seals'] }, edit: warmed },
      { s: { ...SOAKED, assembled: 'yes' }, m: ['hand'], edit: warmed },
    ],
    clear: [{ s: SOAKED }],
    unknown: 'never',
  },
  'prep.bare-first': {
    fires: [{ move: ['strip', 'topcoat'] }],
    clear: [{}],
    unknown: 'never',
  },
  'prep.openings': {
    fires: [{ s: { assembled: 'yes' }, m: ['hand'], drop: 'mask:openings' }],
    clear: [{ s: { assembled: 'yes' }, m: ['hand'] }, {}],
    unknown: [{ s: { assembled: 'unknown' }, m: ['hand'], drop: 'mask:openings' }],
  },
  'prep.asbestos-test': {
    fires: [
      { s: { ...OLD, oldFiller: 'yes' }, drop: 'test:asbestos' },
      { s: { alsoOn: ['underseal'] }, m: ['scrape'], drop: 'test:asbestos' },
      { s: { kind: 'wheel-brake' }, drop: 'test:asbestos' },
    ],
    clear: [{ s: { ...OLD, oldFiller: 'yes' } }, { s: OLD }],
    unknown: 'never',
  },
};
