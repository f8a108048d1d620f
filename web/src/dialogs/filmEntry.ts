import { cellsOf } from './cells.ts';
import { readGaugeRows, type GaugeAnswer, type GaugeRefusal } from '@calvetta/core';

/** A pasted column or a gauge's file as readings: split into cells, then read by core. */
export function readGaugeText(text: string, unit: 'um' | 'mil' | null): GaugeAnswer {
  return readGaugeRows(cellsOf(text), unit);
}

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
