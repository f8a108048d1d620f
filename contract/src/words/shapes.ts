import type { ShapeKind } from '@calvetta/core';

/** Shapes an area is added up from. */
export const SHAPE_WORDS: Readonly<Record<ShapeKind, string>> = {
  plate: 'plate',
  tube: 'tube',
  bar: 'round bar',
  box: 'box',
  channel: 'channel',
  angle: 'angle',
  'i-beam': 'I-beam',
  cylinder: 'closed cylinder',
  frustum: 'cone, cut off',
  cap: 'dished end',
  'fin-stack': 'stack of fins',
};
export const SHAPE_FIELD_WORDS: Readonly<Record<string, string>> = {
  lengthMm: 'Length',
  widthMm: 'Width',
  heightMm: 'Height',
  faces: 'Faces painted',
  diameterMm: 'Diameter',
  otherDiameterMm: 'Other diameter',
  wallMm: 'Wall (0: outside only)',
  webMm: 'Web',
  flangeMm: 'Flange',
  legMm: 'Leg',
  otherLegMm: 'Other leg',
  depthMm: 'Depth',
  fins: 'Fins',
  count: 'Pieces',
  castingFactor: 'Casting factor',
};
