import { stringify } from 'csv-stringify/sync';
import type { Dossier } from '@calvetta/core';

const COLUMNS = [
  'machine',
  'part',
  'face',
  'coat',
  'product',
  'sheet',
  'batch',
  'hardener batch',
  'thinner %',
  'tool',
  'film logged um',
  'film measured um',
  'finished',
  'who',
  'surface C',
  'air C',
  'RH %',
  'above dew K',
  'known by',
  'reason',
] as const;
type Row = Record<(typeof COLUMNS)[number], string | number>;

const one = (x: number | null): string | number => (x === null ? '' : Number(x.toFixed(1)));

/** Every coat that is on as a row (RFC 4180), for a spreadsheet; nothing in it is read as a formula. Unknown is empty. */
export function dossierCsv(d: Dossier): string {
  const rows = d.parts.flatMap((p) =>
    p.coats.map((c): Row => ({
      machine: d.machineName,
      part: p.detail.card.name,
      face: p.detail.card.faceCount > 1 ? c.face : '',
      coat: c.no,
      product: c.productName,
      sheet: c.sheetId,
      batch: c.batch ?? '',
      'hardener batch': c.hardenerBatch ?? '',
      'thinner %': one(c.thinPct),
      tool: c.tool ?? '',
      'film logged um': one(c.loggedUm),
      'film measured um': one(c.measuredUm),
      finished: new Date(c.atMs).toISOString(),
      who: c.personName ?? '',
      'surface C': one(c.air?.surfaceC ?? null),
      'air C': one(c.air?.airC ?? null),
      'RH %': one(c.air?.rhPct ?? null),
      'above dew K': one(c.air?.dewMarginK ?? null),
      'known by': c.air?.source ?? '',
      reason: c.reason ?? '',
    })),
  );
  return stringify(rows, {
    header: true,
    columns: [...COLUMNS],
    escape_formulas: true,
    record_delimiter: 'windows',
  });
}
