import type { ShopFile } from '@calvetta/contract';

/** Who comes and when, where work stands, and what reads the air there. */
export const PEOPLE_AND_PLACES: Pick<ShopFile, 'attendance' | 'exceptions' | 'people' | 'places' | 'probes'> =
  {
    attendance: [
      { weekday: 2, from: '18:30', to: '21:30' },
      { weekday: 4, from: '18:30', to: '21:30' },
      { weekday: 6, from: '09:30', to: '16:30' },
    ],
    // A painter’s day: somebody comes over for it.
    exceptions: [{ day: '2026-03-18', from: '10:00', to: '17:00' }],
    people: [
      { personId: 'ines', name: 'Ines', isNamed: true },
      {
        personId: 'ruth',
        name: 'Ruth',
        isNamed: true,
        comes: { weekdays: null, days: [{ fromDay: '2026-03-23', toDay: '2026-03-29', comes: false }] },
      },
      { personId: 'tom', name: 'Tom', comes: { weekdays: [2, 4], days: [] } },
      { personId: 'nell', name: 'Nell', isNamed: true, comes: { weekdays: [6], days: [] } },
      {
        personId: 'joss',
        name: 'Joss',
        minorUntil: '2031-06-01',
        comes: { weekdays: [6], days: [] },
      },
      { personId: 'ravi', name: 'Ravi', comes: { weekdays: [4], days: [] } },
      // A painter from another works, for a day.
      {
        personId: 'fay',
        name: 'Fay',
        comes: { weekdays: [], days: [{ fromDay: '2026-03-18', toDay: '2026-03-18', comes: true }] },
      },
      // Signs for what the others did.
      { personId: 'orla', name: 'Orla', isNamed: true, comes: { weekdays: [], days: [] } },
    ],
    places: [
      { placeId: 'booth', name: 'Spray booth', exposure: 'indoor-fans', altitudeM: 4, setpointC: 18 },
      { placeId: 'shed', name: 'Running shed', exposure: 'indoor-still', altitudeM: 4, setpointC: null },
      { placeId: 'leanto', name: 'Lean-to', exposure: 'indoor-fans', altitudeM: 3, setpointC: null },
    ],
    probes: [
      {
        probeId: 'probe-booth',
        placeId: 'booth',
        partId: null,
        name: 'Booth wall',
        isSimulated: true,
      },
      {
        probeId: 'probe-shed',
        placeId: 'shed',
        partId: null,
        name: 'Shed pillar',
        isSimulated: true,
      },
      {
        probeId: 'probe-leanto',
        placeId: 'leanto',
        partId: 'pump.cylinder-block',
        name: 'Lean-to, magnet on the block',
        isSimulated: true,
      },
      {
        probeId: 'logger-leanto',
        placeId: 'leanto',
        partId: null,
        name: 'Lean-to, old logger',
        isSimulated: true,
      },
    ],
  };
