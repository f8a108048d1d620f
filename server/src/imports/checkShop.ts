import { PART_FACTS, pointersIn, STOCK_FACTS, type Ref } from '@calvetta/core';
import type { FieldProblem, ShopFile } from '@calvetta/contract';
import { invalidInput } from '../http/errors.ts';
import { sheetProblems } from '../shop/sheetProblems.ts';

/** A file of a thousand faults is told the first of them. */
const SAID = 50;

/** A list of the file, with the id of each of its entries. */
type Ids = readonly (readonly [path: string, id: string])[];

const parts = (f: ShopFile) =>
  f.machines.flatMap((m, i) =>
    m.assemblies.flatMap((a, k) =>
      a.parts.map((p, n) => ({ p, path: `machines.${i}.assemblies.${k}.parts.${n}` })),
    ),
  );

/** Every id that may stand once only, by the kind of thing. */
function idsOf(f: ShopFile): Readonly<Record<string, Ids>> {
  const of = <T>(name: string, list: readonly T[] | undefined, id: (x: T) => string): Ids =>
    (list ?? []).map((x, i) => [`${name}.${i}`, id(x)]);
  return {
    person: of('people', f.people, (x) => x.personId),
    place: of('places', f.places, (x) => x.placeId),
    probe: of('probes', f.probes, (x) => x.probeId),
    sheet: of('sheets', f.sheets, (x) => x.sheetId),
    machine: of('machines', f.machines, (x) => x.machineId),
    assembly: f.machines.flatMap((m, i) =>
      m.assemblies.map((a, k) => [`machines.${i}.assemblies.${k}`, a.assemblyId] as const),
    ),
    part: parts(f).map(({ p, path }) => [path, p.partId]),
    fact: [
      ...of('facts', f.facts, (x) => x.factId.toLowerCase()),
      ...of('stockFacts', f.stockFacts, (x) => x.factId.toLowerCase()),
    ],
    tin: of('tins', f.tins, (x) => x.tinId),
    pack: of('packs', f.packs, (x) => x.packId),
    gauge: of('gauges', f.gauges, (x) => x.gaugeId),
    cup: of('cups', f.cups, (x) => x.cupId),
    template: of('templates', f.templates, (x) => x.templateId),
  };
}

const problem = (field: string, code: string, got: unknown, accepts: string): FieldProblem => ({
  field,
  code,
  got,
  accepts,
});

function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** What the entries and parts of a file name and the file does not hold. */
function strangers(f: ShopFile, known: Readonly<Record<string, ReadonlySet<string>>>): FieldProblem[] {
  const mixes = new Set(
    (f.stockFacts ?? []).flatMap((s) => (s.kind === 'mixed' ? [String(s.body['mixId'])] : [])),
  );
  const has = (of: Ref | 'sheet', id: string): boolean =>
    // A shop file holds no pictures (the backup does): what names one is kept, and the page says it is not here.
    of === 'picture'
      ? true
      : of === 'mix'
        ? mixes.has(id)
        : (known[of]?.has(of === 'fact' ? id.toLowerCase() : id) ?? false);
  const need = (field: string, of: Ref, id: string | null): FieldProblem[] =>
    id === null || has(of, id) ? [] : [problem(field, 'unknown-reference', id, `a ${of} of this file`)];
  const body = (at: string, shape: (typeof PART_FACTS)[keyof typeof PART_FACTS]['body'], value: unknown) =>
    pointersIn(shape, value).flatMap((p) => need(`${at}.body.${p.field}`, p.of, p.id));
  return [
    ...f.facts.flatMap((x, i) => [
      ...need(`facts.${i}.partId`, 'part', x.partId),
      ...need(`facts.${i}.personId`, 'person', x.personId),
      ...need(`facts.${i}.supersedes`, 'fact', x.supersedes),
      ...body(`facts.${i}`, PART_FACTS[x.kind].body, x.body),
    ]),
    ...(f.stockFacts ?? []).flatMap((x, i) => [
      ...need(`stockFacts.${i}.personId`, 'person', x.personId),
      ...need(`stockFacts.${i}.supersedes`, 'fact', x.supersedes),
      ...body(`stockFacts.${i}`, STOCK_FACTS[x.kind].body as never, x.body),
    ]),
    ...f.probes.flatMap((x, i) => [
      ...need(`probes.${i}.placeId`, 'place', x.placeId),
      ...need(`probes.${i}.partId`, 'part', x.partId),
    ]),
    ...parts(f).flatMap(({ p, path }) => [
      ...need(`${path}.pairPartId`, 'part', p.pairPartId),
      ...p.route.flatMap((s, i) => need(`${path}.route.${i}.sheetId`, 'sheet', s.sheetId)),
    ]),
  ];
}

/** Refuses a shop file that contradicts itself, by line and field, before any of it is stored. */
export function checkShop(f: ShopFile): void {
  const ids = idsOf(f);
  const twice = Object.entries(ids).flatMap(([of, list]) => {
    const seen = new Set<string>();
    return list.flatMap(([path, id]) => {
      if (!seen.has(id)) {
        seen.add(id);
        return [];
      }
      return [problem(path, 'twice', id, `a ${of} id that no other has`)];
    });
  });
  const known = Object.fromEntries(
    Object.entries(ids).map(([of, list]) => [of, new Set(list.map(([, id]) => id))]),
  );
  const problems = [
    ...(isZone(f.workshop.zone)
      ? []
      : [problem('workshop.zone', 'zone', f.workshop.zone, 'a zone such as Europe/London')]),
    ...twice,
    ...strangers(f, known),
    ...f.sheets.flatMap((s, i) => sheetProblems(s, `sheets.${i}.`)),
  ];
  if (problems.length > 0) throw invalidInput(problems.slice(0, SAID));
}
