import { useState } from 'react';
import { M2_PER_FT2, type Dimension, type Substrate } from '@calvetta/core';
import { maybe, quantity, words } from '../forms/read.ts';
import { useDraft, type Draft } from '../forms/useDraft.ts';
import { usePrefs } from '../state/prefs.ts';

/** What a part is: all that a person says of it but what happened to it. */
export interface PartData {
  readonly name: string;
  readonly substrate: Substrate;
  readonly assemblyId: string;
  readonly faceCount: 1 | 2;
  readonly pairPartId: string | null;
  readonly isBrightMetal: boolean;
  readonly massKg: number | null;
  readonly areaM2: number | null;
  readonly thicknessMm: number | null;
  readonly colourGroup: string | null;
  readonly comesFrom: string | null;
}

export const numberText = (x: number | null): string => (x === null ? '' : String(Number(x.toPrecision(4))));
const size = (field: string, dimension: Dimension, bareUnit: string, max: number, per = 1) =>
  maybe(quantity({ field, dimension, bareUnit, min: 1e-5, max }, per));
const readersFor = (areaUnit: 'm2' | 'ft2') => ({
  name: words,
  massKg: size('mass', 'mass', 'kg', 200_000),
  areaM2: size('area', 'area', areaUnit, 10_000),
  thicknessMm: size('thickness', 'length', 'mm', 1, 1000),
  colourGroup: maybe(words),
  comesFrom: maybe(words),
});
type PartReaders = ReturnType<typeof readersFor>;
type Chosen = Pick<PartData, 'substrate' | 'assemblyId' | 'faceCount' | 'pairPartId' | 'isBrightMetal'>;

export interface PartForm {
  readonly machineId: string;
  readonly draft: Draft<PartReaders>;
  readonly chosen: Chosen;
  readonly choose: (patch: Partial<Chosen>) => void;
  readonly areaUnit: 'm2' | 'ft2';
  /** Every field read; null while one will not do, each saying why at its place. */
  readonly read: () => PartData | null;
}

/** A part's form: typed fields in the reader's units, and choices. */
export function usePartForm(machineId: string, first: PartData): PartForm {
  const areaUnit = usePrefs((s) => s.units.area);
  const [chosen, setChosen] = useState<Chosen>(first);
  const draft = useDraft<PartReaders>(readersFor(areaUnit), () => ({
    name: first.name,
    massKg: numberText(first.massKg),
    areaM2: numberText(first.areaM2 === null || areaUnit === 'm2' ? first.areaM2 : first.areaM2 / M2_PER_FT2),
    thicknessMm: numberText(first.thicknessMm),
    colourGroup: first.colourGroup ?? '',
    comesFrom: first.comesFrom ?? '',
  }));
  return {
    machineId,
    draft,
    chosen,
    choose: (patch) => setChosen((old) => ({ ...old, ...patch })),
    areaUnit,
    read: () => {
      const v = draft.read();
      if (!v) return null;
      const thicknessMm = v.thicknessMm === null ? null : Number(v.thicknessMm.toFixed(3));
      const { substrate, assemblyId, faceCount, pairPartId, isBrightMetal } = chosen;
      return { ...v, thicknessMm, substrate, assemblyId, faceCount, pairPartId, isBrightMetal };
    },
  };
}
