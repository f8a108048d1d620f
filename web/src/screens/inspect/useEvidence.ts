import type { Evident, Figure } from '@calvetta/core';
import { evidenceFigure, evidenceWords } from '@calvetta/contract/words';
import { useUnits } from '../../ui/useUnits.ts';

/** A piece of evidence as a line, its temperatures and films in the reader's units. */
export function useEvidence(): (e: Pick<Evident, 'code' | 'says' | 'figure'>) => string {
  const units = useUnits();
  const figure = (f: Figure): string => {
    const show =
      f.unit === '°C' ? units.temp : f.unit === 'µm' ? units.film : f.unit === 'K' ? units.spread : null;
    if (!show) return evidenceFigure(f);
    return f.limit === null ? show(f.value) : `${show(f.value)}, limit ${show(f.limit)}`;
  };
  return (e) => evidenceWords(e, figure);
}
