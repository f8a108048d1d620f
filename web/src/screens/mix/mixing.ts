import {
  jobGroups,
  MARGIN_PCT,
  needOf,
  newestSheet,
  roundedUp,
  tinFor,
  totalOf,
  workOut,
  type Content,
  type JobGroup,
  type ProductSheet,
} from '@calvetta/core';
import type { BenchResponse, ShelfResponse, TinView } from '@calvetta/contract';
import { readMl } from '../../forms/readMl.ts';
import { smallestThatHolds } from './BatchPanel.tsx';
import type { ProductOption } from './JobPanel.tsx';
import { FIRST_JOB, type MixJob } from './mixJob.ts';
import { thinOf } from './thin.ts';

/** What the mixing bench knows. */
export interface Known {
  readonly bench: BenchResponse;
  readonly shelf: ShelfResponse;
  readonly sheets: readonly ProductSheet[];
  readonly volumeSystem: 'us' | 'imperial';
  readonly groups: readonly JobGroup[];
}

/** What waits for a coat, by product and colour. */
export const groupsOf = (bench: BenchResponse, sheets: readonly ProductSheet[]): readonly JobGroup[] =>
  jobGroups(bench.rows, sheets);

/** Products to choose from: what parts take next, then what else stands on the shelf. */
export function optionsOf(
  groups: readonly JobGroup[],
  shelf: ShelfResponse,
  sheets: readonly ProductSheet[],
): ProductOption[] {
  const first = groups.map((g) => ({
    key: g.key,
    text: `${g.sheet.name}${g.colour === null ? '' : `, ${g.colour}`} — ${g.parts.length} wait, ${g.nowCount} now`,
  }));
  const others = new Map<string, ProductOption>();
  for (const t of shelf.tins.filter((x) => x.content === 'paint' && !x.isBinned)) {
    const newest = newestSheet(sheets, t.productId);
    if (!newest) continue;
    const key = `${newest.sheetId} ${t.colour ?? ''}`.trim();
    if (!groups.some((g) => g.key === key))
      others.set(key, { key, text: `${newest.name}${t.colour === null ? '' : `, ${t.colour}`}` });
  }
  return [...first, ...others.values()];
}

/** What was chosen, worked out: which sheet, how much of what, from which tins, in which cup. Null without a product. */
export function mixingOf(job: MixJob, known: Known) {
  const { bench, shelf, sheets, volumeSystem, groups } = known;
  const group = groups.find((g) => g.key === job.key) ?? null;
  const [sheetId = '', ...colourWords] = job.key.split(' ');
  const sheet = group?.sheet ?? sheets.find((s) => s.sheetId === sheetId);
  if (!sheet) return null;
  const colour = group ? group.colour : colourWords.join(' ') || null;
  const place = bench.places.find((p) => p.placeId === job.placeId) ?? bench.places[0];
  const thin = thinOf(job, sheet, place?.airC ?? null);
  const typed = readMl(job.volume, 'Mixed paint', volumeSystem);
  const way = { by: job.by, shape: job.shape, thinPct: thin.pct };
  const needs = (group?.parts ?? []).map((c) => needOf(c, sheet, way));
  const total = totalOf(
    needs.filter((n) => job.partIds.includes(n.card.partId)),
    MARGIN_PCT,
  );
  const tins: Readonly<Record<Content, TinView | null>> = {
    paint: tinFor(shelf.tins, sheet.productId, 'paint', colour, job.tins.paint),
    hardener: tinFor(shelf.tins, sheet.productId, 'hardener', null, job.tins.hardener),
    thinner: tinFor(shelf.tins, sheet.productId, 'thinner', null, job.tins.thinner),
  };
  const wantMl = job.mode === 'parts' ? (total.mixedMl > 0 ? roundedUp(total.mixedMl) : null) : typed.ml;
  const poured = pouredOf(job, volumeSystem);
  const asked = {
    sheet,
    mode: job.mode,
    wantMl,
    thinPct: thin.pct,
    paintMl: tins.paint?.levelMl ?? 0,
    hardenerMl: tins.hardener?.levelMl ?? 0,
  };
  const worked = workOut({ ...asked, poured: poured.ml });
  const planned = workOut({ ...asked, poured: null }).batch;
  const batch = worked.batch?.ok ? worked.batch.value : null;
  const cup =
    shelf.cups.find((c) => c.cupId === job.cupId) ?? smallestThatHolds(shelf.cups, batch?.totalMl ?? 0);
  return {
    group,
    sheet,
    colour,
    place,
    thin,
    typed,
    needs,
    total,
    tins,
    poured,
    worked,
    planned,
    batch,
    cup,
  };
}
export type Mixing = NonNullable<ReturnType<typeof mixingOf>>;

/** Begins with the part it was opened for, else with what most parts wait for. */
export function firstJob(
  partId: string | null,
  groups: readonly JobGroup[],
  options: readonly ProductOption[],
): MixJob {
  const asked = groups.find((g) => g.parts.some((p) => p.partId === partId));
  return {
    ...FIRST_JOB,
    key: asked?.key ?? options[0]?.key ?? '',
    mode: groups.length > 0 ? 'parts' : 'volume',
    partIds: asked && partId !== null ? [partId] : [],
  };
}

function pouredOf(job: MixJob, volumeSystem: 'us' | 'imperial') {
  const read = (text: string | undefined, field: string) => readMl(text ?? '', field, volumeSystem, 0);
  const a = read(job.poured?.a, 'A');
  const b = read(job.poured?.b, 'B');
  const thinner = read(job.poured?.thinner, 'Thinner');
  const isGiven = job.poured !== null && [a, b, thinner].some((x) => x.ml !== null);
  const isBad = [a, b, thinner].some((x) => x.problem !== null);
  return {
    ml: isGiven && !isBad ? { aMl: a.ml ?? 0, bMl: b.ml ?? 0, thinnerMl: thinner.ml ?? 0 } : null,
    problems: { a: a.problem, b: b.problem, thinner: thinner.problem },
  };
}
