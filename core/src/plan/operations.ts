import { HOUR_MS } from '../base/time.ts';
import { plannedFor } from '../bench/face.ts';
import { filmFacts, testsOf } from '../bench/film.ts';
import type { FaceResult } from '../bench/part.ts';
import { bareLimit, type BareLimit, type BarePrep } from '../cure/bare.ts';
import { windowRule } from '../cure/windows.ts';
import { standingFacts, type Face } from '../facts/part.ts';
import type { ProductSheet, Stage } from '../products/sheet.ts';
import { OPEN_COATS } from '../route/route.ts';
import type { DerivedPart } from '../shop/part.ts';
import { coatNeedMl, colourFor } from '../shop/shelf.ts';
import type { Snapshot } from '../shop/snapshot.ts';
import { paceFor } from '../shop/pace.ts';
import { stepsNow, type StepNow } from '../shop/stepsNow.ts';
import { UNKNOWN_AREA_M2 } from '../work/area.ts';
import { layMinutes, TURN_OVER_MIN, usualTool } from '../work/minutes.ts';
import type { FilmNow, PlanAsks, PlanCoat, PlanLack, PlanOp, Under } from './problem.ts';

/** Work that can stop in the middle and go on another day (docs/plan.md 3). */
const SPLITTABLE = ['degrease', 'mask', 'inspect', 'test-fit', 'repair', 'record', 'reassemble'];
const BY_HAND = ['disc', 'wire-wheel', 'rotary-bristle', 'needle-gun', 'hand', 'scrape', 'pad', 'spot-disc'];
/** Ways of stripping that throw nothing into the air. */
const NO_DUST = [
  'chelating-bath',
  'citric-bath',
  'electrolysis',
  'hot-caustic',
  'solvent-stripper',
  'vapour-blast',
  'spot-wet',
  'bead-blast',
  'fine-blast',
];
/** What has no hands of its own in a plan: it comes round every year, or only time does it. */
const NOT_WORK = ['care', 'replace'];
const LOOKS = ['gate', 'test', 'inspect', 'refer', 'test-fit'];
/** What the film below must have reached before (docs/plan.md 8; common practice where the sheet is silent). */
const NEEDS: Readonly<Partial<Record<string, Stage>>> = {
  mask: 'handle',
  unmask: 'touch',
  'test-fit': 'handle',
  reassemble: 'handle',
  cavity: 'handle',
  preserve: 'handle',
  abrade: 'sand',
  bake: 'touch',
  cure: 'service',
};
/** One person lifts no more than this, kg (common practice). */
const MOST_LIFT_KG = 25;
/** Hands of a step whose route says none, minutes. */
const SILENT_MIN = 30;
/** So much work is shared by two where two are there. */
export const SHARED_FROM_MIN = 60;

interface Chain {
  readonly ops: PlanOp[];
  readonly asks: PlanAsks[];
  readonly films: readonly FilmNow[];
}

const prepBy = (step: StepNow['step']): BarePrep | null => {
  if (step.kind === 'pretreat') return step.what === 'phosphate' ? 'phosphated' : 'conversion-coated';
  if (step.kind !== 'strip' || step.what === 'keep') return null;
  const what = step.what ?? '';
  if (what.includes('blast') || what === 'sweep' || what === 'plastic-media' || what === 'dry-ice')
    return 'blasted';
  return what.endsWith('bath') ||
    what === 'electrolysis' ||
    what === 'hot-caustic' ||
    what === 'solvent-stripper'
    ? 'chemically-stripped'
    : 'abraded';
};

const isCoat = ({ step }: StepNow): boolean => step.sheetId !== null && step.coats > 0;

/** Writes a part's chain: what is done is gone, and where nothing certain can be said the chain ends with an ask. */
class Writer implements Chain {
  readonly ops: PlanOp[] = [];
  readonly asks: PlanAsks[] = [];
  readonly films: readonly FilmNow[];
  private readonly snapshot: Snapshot;
  private readonly part: DerivedPart;
  private readonly carryTo: string | null;
  /** What is on each face by then. */
  private readonly top = new Map<Face, Under>();

  constructor(snapshot: Snapshot, part: DerivedPart, coatPlaceId: string | null) {
    this.carryTo = coatPlaceId === part.placeId ? null : coatPlaceId;
    this.snapshot = snapshot;
    this.part = part;
    for (const f of part.state.faces) this.top.set(f.face, underOf(part, f, snapshot));
    this.films = [...this.top.values()].flatMap((u) => (u.kind === 'film' ? [u.film] : []));
  }

  ask(lack: PlanLack, stepId: string | null = null): void {
    const { partId, name } = this.part.row;
    this.asks.push({ partId, name, lack, stepId });
  }

  /** False: nothing can be said of what comes after. */
  step(now: StepNow): boolean {
    if (isCoat(now)) return this.coats(now);
    const { step, record } = now;
    if (record?.status !== 'to-come' || NOT_WORK.includes(step.kind)) return true;
    const prep = prepBy(step);
    const bares = prep === null ? null : bareLimit(this.part.row.substrate, prep);
    if (bares?.kind === 'unknown') {
      this.ask('unknown-bare', step.stepId);
      return false;
    }
    this.ops.push(this.hands(now, bares));
    return true;
  }

  private hands({ step }: StepNow, bares: BareLimit | null): PlanOp {
    const { row } = this.part;
    const pace = paceFor(this.snapshot, this.part, step.kind);
    const minutes = step.kind === 'cure' ? 0 : Math.ceil((step.hours ?? SILENT_MIN / 60) * 60 * pace);
    const isStrip = step.kind === 'strip';
    const what = step.what ?? null;
    const isCoated = this.ops.some((o) => o.coat) || [...this.top.values()].some((u) => u.kind === 'film');
    return {
      opId: `${row.partId}/${step.stepId}`,
      partId: row.partId,
      stepId: step.stepId,
      kind: step.kind,
      what,
      handsMin: minutes,
      mostPeople: minutes >= SHARED_FROM_MIN && !isStrip ? 2 : 1,
      isSplittable: SPLITTABLE.includes(step.kind) || (isStrip && BY_HAND.includes(what ?? '')),
      makesDust: (isStrip && what !== 'keep' && !NO_DUST.includes(what ?? '')) || step.kind === 'abrade',
      isLook: LOOKS.includes(step.kind),
      // Curing takes what its film's own clock says.
      waitHours: step.kind === 'cure' ? 0 : (step.waitHours ?? 0),
      needs: isCoated ? (NEEDS[step.kind] ?? null) : null,
      bares,
      coat: null,
    };
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

  /** Where it is coated it must stand before; what is too heavy for one takes two (docs/plan.md 5; local lifting rules). */
  private carry(stepId: string): PlanOp {
    const { row } = this.part;
    const people = (row.massKg ?? 0) > MOST_LIFT_KG ? 2 : 1;
    return {
      opId: `${row.partId}/carry`,
      partId: row.partId,
      stepId,
      kind: 'carry',
      what: null,
      handsMin: TURN_OVER_MIN * people,
      mostPeople: people,
      isSplittable: false,
      makesDust: false,
      isLook: false,
      waitHours: 0,
      needs: this.ops.some((o) => o.coat) || this.films.length > 0 ? 'handle' : null,
      bares: null,
      coat: null,
    };
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
      if (!this.coat(now, sheet, no, still)) return false;
    }
    return true;
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
    if (this.carryTo !== null && !this.ops.some((o) => o.kind === 'carry'))
      this.ops.push(this.carry(step.stepId));
    const opId = `${row.partId}/${step.stepId}/${no}`;
    const areaM2 = row.areaM2 === null ? null : (row.areaM2 * faces.length) / state.faces.length;
    const tool = step.tool ?? usualTool(sheet);
    this.ops.push({
      opId,
      partId: row.partId,
      stepId: step.stepId,
      kind: step.kind,
      what: step.what ?? null,
      handsMin: Math.ceil(
        layMinutes(sheet, tool, areaM2 ?? UNKNOWN_AREA_M2) * paceFor(this.snapshot, this.part, step.kind),
      ),
      mostPeople: 1,
      isSplittable: false,
      makesDust: false,
      isLook: false,
      waitHours: 0,
      needs: isCavity ? 'handle' : null,
      bares: null,
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
function again(part: DerivedPart, steps: readonly StepNow[]): readonly StepNow[] | null {
  const first = steps.findIndex(isCoat);
  const isUncoated = part.state.faces.some((f) => f.coats.length === 0);
  if (!isUncoated || first < 0 || bareNow(part) !== null) return steps;
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
export function operationsOf(snapshot: Snapshot, part: DerivedPart, coatPlaceId: string | null): Chain {
  const writer = new Writer(snapshot, part, coatPlaceId);
  const lack = lackOf(part);
  if (lack !== null) {
    writer.ask(lack);
    return writer;
  }
  const steps = again(part, stepsNow(part));
  if (steps === null) {
    writer.ask('not-recorded');
    return writer;
  }
  for (const now of steps) {
    if (now.step.what === OPEN_COATS) {
      writer.ask('open-colour', now.step.stepId);
      break;
    }
    if (!writer.step(now)) break;
  }
  return writer;
}

/** Waits after a step, ms. */
export const waitMs = (op: PlanOp): number => op.waitHours * HOUR_MS;
