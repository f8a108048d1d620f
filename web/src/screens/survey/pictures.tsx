import type { ReactNode } from 'react';
import type { AskedField, Survey } from '@calvetta/core';
import { PlacePicture } from '../../drawings/PlacePicture.tsx';
import { SurfacePicture, type SurfaceLook } from '../../drawings/SurfacePicture.tsx';

const PAINT = '#2f5a4c';
const PITCH = '#1d1b1a';

/** What each answer looks like on the part. A field without a picture is asked in words. */
const LOOKS: Readonly<Partial<Record<AskedField, Readonly<Record<string, SurfaceLook>>>>> = {
  rust: {
    none: {},
    A: { scale: 0.96, rust: 0.08 },
    B: { scale: 0.5, rust: 0.5 },
    C: { rust: 1, pits: 0.25 },
    D: { rust: 1, pits: 1, deep: true },
  },
  pits: { none: { rust: 0.2 }, light: { rust: 0.5, pits: 0.6 }, deep: { rust: 0.7, pits: 1, deep: true } },
  scale: { yes: { scale: 0.8, rust: 0.2 }, no: { rust: 0.5 } },
  oil: { none: {}, surface: { oil: 1 }, soaked: { soaked: true } },
  coating: {
    none: { rust: 0.35 },
    sound: { paint: PAINT },
    partly: { paint: PAINT, flaked: 0.4 },
    unsound: { paint: PAINT, flaked: 0.8 },
  },
  coatKind: {
    'one-pack': { paint: PAINT, rubbed: 'soft' },
    'two-pack': { paint: PAINT, rubbed: 'hard' },
    bitumen: { paint: PITCH, rubbed: 'soft' },
    powder: { paint: '#7d8a3c', rubbed: 'hard' },
  },
  solventRub: { passed: { paint: PAINT, rubbed: 'hard' }, failed: { paint: PAINT, rubbed: 'soft' } },
  oldFiller: { yes: { paint: PAINT, flaked: 0.3, patches: 'filler' }, no: { paint: PAINT, flaked: 0.3 } },
  phosphated: { yes: { patches: 'phosphate' }, no: {} },
  glue: { yes: { patches: 'glue' }, no: {} },
  plating: {
    none: {},
    chrome: { plated: 'chrome' },
    zinc: { plated: 'zinc' },
    cadmium: { plated: 'cadmium' },
    anodised: { plated: 'anodised' },
  },
  alsoOn: {
    wax: { patches: 'wax' },
    silicone: { patches: 'silicone' },
    soot: { patches: 'soot' },
    underseal: { patches: 'underseal' },
    tar: { patches: 'tar' },
    'white-corrosion': { patches: 'white' },
    verdigris: { patches: 'verdigris' },
    'luminous-paint': { patches: 'luminous' },
  },
  leaks: { yes: { crack: true }, no: {} },
};

/** The picture of an answer on this part; null: it is said in words. */
export function pictureOf(field: AskedField, answer: string, s: Survey): ReactNode {
  if (field === 'category')
    return answer === 'unknown' ? null : (
      <PlacePicture category={answer as Exclude<Survey['category'], 'unknown'>} />
    );
  const look = LOOKS[field]?.[answer];
  if (look === undefined) return null;
  const flaked =
    field === 'coating' && answer === 'partly' && s.soundShare !== null ? 1 - s.soundShare : look.flaked;
  return <SurfacePicture substrate={s.substrate} look={flaked === undefined ? look : { ...look, flaked }} />;
}
export const hasPictures = (field: AskedField): boolean => field === 'category' || LOOKS[field] !== undefined;
