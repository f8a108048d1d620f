import type { Face, FactBodies, FactKind } from '@calvetta/core';
import { demoPicture } from './pictures.ts';

/** Logs an entry of a part so many hours ago; answers its id. */
type Add = <K extends FactKind>(
  partId: string,
  kind: K,
  hoursAgo: number,
  body: FactBodies[K],
  face?: Face | null,
) => string;
/** The last coat of a part. */
type TopCoat = (partId: string) => { readonly factId: string; readonly hoursAgo: number };

/** What was found in the demo’s works: each in another stage, so that every part of Inspect has something to show. */
export function demoFindings(add: Add, topCoat: TopCoat): void {
  pitsAndLevelling(add);
  faults(add, topCoat);
  trials(add);
  pair(add);
  referred(add);
  pictures(add);
}

/** A pitted bonnet, half levelled. */
function pitsAndLevelling(add: Add): void {
  const bonnet = 'fenland.bonnet-top';
  const findingId = add(bonnet, 'found', 30, { what: 'pits', x: 0.4, y: 0.42, extentPct: 20 }, 'A');
  add(
    bonnet,
    'pits-measured',
    29.8,
    {
      findingId,
      deepestMm: [0.3, 0.45, 0.52, 0.38, 0.61, 0.47, 0.55, 0.41],
      wholeOverPatch: 40,
      isThrough: false,
      soundMm: 2,
      soundBy: 'measured',
      leastMm: 0.5,
    },
    'A',
  );
  add(
    bonnet,
    'repair-chosen',
    29.5,
    { findingId, repair: 'fill', reason: 'the skin is ours, and sound' },
    'A',
  );
  add(bonnet, 'level-set', 29, { standard: 'show' }, 'A');
  [42, 27, 18].forEach((showingPct, i) =>
    add(
      bonnet,
      'levelled',
      28 - 5 * i,
      { what: 'surfacer', gritP: 180, showingPct, minutes: 35 - 3 * i },
      'A',
    ),
  );
  // Read all over after the last coat: the block has been hard on the edges.
  const film = [
    [84, 0.12, 0.72],
    [118, 0.17, 0.5],
    [133, 0.28, 0.33],
    [148, 0.4, 0.24],
    [171, 0.52, 0.22],
    [152, 0.65, 0.27],
    [141, 0.78, 0.42],
    [139, 0.86, 0.6],
  ] as const;
  add(
    bonnet,
    'film-read',
    0.5,
    {
      scope: 'system',
      by: 'gauge',
      readingsUm: film.map(([um]) => um),
      spots: film.map(([, x, y]) => ({ x, y })),
      perSpot: 1,
      gaugeId: 'red-gauge',
      zero: 'on-profile',
      profile: 'medium',
      baseUm: null,
      rule: 'iso-19840',
      nominalUm: 140,
      minUm: null,
      maxUm: null,
    },
    'A',
  );
  add(bonnet, 'card-tested', 26, { card: 'coin-tap', result: 'good' }, 'A');
}

/** A run with a clear record, an enamel that wrinkled, a dull patch that was mended. */
function faults(add: Add, topCoat: TopCoat): void {
  const rudder = topCoat('saltern.rudder');
  add('saltern.rudder', 'film-read', rudder.hoursAgo - 0.1, {
    scope: 'coat',
    by: 'comb',
    readingsUm: [78, 82, 80],
    perSpot: 1,
    zero: 'smooth',
    profile: 'none',
    baseUm: null,
    rule: 'own',
    nominalUm: 45,
    minUm: null,
    maxUm: null,
  });
  add('saltern.rudder', 'found', rudder.hoursAgo * 0.5, {
    what: 'fault',
    fault: 'sag',
    coatFactId: rudder.factId,
    seenAfter: 'days',
    x: 0.55,
    y: 0.7,
    sizeMm: 60,
  });
  const seat = topCoat('fenland.seat-pan');
  add('fenland.seat-pan', 'found', seat.hoursAgo - 1, {
    what: 'fault',
    fault: 'lifting',
    coatFactId: seat.factId,
    seenAfter: 'days',
    x: 0.5,
    y: 0.35,
  });
  const fin = topCoat('saltern.fin');
  const dull = add('saltern.fin', 'found', fin.hoursAgo * 0.75, {
    what: 'fault',
    fault: 'nibs',
    coatFactId: fin.factId,
    seenAfter: 'days',
    x: 0.3,
    y: 0.3,
    count: 7,
  });
  add('saltern.fin', 'finding-answered', fin.hoursAgo * 0.7, { findingId: dull, code: 'dust', says: 'yes' });
  add('saltern.fin', 'finding-closed', fin.hoursAgo * 0.6, {
    findingId: dull,
    how: 'accepted',
    causeId: 'nibs:dust',
    reason: 'seven specks below the hinge; nobody sees them',
  });
}

/** Two die-castings tried: one primer holds, the other comes off. */
function trials(add: Add): void {
  add('pump.lubricator', 'adhesion-tried', 200, {
    by: 'cross-cut',
    sheetId: 'epoxy-primer.1',
    detachedPct: 3,
  });
  add('saltern.carburettor-body', 'adhesion-tried', 210, {
    by: 'cross-cut',
    sheetId: 'etch-2k.1',
    detachedPct: 45,
  });
}

/** A left and a right: the one remade, the other saved. */
function pair(add: Add): void {
  const left = add('fenland.bonnet-side-left', 'found', 160, { what: 'thinning', x: 0.2, y: 0.8 }, 'A');
  add('fenland.bonnet-side-left', 'repair-chosen', 159, {
    findingId: left,
    repair: 'remake',
    reason: 'the lower edge is gone, and the curve with it',
  });
  add('fenland.bonnet-side-left', 'finding-closed', 150, {
    findingId: left,
    how: 'repaired',
    reason: 'rolled anew to the pattern of the right',
  });
  const right = add(
    'fenland.bonnet-side-right',
    'found',
    160,
    { what: 'dent', x: 0.7, y: 0.5, sizeMm: 40 },
    'A',
  );
  add('fenland.bonnet-side-right', 'finding-closed', 148, {
    findingId: right,
    how: 'repaired',
    reason: 'beaten out',
  });
}

/** The tank as it came, and as it is now. */
function pictures(add: Add): void {
  add('quarry.saddle-tank', 'pictured', 695, {
    pictureId: demoPicture('tank-before'),
    stage: 'before',
    note: 'left side, as it came',
  });
  add('quarry.saddle-tank', 'pictured', 28, {
    pictureId: demoPicture('tank-after'),
    stage: 'after',
    note: 'left side, in surfacer',
  });
}

/** Rust weeping where the saddle meets the boiler: not a matter of paint. */
function referred(add: Add): void {
  add('quarry.smokebox-saddle', 'found', 70, {
    what: 'sign',
    sign: 'rust-weeping',
    x: 0.6,
    y: 0.3,
    note: 'three studs on the fireman’s side',
  });
}
