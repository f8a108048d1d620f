import type { FactKind } from '@calvetta/core';
import type {
  CupView,
  FactInputOf,
  NewTinInput,
  Pack,
  PlanInput,
  ReadingInput,
  StockFactInput,
  SurveyTemplate,
} from '@calvetta/contract';
import { FACT_WORDS, STOCK_WORDS } from '@calvetta/contract/words';
import { newId } from '../ui/newId.ts';

/** Something to be stored, as plain data: it can wait on this device, and sending it twice stores it once. */
export interface Write {
  readonly id: string;
  readonly method: 'POST' | 'PATCH' | 'DELETE';
  /** Below `/api`. */
  readonly path: string;
  readonly body: unknown;
  /** A file that goes with it, as a form; then `body` is null. */
  readonly file?: Blob;
  /** What it is, for the person who waits for it. */
  readonly what: string;
}

const make = (
  method: Write['method'],
  path: readonly string[],
  what: string,
  body: unknown = null,
  id = newId(),
): Write => ({ id, method, path: path.map((p) => `/${encodeURIComponent(p)}`).join(''), body, what });

export const factWrite = <K extends FactKind>(fact: FactInputOf<K>): Write =>
  make('POST', ['facts'], FACT_WORDS[fact.kind], { facts: [fact] }, fact.factId);
/** The same done to many parts: one that is refused does not hold up the others. */
export const factsWrite = (facts: readonly FactInputOf<FactKind>[], what: string): Write =>
  make('POST', ['facts'], what, { facts, each: true });
export const stockWrite = (fact: StockFactInput): Write =>
  make('POST', ['stock-facts'], STOCK_WORDS[fact.kind], { facts: [fact] }, fact.factId);
export const tinWrite = (tin: NewTinInput): Write =>
  make('POST', ['tins'], 'A tin received', tin, tin.factId);
export const labelWrite = (tinId: string, patch: object): Write =>
  make('PATCH', ['tins', tinId], 'A tin’s label', patch);
export const packWrite = (pack: Pack): Write => make('POST', ['packs'], 'A pack', pack);
export const packGone = (packId: string): Write => make('DELETE', ['packs', packId], 'A pack no longer sold');
export const cupWrite = (cup: CupView): Write => make('POST', ['cups'], `The cup “${cup.name}”`, cup);
export const cupGone = (cupId: string): Write => make('DELETE', ['cups', cupId], 'A cup put away');
export const readingWrite = (placeId: string, reading: ReadingInput): Write =>
  make('POST', ['places', placeId, 'readings'], 'A reading', reading);
export const partWrite = (partId: string, patch: object): Write =>
  make('PATCH', ['parts', partId], 'A part’s data', patch);
export const partsWrite = (machineId: string, parts: readonly object[]): Write =>
  make('POST', ['machines', machineId, 'parts'], `${parts.length} parts`, { parts });
export const sheetWrite = (sheet: object): Write => make('POST', ['sheets'], 'A sheet', sheet);
/** What a shop is made of: each is made, changed and taken off the list in the same way. */
export type ThingPath = 'people' | 'gauges' | 'places' | 'probes' | 'machines' | 'assemblies' | 'parts';
export const thingWrite = (path: ThingPath, what: string, thing: object): Write =>
  make('POST', [path], what, thing);
export const thingPatch = (path: ThingPath, id: string, what: string, patch: object): Write =>
  make('PATCH', [path, id], what, patch);
export const thingGone = (path: ThingPath, id: string, what: string, version: number): Write => {
  const write = make('DELETE', [path, id], what);
  return { ...write, path: `${write.path}?version=${version}` };
};
export const newShopWrite = (shop: object): Write => make('POST', ['shop'], 'The shop', shop);
export const shopWrite = (patch: object): Write => make('PATCH', ['shop'], 'The shop’s data', patch);
export const meansWrite = (patch: object): Write => make('PATCH', ['shop', 'means'], 'House practice', patch);
export const templateWrite = (t: SurveyTemplate): Write =>
  make('POST', ['templates'], `The template “${t.name}”`, t);
export const planWrite = (plan: PlanInput): Write => make('POST', ['plan'], 'The plan', plan, plan.planId);
/** A picture goes before the entry that names it. */
export const pictureWrite = (pictureId: string, file: Blob): Write => ({
  ...make('POST', ['pictures'], 'A picture', null, pictureId),
  file,
});
export const templateGone = (templateId: string): Write =>
  make('DELETE', ['templates', templateId], 'A template taken off the list');
