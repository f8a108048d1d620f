import type { PlanBlock, PlanView } from '../view.ts';

/** Builders for tests only: a plan as it is drawn, small enough to be reckoned by hand. */
export const M = 60_000;
export const H = 60 * M;
export const block = (opId: string, from: number, to: number, over: Partial<PlanBlock> = {}): PlanBlock => ({
  opId,
  kind: 'degrease',
  what: null,
  spans: [{ fromMs: from * M, toMs: to * M }],
  people: 1,
  isLook: false,
  isMend: false,
  isDust: false,
  bares: false,
  runId: null,
  placeId: 'shed',
  coat: null,
  binds: { by: 'now', opId: null, edgeMs: null },
  ...over,
});
export const coat = (opId: string, from: number, to: number, handleH: number | null, areaM2 = 2): PlanBlock =>
  block(opId, from, to, {
    kind: 'prime',
    runId: 'r1',
    placeId: 'booth',
    coat: {
      name: 'Epoxy',
      bandColour: '#888',
      no: 1,
      of: 1,
      cautions: [],
      opensMs: null,
      shutsMs: null,
      slackMs: null,
      touchMs: to * M,
      handleMs: handleH === null ? null : handleH * H,
      air: 'pass',
      odds: null,
      mixedMl: null,
      areaM2,
    },
  });
export const lane = (partId: string, blocks: readonly PlanBlock[]) => ({
  partId,
  name: partId.toUpperCase(),
  machineId: 'm',
  blocks,
  warmsMs: 0,
  finishedMs: null,
});
const hand = (name: string | null, sprays: boolean) => ({ name, sprays, isMasked: sprays, blasts: true });
/** Two evenings of three hours, a day apart. */
export const sessions = (names: readonly (string | null)[]) =>
  [0, 24].map((h) => ({
    fromMs: h * H,
    toMs: (h + 3) * H,
    people: names.length,
    takenMs: 0,
    who: names.map((n, i) => hand(n, i === 0)),
  }));
export const run = {
  runId: 'r1',
  fromMs: 10 * M,
  toMs: 100 * M,
  name: 'Epoxy',
  bandColour: '#888',
  colour: null,
  tool: 'gun',
  placeId: 'booth',
  placeName: 'Booth',
  parts: ['A', 'B'],
  partIds: ['a', 'b'],
  jobKey: 'k',
  mixes: 1,
  mixedMl: null,
  mix: null,
};
export const view = (over: Partial<PlanView>): PlanView =>
  ({
    sessions: sessions(['Ines', 'Tom']),
    endMs: 48 * H,
    places: [
      { placeId: 'shed', name: 'Shed' },
      { placeId: 'booth', name: 'Booth' },
      { placeId: 'yard', name: 'Yard' },
    ],
    lanes: [],
    runs: [],
    heated: [],
    ...over,
  }) as PlanView;
