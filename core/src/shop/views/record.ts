/** What is answered of the record: what was found, what happened, hours, batches, dossiers, aftercare. */
export {
  inspectOf,
  inspectList,
  type FilmMapView,
  type FindingView,
  type InspectList,
  type InspectView,
  type LevelView,
  type OpenFinding,
  type PitsView,
} from './inspect.ts';
export { learnedHere, learnedOf, lessonsHere, type Learned, type Lesson } from '../learned.ts';
export {
  riverOf,
  type RiverAsked,
  type RiverBin,
  type RiverEntry,
  type RiverLane,
  type RiverView,
} from './river.ts';
export { recall, type Carrier, type RecallView } from './recall.ts';
export { hoursView, type HoursView, type MachineHours } from './hours.ts';
export type { Job, RateView } from '../pace.ts';
export { dossierOf, type Dossier, type DossierCoat, type DossierFilm, type DossierPart } from './dossier.ts';
export { type CoatWindow } from './dossierWindows.ts';
export { careView, type CareLine, type CareView, type LifeBand, type ReminderLine } from './care.ts';
