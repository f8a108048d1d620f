import type { Cases } from '../../test/cases.ts';

const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'A' } as const;

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'prep.degrease-first': {
    fires: [{ drop: 'degrease' }, { move: ['strip', 'degrease'] }],
    clear: [{}, { m: ['chelating-bath'], drop: 'degrease' }],
    unknown: 'never',
  },
  'prep.oil-soaked': {
    fires: [{ s: { oil: 'soaked' }, drop: 'degrease:again' }],
    clear: [{ s: { oil: 'soaked' } }],
    unknown: [{ s: { substrate: 'grey-iron', oil: 'unknown' }, drop: 'degrease:again' }],
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
  'prep.warm-out': {
    fires: [{ s: { oil: 'soaked', features: ['seals'] } }],
    clear: [{ s: { oil: 'soaked' } }],
    unknown: 'never',
  },
  'prep.phosphate-metals': {
    fires: [{ s: { substrate: 'aluminium-cast' }, p: 'phosphate' }],
    clear: [{ p: 'phosphate' }],
    unknown: 'never',
  },
  'prep.conversion-metals': {
    fires: [{ p: 'conversion' }],
    clear: [{ s: { substrate: 'aluminium-cast' }, p: 'conversion' }],
    unknown: 'never',
  },
  'prep.conversion-first': {
    fires: [{ s: { substrate: 'aluminium-wrought' }, m: ['hand'], p: 'conversion' }],
    clear: [{ s: { substrate: 'aluminium-wrought', category: 'C1' }, m: ['hand'], p: 'conversion' }],
    unknown: 'never',
  },
  'prep.galvanised': {
    fires: [{ s: { substrate: 'galvanised' }, m: ['disc'], drop: 'abrade' }],
    clear: [{ s: { substrate: 'galvanised' }, m: ['disc'], p: 't-wash' }],
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
          x.flatMap((s) => (s.kind === 'wash' ? [s, { ...s, kind: 'repair' as const, waitHours: 0 }] : [s])),
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
  'prep.blast-dust': { fires: [{ drop: 'wash' }], clear: [{ m: ['disc'] }], unknown: 'never' },
  'prep.key-old': {
    fires: [{ s: OLD, m: ['keep'], drop: 'abrade' }],
    clear: [{ s: OLD, m: ['keep'] }],
    unknown: 'never',
  },
};
