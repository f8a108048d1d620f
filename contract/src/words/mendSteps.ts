import type { MendStepId } from '@calvetta/core';

export const MEND_STEP_WORDS: Readonly<Record<MendStepId, string>> = {
  'warm-and-wait': 'keep it warm and wait',
  'blade-off': 'shave the run off with a blade, flat to the film',
  'flat-fine': 'flat it with P1200, then P1500 and P3000, along the run',
  flat: 'flat it with P400 wet',
  polish: 'compound, then polish',
  'sand-to-sound': 'sand down until nothing of it is left',
  fill: 'fill and block it; log each cycle',
  'wash-warm': 'wash with warm water and a drop of soap, rinse, dry',
  'take-off': 'let it dry, then take all of that coat off',
  strip: 'strip that face to clean metal',
  'wash-salts': 'wash with clean water, dry, test for salt',
  abrade: 'abrade all over',
  wipe: 'wipe with solvent',
  'prime-anew': 'prime within the bare clock',
  'coat-again': 'coat again',
  'test-again': 'test it with the nail',
};
