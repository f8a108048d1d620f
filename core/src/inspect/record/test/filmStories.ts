import { sheet } from '../../../test/build.ts';
import {
  EPOXY,
  ETCH,
  FILLER,
  finish,
  twoCoats,
  overEpoxy,
  blasted,
  thick,
  thin,
  type Story,
} from './build.ts';

/**
 * Stories of our own about how a film was laid: what was seen, what the record holds, what somebody answered, and the cause that the trade would name. Common practice,
 * no published source, unless a line names one; handbooks of coating failures and ISO 4628, ISO 8502 say the same, as quoted from memory.
 */
export const FILM_STORIES: readonly Story[] = [
  {
    says: 'a run on a strut, second coat after four of ten minutes',
    fault: 'sag',
    record: { coats: twoCoats(4 / 60) },
    cause: 'gap-short',
  },
  {
    says: 'a run, measured at 95 µm where 60 is the most',
    fault: 'sag',
    record: { before: [thick] },
    cause: 'wet-film',
  },
  {
    says: 'a run at 12 °C with slow thinner',
    fault: 'sag',
    record: { surfaceC: 12, coats: [{ of: finish(), atH: 0, body: { thinnerGrade: 'slow' } }] },
    cause: 'slow-thinner-for-the-cold',
  },
  {
    says: 'a run, the gun was logged at 90 mm',
    fault: 'sag',
    record: { coats: [{ of: finish(), atH: 0, body: { gunMm: 90 } }] },
    cause: 'gun-near-or-slow',
  },
  {
    says: 'a run, forty per cent thinner where the sheet allows far less',
    fault: 'sag',
    record: { mix: { thinPct: 60 } },
    answers: { 'gun-near': 'no' },
    cause: 'over-thinned',
  },
  {
    says: 'a run on a casting at 7 °C',
    fault: 'sag',
    record: { surfaceC: 7, rhPct: 70 },
    answers: { 'thinner-slow': 'no', 'gun-near': 'no' },
    cause: 'cold-part',
  },
  {
    says: 'sand in the gloss, fast thinner at 28 °C',
    fault: 'dry-spray',
    record: { surfaceC: 28, coats: [{ of: finish(), atH: 0, body: { thinnerGrade: 'fast' } }] },
    cause: 'thinner-fast-for-the-heat',
  },
  {
    says: 'sandy film, the gun was at 320 mm',
    fault: 'dry-spray',
    record: { coats: [{ of: finish(), atH: 0, body: { gunMm: 320 } }] },
    cause: 'gun-far',
  },
  {
    says: 'sandy on a bonnet at 34 °C in the sun',
    fault: 'dry-spray',
    record: { surfaceC: 34 },
    answers: { 'gun-far': 'no' },
    cause: 'hot-part',
  },
  {
    says: 'sandy by an open door with the wind in it',
    fault: 'dry-spray',
    record: { coats: [{ of: finish(), atH: 0, body: { gunMm: 180, thinnerGrade: 'medium' } }] },
    answers: { draught: 'yes', 'overspray-on-set': 'no' },
    cause: 'draught',
  },
  {
    says: 'strings like a cobweb, paint past its date',
    fault: 'cobwebbing',
    record: { mix: { isPaintPast: true, thinPct: 0 } },
    cause: 'thick-or-old-paint',
  },
  {
    says: 'strings, thinned well, fast thinner on warm metal',
    fault: 'cobwebbing',
    record: {
      surfaceC: 29,
      mix: { thinPct: 15, isPaintPast: false },
      coats: [{ of: finish(), atH: 0, body: { thinnerGrade: 'fast' } }],
    },
    cause: 'fast-solvent',
  },
  {
    says: 'orange peel, unthinned and 11 °C',
    fault: 'orange-peel',
    record: { surfaceC: 11, mix: { thinPct: 0 } },
    cause: 'thick-or-cold-paint',
  },
  {
    says: 'orange peel on metal at 33 °C',
    fault: 'orange-peel',
    record: { surfaceC: 33, mix: { thinPct: 10 } },
    cause: 'fast-or-hot',
  },
  {
    says: 'orange peel, the gun at 300 mm',
    fault: 'orange-peel',
    record: {
      surfaceC: 20,
      mix: { thinPct: 10 },
      coats: [{ of: finish(), atH: 0, body: { gunMm: 300, thinnerGrade: 'medium' } }],
    },
    cause: 'gun-far',
  },
  {
    says: 'orange peel, 18 µm where 30 is the least',
    fault: 'orange-peel',
    record: { before: [thin], mix: { thinPct: 10 } },
    cause: 'film-thin',
  },
  {
    says: 'craters two days after cavity wax in the same bay',
    fault: 'craters',
    record: { silicone: [-48] },
    cause: 'silicone-wax-oil',
  },
  {
    says: 'craters, drops on a rag held to the air line',
    fault: 'craters',
    answers: { 'line-wet-or-oily': 'yes' },
    record: {
      before: [
        { kind: 'degreased', atH: -3 },
        { kind: 'wiped', atH: -0.2 },
      ],
    },
    cause: 'air-line',
  },
  {
    says: 'craters on the old gloss that was kept, polished for years',
    fault: 'craters',
    record: {
      survey: { coating: 'sound' },
      before: [
        { kind: 'degreased', atH: -3 },
        { kind: 'wiped', atH: -0.1 },
      ],
    },
    answers: { 'old-polish': 'yes', 'line-wet-or-oily': 'no' },
    cause: 'old-polish-below',
  },
  {
    says: 'white bloom in the gloss at 92 % humidity',
    fault: 'blush',
    record: { rhPct: 92, surfaceC: 18 },
    cause: 'damp-air-and-fast-thinner',
  },
  {
    says: 'greasy film on the epoxy, 6 °C and damp',
    fault: 'bloom',
    record: { surfaceC: 6, rhPct: 88, coats: [{ of: EPOXY, atH: 0 }] },
    cause: 'cold-or-damp-cure',
  },
  {
    says: 'greasy film on the epoxy beside a paraffin heater',
    fault: 'bloom',
    record: {
      surfaceC: 18,
      rhPct: 50,
      coats: [{ of: EPOXY, atH: 0 }],
      mix: { ratioOff: 0.01, usableMin: 10, ageMin: 30 },
    },
    answers: { 'fuel-heater': 'yes' },
    cause: 'heater-fumes',
  },
  {
    says: 'greasy film, used at once where the sheet asks half an hour',
    fault: 'bloom',
    record: {
      surfaceC: 20,
      rhPct: 45,
      coats: [{ of: sheet({ ...EPOXY, sheetId: 's1' }), atH: 0 }],
      mix: { ratioOff: 0 },
    },
    answers: { 'no-induction': 'yes', 'fuel-heater': 'no' },
    cause: 'no-induction',
  },
  {
    says: 'pops, 95 µm in one coat',
    fault: 'solvent-pop',
    record: { before: [thick], surfaceC: 20 },
    cause: 'wet-film',
  },
  {
    says: 'pops, three minutes between coats',
    fault: 'solvent-pop',
    record: { coats: twoCoats(3 / 60) },
    cause: 'flash-short',
  },
  { says: 'pops on a tank top at 38 °C', fault: 'solvent-pop', record: { surfaceC: 38 }, cause: 'hot' },
  {
    says: 'pinholes over a grey-iron casting',
    fault: 'pinholes',
    record: { substrate: 'grey-iron', coats: [{ of: EPOXY, atH: 0 }] },
    cause: 'porous-metal-or-weld',
  },
  {
    says: 'pinholes over filler on sheet',
    fault: 'pinholes',
    record: {
      substrate: 'steel-sheet',
      survey: { pits: 'none' },
      coats: [
        { of: FILLER, atH: 0 },
        { of: EPOXY, atH: 40 },
      ],
    },
    cause: 'air-in-filler',
  },
  {
    says: 'pinholes over pitted plate with rust in the pits',
    fault: 'pinholes',
    record: {
      substrate: 'steel-plate',
      survey: { pits: 'deep', features: [], oldFiller: 'no' },
      before: [
        blasted,
        { kind: 'inspected', body: { seen: { rust: 'pits', paint: 'none', water: 'sheets' } }, atH: -1 },
      ],
      coats: [{ of: EPOXY, atH: 0 }],
    },
    cause: 'pits-not-cleaned',
  },
  {
    says: 'wrinkles, two-pack over a kept one-pack that a rag softens',
    fault: 'lifting',
    record: { survey: { coating: 'sound', solventRub: 'failed' } },
    cause: 'solvent-on-old-or-one-pack',
  },
  {
    says: 'wrinkles, etch primer on old paint',
    fault: 'lifting',
    record: {
      survey: { coating: 'partly', solventRub: 'passed' },
      coats: [
        { of: EPOXY, atH: 0 },
        { of: ETCH, atH: 40 },
      ],
    },
    cause: 'etch-on-paint',
  },
  {
    says: 'wrinkles, coated four hours after one that had not set at 8 °C',
    fault: 'lifting',
    record: { surfaceC: 8, rhPct: 60, before: [blasted], coats: overEpoxy(3) },
    cause: 'below-uncured',
  },
];
