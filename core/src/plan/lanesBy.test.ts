import { describe, expect, it } from '@jest/globals';
import { personLanes, placeLanes } from './lanesBy.ts';
import { nightsOf } from './nights.ts';
import { block, coat, H, lane, run, sessions, view } from './test/view.ts';

const WORK = view({
  lanes: [
    lane('a', [block('a/clean', 0, 30), coat('a/prime/1', 40, 60, 20)]),
    lane('b', [block('b/clean', 10, 40), coat('b/prime/1', 60, 80, 30)]),
    lane('c', [block('c/clean', 45, 60)]),
  ],
  runs: [run],
});

describe('lanes of places', () => {
  const lanes = placeLanes(WORK);
  it('a gun-load is one block where it is laid, other work a block each; a place with nothing to do has no lane', () => {
    expect(lanes.map((l) => [l.name, l.rows.flat().map((b) => b.opId)])).toEqual([
      ['Shed', ['a/clean', 'c/clean', 'b/clean']],
      ['Booth', ['a/prime/1']],
    ]);
    expect(lanes[1]!.rows[0]![0]!.run).toBe(run);
  });
  it('what overlaps stands in rows: never two at the same time in one, and no more rows than lie together at once', () => {
    expect(lanes[0]!.rows.map((r) => r.map((b) => b.opId))).toEqual([['a/clean', 'c/clean'], ['b/clean']]);
  });
});

describe('lanes of people', () => {
  it('every piece of work is in exactly one of them, the paint with who sprays', () => {
    const lanes = personLanes(WORK)!;
    const of = Object.fromEntries(
      lanes.map((l) => [l.name, l.rows.flat().map((b) => b.run?.runId ?? b.opId)]),
    );
    expect(of['Ines']).toContain('r1');
    expect(Object.values(of).flat().sort()).toEqual(['a/clean', 'b/clean', 'c/clean', 'r1']);
  });
  it('two who are counted and not named have none', () =>
    expect(
      personLanes(view({ sessions: sessions([null, null]), lanes: WORK.lanes, runs: [run] })),
    ).toBeNull());
});

describe('what stands overnight', () => {
  it('films that may not be handled when the session ends, with until when and how large', () => {
    const [first, last] = nightsOf(WORK);
    expect(first).toEqual({
      index: 0,
      fromMs: 3 * H,
      toMs: 24 * H,
      parts: [
        { partId: 'a', name: 'A', untilMs: 20 * H },
        { partId: 'b', name: 'B', untilMs: 30 * H },
      ],
      areaM2: 4,
    });
    // The second evening ends at 27:00: only B is still soft.
    expect(last!.parts.map((p) => p.name)).toEqual(['B']);
    expect([last!.fromMs, last!.toMs]).toEqual([27 * H, 48 * H]);
  });
  it('a coat that covers another counts once, the faces of a part that lies each for itself', () => {
    const covered = view({ lanes: [lane('a', [coat('a/p/1', 0, 10, 10), coat('a/p/2', 60, 70, 12)])] });
    expect(nightsOf(covered)[0]).toMatchObject({ areaM2: 2, parts: [{ untilMs: 12 * H }] });
    const lying = view({ lanes: [lane('a', [coat('a/p/1', 0, 10, 10, 1), coat('a/p:b/1', 60, 70, 12, 1)])] });
    expect(nightsOf(lying)[0]).toMatchObject({ areaM2: 2, parts: [{ untilMs: 12 * H }] });
  });
  it('a film of which nobody knows stands past the end', () => {
    const unknown = view({ lanes: [lane('a', [coat('a/p/1', 0, 10, null)])] });
    expect(nightsOf(unknown)[1]).toMatchObject({ parts: [{ untilMs: null }] });
  });
});
