import type { Applicator, BatchMode, Content, WorkShape } from '@calvetta/core';

/** What the person has chosen so far. Texts are as typed. */
export interface MixJob {
  readonly key: string;
  readonly mode: BatchMode;
  readonly partIds: readonly string[];
  readonly volume: string;
  readonly by: Applicator;
  readonly shape: WorkShape;
  /** Null: as suggested. */
  readonly thin: string | null;
  readonly cupId: string | null;
  readonly placeId: string | null;
  readonly tins: Readonly<Partial<Record<Content, string>>>;
  /** What is in the cup already, when a pour went over. */
  readonly poured: Readonly<Record<'a' | 'b' | 'thinner', string>> | null;
}
export const FIRST_JOB: MixJob = {
  key: '',
  mode: 'parts',
  partIds: [],
  volume: '',
  by: 'hvlp',
  shape: 'flat',
  thin: null,
  cupId: null,
  placeId: null,
  tins: {},
  poured: null,
};
