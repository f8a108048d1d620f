import { plannedFor } from '../bench/face.ts';
import { filmFacts, testsOf } from '../bench/film.ts';
import type { FaceResult } from '../bench/part.ts';
import type { BareLimit } from '../cure/bare.ts';
import { windowRule } from '../cure/windows.ts';
import { standingFacts, type Face } from '../facts/part.ts';
import type { ProductSheet } from '../products/sheet.ts';
import type { Tool } from '../products/traits.ts';
import { traitsOf } from '../products/traitsByBinder.ts';
import type { Capacity } from '../part/shopMeans.ts';
import { placeOfAct } from '../route/facilities.ts';
import { OPEN_COATS } from '../route/route.ts';
import { actOf } from '../route/surface/acts.ts';
import type { DerivedPart } from '../shop/part.ts';
import { paceFor } from '../shop/pace.ts';
import { coatNeedMl, colourFor } from '../shop/shelf.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { stepsNow, type StepNow } from '../shop/stepsNow.ts';
import { newestSurvey } from '../shop/survey.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { layMinutes, usualTool } from '../work/minutes.ts';
import { SECOND } from './ids.ts';
import type { FilmNow, PlanAsk, PlanAsks, PlanCoat, PlanLack, PlanOp, PlanPart, Under } from './problem.ts';
import { firstHalf, lies, secondHalf, upNow } from './sides.ts';
import { baredBy, fetchOp, isTrip, moveOp, NOT_WORK, stepOp, tripOps, work } from './steps.ts';
import { GUN_HOLDS, liftOf, type Lift } from './things.ts';

/** What is left to do on a part, what keeps the rest of it out of a plan, and how it stands now. */
export interface Chain {
  readonly ops: readonly PlanOp[];
  readonly asks: readonly PlanAsks[];
  readonly films: readonly FilmNow[];
  readonly bare: PlanPart['bare'];
}

const isCoat = ({ step }: StepNow): boolean => step.sheetId !== null && step.coats > 0;

/** Writes a part's chain: what is done is gone, and where nothing certain can be said the chain ends with an ask. */
class Writer implements Chain {
  readonly ops: PlanOp[] = [];
  readonly asks: PlanAsks[] = [];
  readonly films: readonly FilmNow[];
  readonly bare: PlanPart['bare'];
  private readonly snapshot: Snapshot;
  private readonly part: DerivedPart;
  /** Its faces are coated one after the other, and it is turned between them. */
  private readonly lies: boolean;
  /** The face that lies up; null: as one likes. */
  private up: Face | null;
  /** All that prepares its bare metal, done or not: of a part that lies its second face is prepared for itself. */
  private prepared: readonly PlanOp[] = [];
  private turns = 0;
  /** It is with somebody who works for the shop, and has not been fetched. */
  private trip: PlanOp | null = null;
  private readonly carryTo: string | null;
  /** What coats are laid on with where it can be; null: as the route says. */
  private readonly tool: Tool | null;
  /** What is on each face by then. */
  private readonly top = new Map<Face, Under>();

  constructor(snapshot: Snapshot, part: DerivedPart, ask: Pick<PlanAsk, 'coatPlaceId' | 'tool'>) {
    this.carryTo = ask.coatPlaceId === part.placeId ? null : ask.coatPlaceId;
    this.tool = ask.tool ?? null;
    this.snapshot = snapshot;
    this.part = part;
    for (const f of part.state.faces) this.top.set(f.face, underOf(part, f, snapshot));
    this.films = [...this.top.values()].flatMap((u) => (u.kind === 'film' ? [u.film] : []));
    this.lies = lies(part, snapshot.shop.workshop.means.capacity);
    this.up = upNow(part);
    // The face that comes second is prepared anew, however long it has been bare.
    this.bare = this.lies && this.up !== null ? null : bareNow(part);
  }

  ask(lack: PlanLack, stepId: string | null = null): void {
    const { partId, name } = this.part.row;
    this.asks.push({ partId, name, lack, stepId });
  }

  /** Home from where it was sent: whatever was to be done before it left is not done any more. What is to be done then. */
  private sentHome(steps: readonly StepNow[]): readonly StepNow[] {
    if (!this.part.state.lead.sent) return steps;
    const at = steps.findIndex((s) => s.record?.status === 'to-come' && isTrip(s.step));
    const trip = at < 0 ? null : steps[at]!.step;
    const lift = this.lift(trip?.stepId ?? null);
    if (!lift) return [];
    this.trip = fetchOp(this.part, lift, trip && baredBy(this.part, trip), trip);
    return at < 0 ? steps : steps.slice(at + 1);
  }

  /** All its steps, until one of which nothing can be said. */
  write(all: readonly StepNow[]): void {
    const steps = this.sentHome(all);
    const first = steps.findIndex((s) => baredBy(this.part, s.step) !== null);
    const coat = steps.findIndex(isCoat);
    if (this.lies && first >= 0)
      this.prepared = steps.slice(first, coat).map((s) => this.stepOp(s, baredBy(this.part, s.step)));
    for (const now of steps) {
      if (!this.isOnTrip(now)) this.fetched();
      if (now.step.what === OPEN_COATS) {
        this.ask('open-colour', now.step.stepId);
        break;
      }
      if (!this.step(now)) break;
    }
    this.fetched();
  }

  /** False: nothing can be said of what comes after. */
  private step(now: StepNow): boolean {
    if (isCoat(now)) return this.coats(now);
    const { step, record } = now;
    if (record?.status !== 'to-come' || NOT_WORK.includes(step.kind)) return true;
    const bares = baredBy(this.part, step);
    if (bares?.kind === 'unknown') {
      this.ask('unknown-bare', step.stepId);
      return false;
    }
    if (this.trip) return true;
    if (!isTrip(step)) {
      this.ops.push(this.stepOp(now, bares));
      return true;
    }
    const lift = this.lift(step.stepId);
    if (!lift) return false;
    const [take, fetch] = tripOps(this.part, step, lift, this.isCoated(), bares);
    this.ops.push(take!);
    this.trip = fetch!;
    return true;
  }

  /** What else is done where the part is: it is one trip. */
  private isOnTrip({ step }: StepNow): boolean {
    const survey = this.trip && newestSurvey(this.part);
    const act = survey && step.kind === 'strip' && step.what ? actOf(step.what) : null;
    return !!act && placeOfAct(act, survey!, this.snapshot.shop.workshop.means) === 'contractor';
  }

  /** Home from a trip, if it is on one. */
  private fetched(): void {
    if (this.trip) this.ops.push(this.trip);
    this.trip = null;
  }

  private isCoated(): boolean {
    return this.ops.some((o) => o.coat) || this.films.length > 0;
  }

  private stepOp({ step }: StepNow, bares: BareLimit | null): PlanOp {
    return stepOp(this.part, step, paceFor(this.snapshot, this.part, step.kind), this.isCoated(), bares);
  }

  /** Who and what moves it; null: nobody can, and it is asked for. */
  private lift(stepId: string | null): Lift | null {
    const lift = liftOf(this.part.row.massKg, this.snapshot.shop.workshop.means.capacity.hoists);
    if (!lift) this.ask('no-hoist', stepId);
    return lift;
  }

  private mixedMl(
    step: StepNow['step'],
    sheet: ProductSheet,
    no: number,
    faces: number,
    on: readonly Under[],
  ): number | null {
    const { stepId, coats, dftUm } = step;
    const coat = { stepId, sheet, dftUm: dftUm ?? sheet.dftUm, coatNo: no, ofCoats: coats };
    const need = coatNeedMl(
      this.part,
      coat,
      on.some((u) => u.kind === 'bare'),
      0,
    );
    return need && need.mixedMl * faces;
  }

  private coats(now: StepNow): boolean {
    const { step } = now;
    const sheet = this.snapshot.shop.sheets.get(step.sheetId!);
    if (!sheet) {
      this.ask('unknown-window', step.stepId);
      return false;
    }
    const isZoned = this.part.planned.some((c) => c.face !== undefined);
    const faces = isZoned ? [now.face] : this.part.state.faces.map((f) => f.face);
    for (let no = 1; no <= step.coats; no++) {
      const still = faces.filter((f) => this.coatsOn(f, step.stepId) < no);
      if (still.length === 0) continue;
      const turns = this.lies ? this.asItLies(still) : [still];
      for (const up of turns) if (!this.coat(now, sheet, no, up)) return false;
    }
    return true;
  }

  /** One face after the other, the one that lies up first. */
  private asItLies(faces: readonly Face[]): readonly (readonly Face[])[] {
    return [...faces].sort((a, b) => Number(b === this.up) - Number(a === this.up)).map((f) => [f]);
  }

  /** Turned until a face lies up, and that face prepared where it is bare. False: nobody can turn it. */
  private turnUp(face: Face, stepId: string): boolean {
    const isBare = (this.top.get(face) ?? { kind: 'bare' }).kind === 'bare';
    if (this.up === null) this.firstFace();
    else if (this.up !== face) {
      const lift = this.lift(stepId);
      if (!lift) return false;
      this.ops.push(moveOp(this.part, `turn${++this.turns}`, 'turn', lift, this.isCoated()));
      if (isBare) this.ops.push(...secondHalf(this.prepared, this.part.row.areaM2));
    }
    this.up = face;
    return true;
  }

  /** What prepares both faces is half the work on the first. */
  private firstFace(): void {
    const at = this.ops.findIndex((o) => o.bares !== null);
    if (at >= 0) this.ops.push(...firstHalf(this.ops.splice(at)));
  }

  /** It stands where it is coated before its first coat. False: nobody can carry it. */
  private carried(stepId: string): boolean {
    if (this.carryTo === null || this.ops.some((o) => o.kind === 'carry')) return true;
    const lift = this.lift(stepId);
    if (lift) this.ops.push(moveOp(this.part, 'carry', 'carry', lift, this.isCoated()));
    return lift !== null;
  }

  /** Coats of a step that are on a face already. */
  private coatsOn(face: Face, stepId: string): number {
    const planned = plannedFor(this.part.planned, face);
    const on = this.part.state.faces.find((f) => f.face === face)?.coats.length ?? 0;
    return planned.slice(0, on).filter((c) => c.stepId === stepId).length;
  }

  private coat({ step }: StepNow, sheet: ProductSheet, no: number, faces: readonly Face[]): boolean {
    const { row, state } = this.part;
    const on = faces.map((f) => this.top.get(f) ?? { kind: 'bare' as const });
    const isCavity = step.kind === 'cavity';
    for (const under of isCavity ? [] : on) {
      const below =
        under.kind === 'film'
          ? under.film.sheet
          : under.kind === 'op'
            ? this.ops.find((o) => o.opId === under.opId)!.coat!.sheet
            : null;
      const rule = below && windowRule(below, sheet);
      if (rule && rule.kind !== 'intervals') {
        this.ask(rule.kind === 'unknown' ? 'unknown-window' : 'refused', step.stepId);
        return false;
      }
    }
    if (!this.carried(step.stepId)) return false;
    if (this.lies && !this.turnUp(faces[0]!, step.stepId)) return false;
    const opId = `${row.partId}/${step.stepId}${this.lies && faces[0] === 'B' ? SECOND : ''}/${no}`;
    const areaM2 = row.areaM2 === null ? null : (row.areaM2 * faces.length) / state.faces.length;
    const asked = this.tool !== null && traitsOf(sheet).tools.includes(this.tool) ? this.tool : null;
    const tool = asked ?? step.tool ?? usualTool(sheet);
    this.ops.push({
      ...work(row.partId, step.stepId, step.kind),
      opId,
      what: step.what ?? null,
      handsMin: Math.ceil(
        layMinutes(sheet, tool, areaM2 ?? UNKNOWN_AREA_M2) * paceFor(this.snapshot, this.part, step.kind),
      ),
      needs: isCavity ? 'handle' : null,
      oils: isCavity,
      holds: tool === 'gun' ? GUN_HOLDS : [],
      coat: {
        sheet,
        tool,
        areaM2,
        no,
        of: step.coats,
        dftUm: step.dftUm ?? sheet.dftUm,
        colour: colourFor(sheet, row.colourGroup),
        on: isCavity ? [] : on,
        mixedMl: this.mixedMl(step, sheet, no, faces.length, on),
        speedBy: this.snapshot.speeds.get(sheet.productId)?.speedBy ?? 1,
      } satisfies PlanCoat,
    });
    if (!isCavity) for (const f of faces) this.top.set(f, { kind: 'op', opId });
    return true;
  }
}

function underOf(part: DerivedPart, face: FaceResult, snapshot: Snapshot): Under {
  const coat = face.coats[face.coats.length - 1];
  if (!coat) return { kind: 'bare' };
  const own = standingFacts(part.facts).filter((f) => f.face === null || f.face === face.face);
  const film: FilmNow = {
    sheet: coat.sheet,
    dftUm: coat.measuredUm ?? coat.dftUm,
    t0Ms: coat.t0Ms,
    slowBy: coat.slowBy,
    speedBy: snapshot.speeds.get(coat.sheet.productId)?.speedBy ?? 1,
    tests: testsOf('minRecoat', filmFacts(own).tests),
    keyedUntilMs: face.key?.isHeld === true ? face.key.lapsesAtMs : null,
  };
  return { kind: 'film', film };
}

/** What no plan can see past, by the state of a part's faces. */
function lackOf(part: DerivedPart): PlanLack | null {
  if (part.steps.length === 0) return 'no-route';
  if (part.placeId === null) return 'no-place';
  const faces = part.state.faces;
  if (bareNow(part)?.limit.kind === 'unknown') return 'unknown-bare';
  if (faces.some((f) => f.referred !== null)) return 'referred';
  if (faces.some((f) => f.suspect !== null)) return 'suspect';
  if (faces.some((f) => f.headline === 'refused')) return 'refused';
  return null;
}

/** Metal that is bare now, and how long it may stay so. */
export function bareNow(part: DerivedPart): { readonly sinceMs: number; readonly limit: BareLimit } | null {
  const open = part.state.faces.find((f) => f.coats.length === 0 && f.bare !== null)?.bare;
  return open && !open.isOut ? { sinceMs: open.sinceMs, limit: open.limit } : null;
}

/** Metal that is out, or was never recorded as prepared, has its strip step before it again. */
function again(part: DerivedPart, steps: readonly StepNow[], capacity: Capacity): readonly StepNow[] | null {
  const first = steps.findIndex(isCoat);
  const isUncoated = part.state.faces.some((f) => f.coats.length === 0);
  if (!isUncoated || first < 0 || bareNow(part) !== null) return steps;
  // Of a part that lies the face that comes second is prepared for itself.
  if (lies(part, capacity) && upNow(part) !== null) return steps;
  const strip = steps.findLastIndex(
    (s, i) => i < first && (s.step.kind === 'strip' || s.step.kind === 'abrade'),
  );
  const record = steps[strip]?.record;
  if (record?.status === 'not-recorded') return null;
  if (record?.status !== 'recorded') return steps;
  return steps.map((s, i) =>
    i >= strip && i < first && s.step.kind !== 'refer' && s.step.kind !== 'record'
      ? { ...s, record: { status: 'to-come' as const } }
      : s,
  );
}

/** What is left to do on a part, in order, and what keeps the rest of it out of a plan. Pure. */
export function operationsOf(
  snapshot: Snapshot,
  part: DerivedPart,
  ask: Pick<PlanAsk, 'coatPlaceId' | 'tool'>,
): Chain {
  const writer = new Writer(snapshot, part, ask);
  const lack = lackOf(part);
  if (lack !== null) {
    writer.ask(lack);
    return writer;
  }
  const steps = again(part, stepsNow(part), snapshot.shop.workshop.means.capacity);
  if (steps === null) {
    writer.ask('not-recorded');
    return writer;
  }
  writer.write(steps);
  return writer;
}
