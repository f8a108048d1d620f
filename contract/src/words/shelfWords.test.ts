import { describe, expect, it } from '@jest/globals';
import {
  ACCEPTANCE,
  CONTENTS,
  FLOW_CUPS,
  GAUGE_ZEROS,
  PROFILES,
  STOCK_KINDS,
  THINNER_GRADES,
  TRANSFER,
  WASTE_REASONS,
  WORK_SHAPES,
} from '@calvetta/core';
import { STOCK_WORDS } from './entries.ts';
import * as words from './shelf.ts';

describe('every code of film, mix and shelf has its words, and no words stand for nothing', () => {
  it.each([
    ['CONTENT_WORDS', words.CONTENT_WORDS, CONTENTS],
    ['STOCK_WORDS', STOCK_WORDS, STOCK_KINDS],
    ['WASTE_WORDS', words.WASTE_WORDS, WASTE_REASONS],
    ['THINNER_WORDS', words.THINNER_WORDS, THINNER_GRADES],
    ['APPLICATOR_WORDS', words.APPLICATOR_WORDS, Object.keys(TRANSFER)],
    ['WORK_SHAPE_WORDS', words.WORK_SHAPE_WORDS, WORK_SHAPES],
    ['FLOW_CUP_WORDS', words.FLOW_CUP_WORDS, Object.keys(FLOW_CUPS)],
    ['ACCEPTANCE_WORDS', words.ACCEPTANCE_WORDS, ACCEPTANCE],
    ['ZERO_WORDS', words.ZERO_WORDS, GAUGE_ZEROS],
    ['PROFILE_WORDS', words.PROFILE_WORDS, PROFILES],
  ] as const)('%s', (_name, list, codes) => expect(Object.keys(list).sort()).toEqual([...codes].sort()));
});
