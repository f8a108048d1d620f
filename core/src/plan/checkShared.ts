import { mixClock } from '../cure/potLife.ts';
import { MINUTE_MS, type Span } from '../base/time.ts';
import type { Hand, PlanOp } from './problem.ts';
import { MIX_MIN, RUN_MIN } from '../work/minutes.ts';
import { endOf, NEAR_MS, overlap, say, SETTLES_MS, startOf, type Coated, type Judged } from './checkTypes.ts';

/** Sessions, and at every moment of them no more hands than there are. */
export function hands(j: Judged): void {
  const { sessions } = j.problem;
  const byId = new Map(j.problem.parts.flatMap((p) => p.ops.map((o) => [o.opId, o] as const)));
  const taken: (Span & {
    readonly people: number;
    /** Who may do it, of those who are there. */
    readonly asks: (h: Hand) => boolean;
    readonly isSkilled: boolean;
    readonly opIds: readonly string[];
  })[] = [
    ...j.works.flatMap(({ item }) =>
      item.spans.map((s) => ({
        ...s,
        people: item.people,
        ...skillAsked(byId.get(item.opId)),
        opIds: [item.opId],
      })),
    ),
    ...j.plan.runs.map((r) => ({
      fromMs: r.fromMs,
      toMs: r.toMs,
      people: 1,
      ...runAsks(r.opIds.flatMap((id) => byId.get(id) ?? [])),
      opIds: r.opIds,
    })),
  ];
  for (const t of taken) {
    const session = sessions.find((s) => s.fromMs <= t.fromMs && t.toMs <= s.toMs);
    if (!session) {
      say(j, 'session', t.opIds, t.fromMs, null);
      continue;
    }
    const now = taken.filter((o) => o.fromMs <= t.fromMs && t.fromMs < o.toMs);
    const people = now.reduce((n, o) => n + o.people, 0);
    if (people > session.people)
      say(
        j,
        'people',
        now.flatMap((o) => o.opIds),
        people,
        session.people,
      );
    const skilled = now.filter((o) => o.isSkilled);
    const manned = matched(
      skilled.map((o) => o.asks),
      session.who,
    );
    if (manned < skilled.length)
      say(
        j,
        'painters',
        skilled.flatMap((o) => o.opIds),
        skilled.length,
        manned,
      );
  }
}

const isPoison = (op: PlanOp): boolean =>
  (op.coat?.sheet.cautions.includes('isocyanate') ?? false) &&
  (op.coat!.tool === 'gun' || op.coat!.tool === 'aerosol');
const runAsks = (ops: readonly PlanOp[]) => ({
  isSkilled: true,
  asks: ops.some(isPoison) ? (h: Hand) => h.isMasked : (h: Hand) => h.sprays,
});
const skillAsked = (op: PlanOp | undefined) => {
  const isBlast = op?.kind === 'strip' && (op.what === 'sweep' || (op.what?.includes('blast') ?? false));
  return { isSkilled: isBlast, asks: (h: Hand) => h.blasts };
};

/** How many jobs find somebody of their own who may do them: the largest matching, by augmenting paths (Kuhn 1955). */
function matched(jobs: readonly ((h: Hand) => boolean)[], who: readonly Hand[]): number {
  const jobOf = new Array<number>(who.length).fill(-1);
  const seat = (job: number, seen: Set<number>): boolean =>
    who.some((h, k) => {
      if (!jobs[job]!(h) || seen.has(k)) return false;
      seen.add(k);
      if (jobOf[k]! >= 0 && !seat(jobOf[k]!, seen)) return false;
      jobOf[k] = job;
      return true;
    });
  return jobs.filter((_, i) => seat(i, new Set())).length;
}

const sprays = ({ op }: Coated): boolean =>
  op.coat!.sheet.cautions.includes('isocyanate') && (op.coat!.tool === 'gun' || op.coat!.tool === 'aerosol');

/** What shares a place's air. */
export function air(j: Judged): void {
  const airOf = (placeId: string): string => j.problem.airs[placeId] ?? placeId;
  for (const c of j.coats) {
    const wet = { fromMs: startOf(c.item), toMs: c.touchMs };
    const poison = { fromMs: startOf(c.item), toMs: endOf(c.item) + SETTLES_MS };
    for (const w of j.works) {
      if (airOf(w.placeId) !== airOf(c.placeId)) continue;
      for (const s of w.item.spans) {
        const dusty = { ...s, toMs: s.toMs + SETTLES_MS };
        if (w.isDust && (overlap(s, wet) || (dusty.toMs > wet.fromMs && dusty.fromMs <= wet.fromMs)))
          say(j, 'dust', [c.op.opId, w.item.opId], wet.fromMs, dusty.toMs);
        if (w.isHot && overlap(s, wet)) say(j, 'fire', [w.item.opId, c.op.opId], s.fromMs, wet.toMs);
        if (sprays(c) && overlap(s, poison))
          say(j, 'isocyanate', [w.item.opId, c.op.opId], s.fromMs, poison.toMs);
      }
    }
    if (sprays(c))
      for (const o of j.coats)
        if (
          o !== c &&
          airOf(o.placeId) === airOf(c.placeId) &&
          !sprays(o) &&
          overlap({ fromMs: startOf(o.item), toMs: endOf(o.item) }, poison)
        )
          say(j, 'isocyanate', [o.op.opId, c.op.opId], startOf(o.item), poison.toMs);
    room(j, c);
  }
  flames(j, airOf);
  oils(j, airOf);
}

/** No wax and no oil while metal lies bare or film is wet in the same air, nor in the half hour before. */
function oils(j: Judged, airOf: (placeId: string) => string): void {
  const laid = [
    ...j.works.flatMap(({ oils, placeId, item }) =>
      oils ? item.spans.map((s) => ({ ...s, placeId, opId: item.opId })) : [],
    ),
    ...j.coats.flatMap((c) =>
      c.op.oils
        ? [{ fromMs: startOf(c.item), toMs: endOf(c.item), placeId: c.placeId, opId: c.op.opId }]
        : [],
    ),
  ];
  const minds = [
    ...j.bared,
    ...j.coats.flatMap((c) =>
      c.op.oils ? [] : [{ fromMs: startOf(c.item), toMs: c.touchMs, placeId: c.placeId, opId: c.op.opId }],
    ),
  ];
  for (const o of laid)
    for (const m of minds)
      if (airOf(o.placeId) === airOf(m.placeId) && overlap({ ...o, toMs: o.toMs + SETTLES_MS }, m))
        say(j, 'oil', [o.opId, m.opId], o.fromMs, m.toMs);
}

/** No flame and no sparks while solvent is open in the same air, nor for half an hour after. */
function flames(j: Judged, airOf: (placeId: string) => string): void {
  for (const hot of j.works.filter((w) => w.isHot))
    for (const open of j.works.filter((w) => w.usesSolvent && airOf(w.placeId) === airOf(hot.placeId)))
      for (const h of hot.item.spans)
        for (const s of open.item.spans)
          if (overlap(h, { ...s, toMs: s.toMs + SETTLES_MS }))
            say(j, 'fire', [hot.item.opId, open.item.opId], h.fromMs, s.toMs + SETTLES_MS);
}

function room(j: Judged, c: Coated): void {
  const { roomM2 } = j.problem.ask;
  if (roomM2 === null) return;
  const area = (o: Coated): number => o.op.coat!.areaM2 ?? 0.5;
  const atMs = startOf(c.item);
  const now = j.coats.filter((o) => startOf(o.item) <= atMs && atMs < o.handleMs);
  // The coat before on the same part hangs on the same hook.
  const sum = now
    .filter(
      (o) => !now.some((x) => x !== o && x.op.partId === o.op.partId && startOf(x.item) > startOf(o.item)),
    )
    .reduce((m, o) => m + area(o), 0);
  if (now.length > 1 && sum > roomM2 + 1e-6) say(j, 'room', [c.op.opId], sum, roomM2);
}

export function runs(j: Judged): void {
  const byOp = new Map(j.coats.map((c) => [c.op.opId, c]));
  const inRuns = new Set(j.plan.runs.flatMap((r) => r.opIds));
  for (const c of j.coats) if (!inRuns.has(c.op.opId)) say(j, 'run', [c.op.opId], null, null);
  for (const r of j.plan.runs) {
    const coats = r.opIds
      .flatMap((id) => byOp.get(id) ?? [])
      .sort((a, b) => startOf(a.item) - startOf(b.item));
    const first = coats[0];
    if (!first || coats.length !== r.opIds.length) {
      say(j, 'run', r.opIds, coats.length, r.opIds.length);
      continue;
    }
    const { setUp, cleanUp } = RUN_MIN[r.tool];
    coats.forEach((c, i) => {
      const coat = c.op.coat!;
      const isSame =
        coat.sheet.sheetId === r.sheetId &&
        coat.colour === r.colour &&
        coat.tool === r.tool &&
        c.placeId === r.placeId;
      const isAfter = i === 0 || startOf(c.item) >= endOf(coats[i - 1]!.item);
      if (!isSame || !isAfter || c.item.runId !== r.runId) say(j, 'run', [c.op.opId], startOf(c.item), null);
    });
    const last = coats[coats.length - 1]!;
    const setUpEnd = r.fromMs + (setUp + MIX_MIN) * MINUTE_MS;
    if (startOf(first.item) < setUpEnd - NEAR_MS)
      say(j, 'run', [first.op.opId], startOf(first.item), setUpEnd);
    if (endOf(last.item) + cleanUp * MINUTE_MS > r.toMs + NEAR_MS)
      say(j, 'run', [last.op.opId], r.toMs, endOf(last.item));
    potLife(j, r.mixes, coats);
  }
}

/** One mix lasts from its mixing to the last wet pass; more than one are made as they are needed. */
function potLife(j: Judged, mixes: number, coats: readonly Coated[]): void {
  const first = coats[0]!;
  const last = coats[coats.length - 1]!;
  const track = j.problem.parts.find((p) => p.partId === first.op.partId)!;
  const surface =
    track.carry && first.placeId === track.carry.placeId
      ? track.carry.surfaceFrom(startOf(first.item))
      : track.surface;
  const { gone, usable } = mixClock(
    first.op.coat!.sheet,
    startOf(first.item) - MIX_MIN * MINUTE_MS,
    surface.track,
  );
  if (gone === null) return;
  const standsMs = (usable.worstMs ?? startOf(first.item)) - (startOf(first.item) - MIX_MIN * MINUTE_MS);
  const livesMs = (gone.worstMs ?? 0) - (startOf(first.item) - MIX_MIN * MINUTE_MS) - standsMs;
  const neededMs = endOf(last.item) - startOf(first.item);
  // A long coat alone takes a second mix in the middle of it.
  if (mixes === 1 && coats.length > 1 && neededMs > livesMs + 5 * MINUTE_MS)
    say(
      j,
      'pot-life',
      coats.map((c) => c.op.opId),
      neededMs / MINUTE_MS,
      livesMs / MINUTE_MS,
    );
}

export function pins(j: Judged): void {
  for (const pin of j.problem.ask.pins) {
    const item = j.items.get(pin.opId);
    const session = j.problem.sessions.find((s) => s.fromMs === pin.sessionMs);
    // A part that is left out is said to be, with its pin.
    if (!item && j.plan.left.some((l) => pin.opId.startsWith(`${l.partId}/`))) continue;
    if (!item || !session || startOf(item) < (pin.fromMs ?? session.fromMs) || startOf(item) >= session.toMs)
      say(j, 'pin', [pin.opId], item ? startOf(item) : null, pin.fromMs ?? pin.sessionMs);
  }
}
