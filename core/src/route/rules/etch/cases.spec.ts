import type { Cases } from '../../test/cases.ts';

const ETCH = 'etch-2k surfacer-2k gloss-2k*2';

/** Cases of the rules on this topic: each fires, is clear in a near miss, and asks where it can. */
export const CASES: Readonly<Record<string, Cases>> = {
  'etch.over-conversion': {
    fires: [{ s: { substrate: 'aluminium-wrought' }, m: ['hand'], p: 'conversion', l: ETCH }],
    clear: [{ s: { substrate: 'aluminium-wrought' }, m: ['hand'], l: ETCH }],
    unknown: 'never',
  },
  'etch.follower': {
    fires: [{ l: 'etch-2k epoxy-primer gloss-2k*2' }],
    clear: [{ l: 'etch-2k epoxy-aero gloss-2k*2' }],
    unknown: 'never',
  },
  'etch.filler-on': {
    fires: [{ l: 'etch-2k body-filler gloss-2k*2' }],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },
  'etch.alone': { fires: [{ l: 'etch-2k' }], clear: [{ l: ETCH }], unknown: 'never' },
  'etch.total-film': {
    fires: [{ l: 'etch-2k*2 surfacer-2k gloss-2k*2' }],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },
  'etch.school': {
    fires: [{ l: ETCH }, { l: ETCH, schools: { etch: 'harden-scuff' } }],
    clear: [{ l: 'etch-1k surfacer-2k gloss-2k*2' }],
    unknown: 'never',
  },
  'etch.wet-on-wet-listed': {
    fires: [
      {
        edit: (x) => x.map((s) => (s.familyId === 'gloss-2k' ? { ...s, policy: 'wet-on-wet' as const } : s)),
      },
    ],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },
  'etch.on-coat': {
    fires: [
      { l: 'epoxy-primer etch-2k surfacer-2k gloss-2k*2' },
      { l: 'gloss-2k etch-1k surfacer-2k gloss-2k*2' },
    ],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },
  'etch.over-filler': {
    fires: [{ l: 'body-filler etch-2k surfacer-2k gloss-2k*2' }],
    clear: [{ l: ETCH }],
    unknown: 'never',
  },
  'etch.die-cast': {
    fires: [{ s: { substrate: 'zinc-diecast' }, m: ['bead-blast'], l: ETCH }],
    clear: [{ s: { substrate: 'zinc-diecast' }, m: ['bead-blast'] }, { l: ETCH }],
    unknown: 'never',
  },
};
