import Papa from 'papaparse';
import { readGaugeRows, type GaugeAnswer, type GaugeRefusal } from '@calvetta/core';

/** A pasted column or a gauge's file as readings: split into cells, then read by core. */
export function readGaugeText(text: string, unit: 'um' | 'mil' | null): GaugeAnswer {
  // Found out when a decimal comma meets commas: a file with semicolons or tabs keeps its commas.
  const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true, delimiter: delimiterOf(text) });
  return readGaugeRows(parsed.data, unit);
}

const delimiterOf = (text: string): string => (text.includes('\t') ? '\t' : text.includes(';') ? ';' : ',');

export function gaugeRefusalWords(e: GaugeRefusal): string {
  switch (e.code) {
    case 'no-readings':
      return 'No reading found: a column of films, with or without a heading, is what can be read.';
    case 'too-thick':
      return `Line ${e.line}: ${e.gotUm.toFixed(0)} µm is more than a gauge gives (${e.maxUm} µm): is the unit right?`;
    case 'which-unit':
      return `The file does not say its unit. Is ${e.example} a reading in µm, or in mil (${e.asMilUm.toFixed(0)} µm)?`;
  }
}
