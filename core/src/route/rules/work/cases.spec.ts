import type { RouteStep, StepKind } from '../../route.ts';
import type { Cases } from '../../test/cases.ts';

const ZINC = 'zinc-epoxy gloss-2k*2';
const coat = (familyId: string, over = {}) => ({
  stepId: 'x',
  kind: 'topcoat' as const,
  familyId,
  coats: 1,
  dftUm: 40,
  hours: 1,
  waitHours: 0,
  cautions: [],
  ...over,
});

const end = (kind: StepKind, what: string): RouteStep => ({ ...coat(''), kind, what, coats: 0, dftUm: null });
const gate = (field: string, passes: readonly string[]): RouteStep => ({
  ...end('gate', field),
  gate: { field, passes, otherwise: null },
});

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'work.isocyanate': {
    fires: [
      {
        has: ['grit', 'gun'],
        edit: (x) => x.map((s) => (s.familyId === 'gloss-2k' ? { ...s, tool: 'gun' as const } : s)),
      },
    ],
    clear: [{ has: ['grit', 'gun'] }, {}],
    unknown: 'never',
  },
  'work.tool': {
    fires: [
      { edit: (x) => [...x, coat('cellulose', { tool: 'roller' })] },
      { s: { reach: 'brush' }, l: ZINC },
    ],
    clear: [{}],
    unknown: 'never',
  },
  'work.sand-cured': { fires: [{ l: 'epoxy-mastic surfacer-2k gloss-2k*2' }], clear: [{}], unknown: 'never' },
  'work.powder': {
    fires: [
      { l: 'powder', s: { assembled: 'yes' } },
      { l: 'powder', has: ['grit', 'gun', 'oven'] },
      { l: 'powder', s: { substrate: 'cast-steel' } },
      { l: 'powder', s: { substrate: 'aluminium-wrought', criticality: ['airworthy'] }, m: ['pad'] },
    ],
    clear: [{ l: 'powder' }],
    unknown: 'never',
  },
  'work.legacy-product': {
    fires: [{ l: 'red-lead linseed*3' }],
    clear: [{ l: 'red-lead linseed*3', has: ['grit', 'legacy-licence'] }],
    unknown: 'never',
  },
  'work.put-away': {
    fires: [{ putAway: ['epoxy-primer'], l: 'epoxy-primer gloss-2k*2' }],
    clear: [{ putAway: ['enamel'], l: 'epoxy-primer gloss-2k*2' }],
    unknown: 'never',
  },
  'work.control-surface': {
    fires: [{ s: { criticality: ['control-surface'] }, drop: 'refer:re-balance' }],
    clear: [{ s: { criticality: ['control-surface'] } }],
    unknown: 'never',
  },
  'work.tool-school': {
    fires: [{}],
    clear: [{ schools: { tool: 'brush' }, s: { finish: 'show' } }],
    unknown: 'never',
  },
  'work.assembly-school': {
    fires: [{}],
    clear: [{ s: { assembled: 'yes' }, m: ['hand'] }],
    unknown: 'never',
  },
  'work.cure-before-use': {
    fires: [{ edit: (x) => [...x.filter((s) => s.kind !== 'cure'), coat('', { kind: 'reassemble' })] }],
    clear: [{ edit: (x) => [...x, coat('', { kind: 'reassemble' })] }],
    unknown: 'never',
  },
  'work.unknown-product': {
    fires: [{ edit: (x) => [...x, coat('nobody-knows')] }],
    clear: [{}],
    unknown: 'never',
  },
  'work.no-coats': {
    fires: [{ l: '' }, { drop: 'prime', l: 'epoxy-mastic' }],
    clear: [{}, { l: '', edit: (x) => [...x, end('preserve', 'wax-film')] }],
    unknown: 'never',
  },
  'work.answer-here': {
    fires: [
      { l: '', edit: (x) => [...x, end('preserve', 'wax-patina')] },
      { l: '', edit: (x) => [...x, end('replace', 'new-fasteners')] },
    ],
    clear: [
      { s: { kind: 'fasteners' }, l: '', edit: (x) => [...x, end('replace', 'new-fasteners')] },
      {
        s: { coating: 'sound', rust: 'none' },
        m: [],
        l: '',
        edit: (x) => [...x, end('preserve', 'wax-patina')],
      },
      {},
    ],
    unknown: 'never',
  },
  'work.gate-place': {
    fires: [{ edit: (x) => [...x, gate('scale', ['no'])] }],
    clear: [{ edit: (x) => [gate('scale', ['no']), ...x] }],
    unknown: 'never',
  },
  'work.gate-failed': {
    fires: [{ s: { scale: 'yes' }, edit: (x) => [gate('scale', ['no']), ...x] }],
    clear: [
      { s: { scale: 'no' }, edit: (x) => [gate('scale', ['no']), ...x] },
      { s: { scale: 'unknown' }, edit: (x) => [gate('scale', ['no']), ...x] },
    ],
    unknown: 'never',
  },
};
