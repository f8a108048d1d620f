import type { CareFound, CareJob } from '@calvetta/core';

interface CareWords {
  readonly name: string;
  /** What to do and to look for. */
  readonly how: string;
  readonly caution?: string;
}
export const CARE_WORDS: Readonly<Record<CareJob, CareWords>> = {
  look: {
    name: 'yearly look',
    how: 'Wash it, walk round it in flat light: rust, blisters, cracks, chalk, knocks. A picture each year tells more than words.',
  },
  edges: {
    name: 'joints and edges',
    how: 'Along seams, rivets, bolts and sharp edges: rust weeping out, paint lifting, sealer open.',
  },
  'cavity-wax': {
    name: 'cavity wax',
    how: 'Renew the wax in closed sections before the wet half of the year, on a dry day; let it creep.',
    caution: 'Wax mist burns: no ignition, ventilate, keep it off brakes, belts and hot exhausts.',
  },
  drains: {
    name: 'drains',
    how: 'Push a wire through every drain, hose it through, see it run out below.',
  },
  'wash-salt': {
    name: 'wash the salt off',
    how: 'Clean water, plenty, from below as well; dry it.',
  },
  'oil-bright': {
    name: 'oil on bright faces',
    how: 'Wipe off, look for stains, oil anew.',
    caution: 'Oily rags catch fire by themselves: into a lidded metal bin.',
  },
};
export const CARE_FOUND_WORDS: Readonly<Record<CareFound, string>> = {
  nothing: 'nothing found',
  something: 'something found',
};
