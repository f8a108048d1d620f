import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns/format';
import { METRIC, showFilm, showTemperature, type Dossier } from '@calvetta/core';

/** Says times and figures of a dossier, in the shop's zone and money. */
export class Sayer {
  private readonly zone: string;
  private readonly coins: Intl.NumberFormat;
  private readonly digits: number;
  constructor(d: Dossier) {
    this.zone = d.zone;
    this.coins = new Intl.NumberFormat('en-GB', { style: 'currency', currency: d.currency });
    this.digits = this.coins.resolvedOptions().maximumFractionDigits ?? 2;
  }
  readonly when = (ms: number): string => format(new TZDate(ms, this.zone), 'd MMM yyyy HH:mm');
  readonly money = (cents: number): string => this.coins.format(cents / 10 ** this.digits);
  readonly film = (um: number): string => {
    const s = showFilm(um, METRIC);
    return `${s.text} ${s.unit}`;
  };
  readonly temp = (c: number, digits = 1): string => {
    const s = showTemperature(c, METRIC, digits);
    return `${s.text} ${s.unit}`;
  };
}
