/** Film: how much, how it is read and judged, and with what: the part of core that others use. */
export { hingeMomentNm } from './mass.ts';
export { facesLossUm, boreLossUm, fitAfter } from './fit.ts';
export { histogram, readingsNeeded } from './readings.ts';
export { GAUGE_ZEROS, type GaugeZero, PROFILES, type ProfileGrade } from './kinds.ts';
export { type Requirement } from './accept.ts';
export { ACCEPTANCE, type AcceptanceRule } from './kinds.ts';
export { wetFilmUm } from './spreading.ts';
export { combPrediction } from './wetComb.ts';
export { type GaugeRefusal, type GaugeAnswer, readGaugeRows } from './gaugeRows.ts';
export { coatsMissing } from './measured.ts';
export {
  GAUGE_KINDS,
  type GaugeKind,
  checksOf,
  gaugeTrust,
  judgeCheck,
  judgeScale,
  USUAL_SCALE,
  USUAL_LIMITS,
  type GaugeLimits,
  type GaugeTrust,
} from './gaugeTrust.ts';
export { type FilmReadBody, type FilmJudgement, judgeFilm } from './judgeFilm.ts';
export { filmMap, spotsWanted, type FilmLevel, type MappedReading, type Spot } from './filmMap.ts';
