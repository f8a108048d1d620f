/** Writes the demo's scenario file in the public format: `npm run demo:make`. Invented machines of an invented works. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Face, FactBodies, FactKind, RouteStep, Substrate } from '@calvetta/core';
import type { ShopFact, ShopFile, ShopMachine, ShopPart } from '@calvetta/contract';
import { MACHINES, type PartLine } from './machines.ts';
import { routeFor, type DemoRoute } from './surveys.ts';
import { CATALOGUE_SHEETS, FULL_SHOP } from '@calvetta/core';
import { demoFindings } from './findings.ts';
import { PEOPLE_AND_PLACES } from './people.ts';
import { demoHours } from './hours.ts';
import { ACCESSIONS, COMES_FROM, demoKeeping, demoSamples, GAUGES } from './keeping.ts';
import { demoSignOffs } from './signOffs.ts';
import { CUPS, demoShelf, PACK_LIST } from './shelf.ts';

const AS_OF = Date.UTC(2026, 2, 5, 18, 45);
const H = 3_600_000;

let serial = 0;
/** Fixed UUIDs, so that the file is the same every time it is made. */
function nextId(): string {
  serial += 1;
  return `00000000-0000-4000-8000-${serial.toString(16).padStart(12, '0')}`;
}

const facts: ShopFact[] = [];
const stepsBy = new Map<string, readonly RouteStep[]>();
const toLog: (() => void)[] = [];
function add<K extends FactKind>(
  partId: string,
  kind: K,
  hoursAgo: number,
  body: FactBodies[K],
  face: Face | null = null,
  minutes = 0,
  personId: string = serial % 3 === 2 ? 'ines' : serial % 3 === 0 ? 'tom' : 'ruth',
): string {
  const factId = nextId();
  const endMs = AS_OF - hoursAgo * H;
  facts.push({
    factId,
    kind,
    partId,
    face,
    happenedAt: new Date(endMs - minutes * 60_000).toISOString(),
    endedAt: minutes > 0 ? new Date(endMs).toISOString() : null,
    personId,
    supersedes: null,
    body: { ...body },
    // A kind and its own body: `add` says so, the union of all kinds cannot.
  } as ShopFact);
  return factId;
}

/** The coats of a part's route one by one: sheet and film. */
const coatsBy = new Map<string, readonly { sheetId: string; dftUm: number }[]>();
const actsBy = new Map<string, DemoRoute['acts']>();
const coatsOf = (partId: string): readonly { sheetId: string; dftUm: number }[] => coatsBy.get(partId) ?? [];
function keepRoute(partId: string, r: DemoRoute, isOldStock: boolean): void {
  const coats = r.steps.flatMap((s) =>
    s.familyId === undefined || s.kind === 'cavity' || s.zoneId !== undefined
      ? []
      : Array.from({ length: s.coats }, () => ({
          // The toolbox was primed with what stood at the back of the shelf.
          sheetId: isOldStock && s.kind === 'prime' ? 'old-primer.1' : `${s.familyId!}.1`,
          dftUm: s.dftUm!,
        })),
  );
  coatsBy.set(partId, coats);
  actsBy.set(partId, r.acts);
}

/** The log's word for what was done, by the last act of the route. */
function strippedBy(partId: string): FactBodies['stripped']['method'] {
  const acts = actsBy.get(partId) ?? [];
  const last =
    [...acts].reverse().find((a) => a !== 'phosphate' && a !== 'conversion' && a !== 't-wash') ?? 'hand';
  if (
    ['grit-blast', 'fine-blast', 'spot-blast', 'sweep', 'vapour-blast', 'plastic-media', 'dry-ice'].includes(
      last,
    )
  )
    return 'blast';
  if (last === 'bead-blast') return 'bead';
  if (last === 'wire-wheel') return 'wire-wheel';
  if (['disc', 'rotary-bristle', 'needle-gun', 'spot-disc'].includes(last)) return 'disc';
  if (['solvent-stripper', 'hot-caustic', 'heat-gun'].includes(last)) return 'chemical';
  if (last === 'electrolysis') return 'electrolysis';
  return ['chelating-bath', 'citric-bath'].includes(last) ? 'bath' : 'scraper';
}

/** Hours between coats that the sheets allow in the booth at 18 °C. */
const GAP_H: Readonly<Record<string, number>> = {
  'etch-2k.1': 2,
  'enamel.1': 60,
  'heat-black.1': 10,
  'surfacer-2k.1': 6,
};

/** Logs stripping and the first `done` coats of the route so that the last ended `lastAgo` hours ago. */
function coated(partId: string, done: number, lastAgo: number, face: Face | null = null, strip = true): void {
  const coats = coatsOf(partId).slice(0, done);
  let agoH = lastAgo;
  const times: number[] = [];
  for (let i = coats.length - 1; i >= 0; i--) {
    times.unshift(agoH);
    agoH += GAP_H[coats[i - 1]?.sheetId ?? ''] ?? 26;
  }
  const before = (times[0] ?? lastAgo) + 1.5;
  // A kept coat is keyed; nothing is stripped.
  if (strip && actsBy.get(partId)?.includes('keep'))
    add(partId, 'abraded', before, { how: 'wet', gritP: 240 }, null, 60);
  else if (strip) add(partId, 'stripped', before, { method: strippedBy(partId) }, null, 30);
  let over: string | undefined;
  coats.forEach((c, i) => {
    const wobble = 0.92 + ((partId.length * 7 + i * 5) % 16) / 100;
    over = add(
      partId,
      'coated',
      times[i]!,
      {
        sheetId: c.sheetId,
        dftUm: Math.round(c.dftUm * wobble),
        tool: 'gun',
        batch: `B${(partId.length % 4) + 2}`,
        ...(over === undefined ? {} : { over }),
      },
      face,
      20,
    );
  });
}

/** How a part came to its state. Times are chosen for the booth's steady 18 °C so that every state is alive at any hour. */
const RECIPES: Readonly<Record<string, (p: PartLine, partId: string) => void>> = {
  waiting: () => undefined,
  bare: (_p, id) => void add(id, 'stripped', 1.5, { method: strippedBy(id) }, null, 20),
  'bare-abraded': (_p, id) => void add(id, 'stripped', 3, { method: strippedBy(id) }, null, 40),
  out: (_p, id) => void add(id, 'stripped', 9, { method: strippedBy(id) }, null, 20),
  phosphated: (_p, id) => {
    add(id, 'stripped', 7, { method: 'wire-wheel' }, null, 60);
    add(id, 'pretreated', 5, { method: 'phosphate' }, null, 30);
  },
  early: (_p, id) => coated(id, 1, 3),
  'early-second': (_p, id) => coated(id, 2, 5),
  'early-stacked': (p, id) => {
    coated(id, 1, 4);
    add(
      id,
      'coated',
      2.5,
      { sheetId: coatsOf(id)[1]!.sheetId, dftUm: coatsOf(id)[1]!.dftUm, tool: 'gun' },
      null,
      15,
    );
  },
  'early-tacky': (p, id) => {
    coated(id, 1, 7.6);
    add(id, 'tested', 1, { test: 'tack', reached: true });
  },
  open: (_p, id) => coated(id, 1, 40),
  'open-second': (_p, id) => coated(id, 2, 36),
  'open-wet-on-wet': (_p, id) => coated(id, 1, 3),
  'open-etch': (_p, id) => coated(id, 1, 1.6),
  closing: (_p, id) => coated(id, 2, 90),
  'closing-soon': (_p, id) => coated(id, 2, 92.6),
  lift: (_p, id) => coated(id, 2, 20),
  shut: (_p, id) => coated(id, 1, 190),
  keyed: (p, id) => {
    coated(id, 1, 210);
    add(id, 'abraded', 6, { how: 'dry', gritP: 180 }, null, 45);
    add(id, 'wiped', 5, {});
  },
  'keyed-dusty': (p, id) => {
    coated(id, 1, 220);
    add(id, 'abraded', 2, { how: 'wet', gritP: 320 }, null, 45);
  },
  suspect: (p, id) => {
    coated(id, 3, 50);
    add(id, 'moved', 49.5, { placeId: 'leanto' });
  },
  'held-open': (p, id) => {
    coated(id, 1, 60);
    add(id, 'moved', 20, { placeId: 'leanto' });
  },
  faces: (p, id) => {
    coated(id, 1, 31, 'A');
    add(id, 'turned', 28, { faceUp: 'B' });
    coated(id, 1, 4, 'B', false);
  },
  refused: (_p, id) => coated(id, 1, 20),
  unknown: (_p, id) => coated(id, 1, 30),
  tested: (p, id) => {
    coated(id, 2, 12);
    add(id, 'tested', 5, { test: 'thumbnail', reached: true });
  },
  curing: (_p, id) => coated(id, coatsOf(id).length, 40),
  'curing-fresh': (_p, id) => coated(id, coatsOf(id).length, 8),
  cured: (_p, id) => coated(id, coatsOf(id).length, 420),
  'two-years': (_p, id) => {
    coated(id, coatsOf(id).length, 17_300);
    // Looked at after its first year; the second look has been due for some days.
    add(id, 'cared', 8_960, { job: 'look', found: 'nothing' });
  },
  baked: (p, id) => {
    coated(id, coatsOf(id).length, 80);
    add(id, 'baked', 60, { tempC: 200, minutes: 60 });
  },
};

function slug(text: string): string {
  return text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
}

function partOf(machineId: string, p: PartLine, pairOf: Map<string, string>): ShopPart {
  const partId = `${machineId}.${slug(p.name)}`;
  // Finished two years ago: what stands at its beginning is older still.
  const beginH = p.state === 'two-years' ? 18_000 : 700;
  add(partId, 'moved', beginH, {
    placeId: p.state === 'suspect' || p.state === 'held-open' ? 'booth' : p.place,
  });
  const isPair = pairOf.has(partId);
  const route = routeFor(partId, p, isPair);
  keepRoute(partId, route, p.route === 'oldstock');
  stepsBy.set(partId, route.steps);
  add(partId, 'surveyed', beginH - 10, { survey: route.survey });
  add(partId, 'route-set', beginH - 11, {
    routeId: route.routeId,
    origin: route.origin,
    steps: route.steps,
    ...(route.reason === undefined ? {} : { reason: route.reason }),
  });
  const recipe = RECIPES[p.state];
  if (!recipe) throw new Error(`no recipe for ${p.state}`);
  recipe(p, partId);
  toLog.push(() => logSteps(partId, route.steps, ['cured', 'baked', 'two-years'].includes(p.state)));
  const comesFrom = COMES_FROM[partId];
  return {
    partId,
    name: p.name,
    ...(comesFrom === undefined ? {} : { comesFrom }),
    substrate: p.substrate as Substrate,
    massKg: p.massKg,
    areaM2: p.areaM2,
    thicknessMm: p.thicknessMm,
    isBrightMetal: false,
    faces: p.faces,
    colourGroup: p.colourGroup,
    pairPartId: pairOf.get(partId) ?? null,
    route: [],
  };
}

/** What a step is judged by, in the words that were written down. */
const FOUND: Readonly<Partial<Record<string, string>>> = {
  record: 'photographed all round, numbers noted',
  inspect: 'sound, no crack found',
  'test-fit': 'fits, bolts run by hand',
};
const HAS_RESULT = ['gate', 'test', 'test-fit', 'wash'];
const ago = (f: ShopFact): number => (AS_OF - Date.parse(f.endedAt ?? f.happenedAt)) / 3_600_000;

/**
 * Logs the steps of a part's route that leave no other entry, as far as the part has come: those before its metal was laid bare or
 * keyed, those from then to its first coat, and on a finished part those after its last. Somebody forgot some, as somebody does.
 */
function logSteps(partId: string, steps: readonly RouteStep[], isFinished: boolean): void {
  const own = facts.filter((f) => f.partId === partId);
  const began = own
    .filter((f) => f.kind === 'stripped' || f.kind === 'abraded' || f.kind === 'coated')
    .map(ago);
  if (began.length === 0) return;
  const coats = own.filter((f) => f.kind === 'coated').map(ago);
  const [beganH, firstH, lastH] = [Math.max(...began), Math.max(...coats, 0) + 0.5, Math.min(...coats)];
  const isCoat = (st: RouteStep): boolean => st.familyId !== undefined && st.coats > 0;
  const firstCoat = steps.findIndex(isCoat);
  const lastCoat = steps.findLastIndex(isCoat);
  const stripAt = steps.findIndex((st) => st.kind === 'strip' || st.kind === 'abrade');
  const isForgetful = partId.length % 5 === 0;
  const before = steps.slice(0, Math.max(0, stripAt));
  const between = steps.slice(stripAt + 1, firstCoat < 0 ? undefined : firstCoat);
  const after = isFinished ? steps.slice(lastCoat + 1).filter((st) => st.kind !== 'care' && !isCoat(st)) : [];
  const log = (st: RouteStep, atH: number): void => {
    if (isForgetful && ['degrease', 'mask', 'record'].includes(st.kind)) return;
    const found = FOUND[st.kind];
    const body = {
      stepId: st.stepId,
      ...(found === undefined ? {} : { found }),
      ...(HAS_RESULT.includes(st.kind) ? { passed: true } : {}),
    };
    add(partId, 'step-done', Number(Math.max(0.02, atH).toFixed(2)), body);
  };
  before.forEach((st, k) => log(st, beganH + 0.7 + 0.2 * (before.length - k)));
  between.forEach((st, k) =>
    log(st, firstH + ((beganH - firstH) * (between.length - k)) / (between.length + 1)),
  );
  after.forEach((st, k) => log(st, lastH * (0.5 - (0.4 * k) / (after.length + 1))));
}

/** "…, left" and "…, right" (or port and starboard) are a pair. */
function pairsIn(machineId: string, lines: readonly PartLine[]): Map<string, string> {
  const ids = new Map(lines.map((p) => [p.name, `${machineId}.${slug(p.name)}`]));
  const pairs = new Map<string, string>();
  for (const [name, id] of ids) {
    const other = name.replace(
      /, (left|right|port|starboard)$/,
      (_m, side: string) =>
        `, ${{ left: 'right', right: 'left', port: 'starboard', starboard: 'port' }[side] ?? side}`,
    );
    const otherId = other === name ? undefined : ids.get(other);
    if (otherId) pairs.set(id, otherId);
  }
  return pairs;
}

const inOrder = (list: readonly ShopFact[]): ShopFact[] =>
  [...list].sort((a, b) => Date.parse(a.endedAt ?? a.happenedAt) - Date.parse(b.endedAt ?? b.happenedAt));

/** The last coat of a part, for what was found on it. */
function topCoat(partId: string): { readonly factId: string; readonly hoursAgo: number } {
  const coats = inOrder(facts).filter((f) => f.partId === partId && f.kind === 'coated');
  const last = coats[coats.length - 1]!;
  return { factId: last.factId, hoursAgo: ago(last) };
}

export function makeScenario(): ShopFile {
  serial = 0;
  facts.length = 0;
  toLog.length = 0;
  const machines = MACHINES.map((m): ShopMachine => ({
    machineId: m.machineId,
    name: m.name,
    kind: m.kind,
    accession: ACCESSIONS[m.machineId] ?? null,
    assemblies: m.assemblies.map((a) => ({
      assemblyId: `${m.machineId}.${slug(a.name)}`,
      name: a.name,
      parts: a.parts.map((p) => partOf(m.machineId, p, pairsIn(m.machineId, a.parts))),
    })),
  }));
  // After everything else, so that what was there before keeps its ids.
  for (const log of toLog) log();
  const { tins, stockFacts } = demoShelf(AS_OF, nextId, inOrder(facts));
  demoFindings(add, topCoat);
  demoHours(add, [...facts], stepsBy, ago);
  demoSignOffs(add, facts);
  demoSamples(add);
  return {
    format: 'calvetta-shop/2',
    asOf: new Date(AS_OF).toISOString(),
    workshop: {
      workshopId: 'saltmarsh',
      name: 'Saltmarsh Works',
      zone: 'Europe/London',
      currency: 'GBP',
      hourCents: 1_500,
      volumeSystem: 'imperial',
      facilities: FULL_SHOP.facilities,
      capacity: { hangKg: 45, bathKg: 40, ovenM2: 2, cabinets: 1, hoists: 1, airTools: 2 },
      schools: FULL_SHOP.schools,
    },
    ...PEOPLE_AND_PLACES,
    sheets: CATALOGUE_SHEETS,
    machines,
    facts: inOrder(facts),
    tins,
    packs: PACK_LIST,
    cups: CUPS,
    gauges: GAUGES,
    stockFacts: [...stockFacts, ...demoKeeping(AS_OF, nextId)],
  };
}

const path = join(import.meta.dirname, 'scenario', 'shop.json');
if (process.argv[1]?.endsWith('make.ts')) {
  writeFileSync(path, `${JSON.stringify(makeScenario(), null, 1)}\n`);
  console.log(`wrote ${path}`);
}
