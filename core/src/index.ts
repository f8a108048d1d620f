/** The written front door of core: a new name here is a decision. */
// base
export { type Result, must } from './base/result.ts';
export type { Failure } from './base/failure.ts';
export { type Random, seededRandom, normal } from './base/random.ts';
export { FORECAST_REACH_MS, HOUR_MS, DAY_MS, type Span } from './base/time.ts';
export { recent } from './base/recent.ts';
export { canonicalJson } from './base/canonical.ts';
export { instantFrom, isTime, type WrittenTime } from './base/instant.ts';
export { dayAfter, instantOf, instantsOf, offsetByHourMs } from './base/zone.ts';
export { pointersIn, type Ref, type Shape as DataShape } from './base/shape.ts';

// units
export { UM_PER_MIL, M2_PER_FT2, fFromC } from './units/factors.ts';
export type { Dimension, VolumeSystem } from './units/quantity.ts';
export { type QuantityField, splitNumber, parseQuantity } from './units/parse.ts';
export {
  type UnitPreference,
  METRIC,
  type Shown,
  showTemperature,
  showDifference,
  showFilm,
  showArea,
  showMass,
  showVolume,
} from './units/display.ts';

// air
export { esOverWaterHpa } from './air/saturation.ts';
export { dewPointOverWaterC } from './air/dewPoint.ts';
export { vapourHpa } from './air/humidity.ts';
export { type Psychrometer, rhFromWetBulbPct } from './air/psychrometer.ts';
export { type AirReading, type ReadingTrust, isStuck } from './air/reading.ts';
export {
  DEW_MARGIN_K,
  type GateStatus,
  type GateKind,
  type Gate,
  type GateVerdict,
  dewMargin,
  judgeGates,
} from './air/gate.ts';
export { type ForecastHour, stretchesFrom } from './air/track.ts';
export { heatToFit } from './air/heat.ts';

// part
export { SUBSTRATES, type Substrate, MATERIALS, isCasting } from './part/substrate.ts';
export {
  type Shape,
  type ShapeKind,
  CASTING_FACTOR,
  SHAPE_FIELDS,
  type Pieces,
  totalAreaM2,
  areaFromMassM2,
} from './part/area.ts';
export {
  ANSWERS,
  RUST,
  PITS,
  OIL,
  COATING,
  COAT_KINDS,
  TEST_RESULTS,
  LEGACY,
  PRIOR_PRIMERS,
  PLATINGS,
  ALSO_ON,
  FLUIDS,
  type Fluid,
  TOO_BIG_FOR,
  CATEGORIES,
  DURABILITY,
  FINISHES,
  REACHES,
  FEATURES,
  CRITICALITIES,
  USUAL_FIELDS,
  type UsualField,
  type Survey,
  blankSurvey,
  wholeSurvey,
  ZONE_KINDS,
  type ZoneKind,
  type Zone,
} from './part/survey.ts';
export { type SurveyDoubt, surveyDoubts } from './part/surveyDoubts.ts';
export { answered, withKind } from './part/usualOfKind.ts';
export { kindsFor, likelyKinds } from './part/kindWords.ts';
export {
  type SurveyField,
  type AskedField,
  SURVEY_SHAPES,
  type SurveyGroup,
  SURVEY_GROUPS,
  isAsked,
  nothingUnusual,
} from './part/surveySheet.ts';
export { PART_KINDS, type PartKind } from './part/kinds.ts';
export {
  FACILITIES,
  type Facility,
  type Schools,
  type ShopMeans,
  DEFAULT_SCHOOLS,
  NO_CAPACITY,
  type Capacity,
  SMALL_SHOP,
  FULL_SHOP,
  meansFor,
} from './part/shopMeans.ts';
export { usualSizes, type UsualSize } from './shop/usualSize.ts';
export { patternOf, takenOver, type PatternPart } from './shop/pattern.ts';
export { metalOf } from './part/metalWords.ts';
export { EXPOSURES, type Exposure } from './part/thermal/lag.ts';
export type { SurfaceSource, SurfaceStretch, OwnReading } from './part/thermal/track.ts';

// products
export { type StageTimes, fitCurve, stageHoursAt, maxStageHoursAt } from './products/curve.ts';
export { BINDERS, type Binder } from './products/binder.ts';
export { STAGES, type Stage, type ProductSheet, withActivation } from './products/sheet.ts';
export { newestSheets, newestSheet } from './products/newest.ts';
export { usualTool } from './work/minutes.ts';
export { TOOLS, type Tool, METALS, PIGMENTS } from './products/traits.ts';
export { traitsOf } from './products/traitsByBinder.ts';
export { type Family, CATALOGUE_SHEETS, familiesOf } from './products/catalogue/index.ts';
export { readFilm, readRatio, readTimes } from './products/tin/read.ts';
export { sheetLike, type Inherited, type TinBack } from './products/tin/sheetLike.ts';

// cure
export { crossing, progressAt } from './cure/clock.ts';
export { stageTable } from './cure/tables.ts';
export type { Edge, RibbonSpan } from './cure/windows.ts';
export type { SuspectCause } from './cure/suspect.ts';
export type { BarePrep } from './cure/bare.ts';

// film
export * from './film/index.ts';

// work
export { MARGIN_PCT, roundedUp } from './work/paint.ts';
export { type Applicator, TRANSFER, applicatorOf, WORK_SHAPES, type WorkShape } from './work/transfer.ts';

// mix
export { type Batch, recipeOf, batchOfMixed, scaleSteps, type Repair, repairOverPour } from './mix/recipe.ts';
export { thinnerGrade, thinnerStartPct, vocAsAppliedGL } from './mix/thinner.ts';
export { type ThinnerGrade, THINNER_GRADES } from './mix/kinds.ts';
export { FLOW_CUPS, type FlowCup, viscosityMm2S, cupSeconds } from './mix/flowCup.ts';
export {
  type CupShape,
  checkCup,
  cupFullMl,
  cupHeightMm,
  type CupMark,
  cupMarks,
  cupFromWater,
} from './mix/cup.ts';
export { type LeftoverItem, chooseLeftover } from './mix/leftover.ts';

// shelf
export { CONTENTS, type Content } from './shelf/tins.ts';
export { type Account, type StockConflict, imbalanceMl } from './shelf/ledger.ts';
export { type Offer, cheapestCover } from './shelf/cover.ts';
export { contentDensityKgL } from './shelf/density.ts';

// facts
export { originMs, type Kind } from './facts/envelope.ts';
export {
  FACES,
  type Face,
  STRIP_METHODS,
  type StripMethod,
  PRETREATMENTS,
  TESTS,
  PICTURE_STAGES,
  type PictureStage,
  type TestKind,
  CONTAMINANTS,
  PART_FACTS,
  type FactBodies,
  type FactKind,
  type Fact,
  standingFacts,
  ofKind,
  type FactOf,
} from './facts/part.ts';
export { seenSinceStripped } from './facts/prep.ts';
export {
  RATIO_BY,
  WASTE_REASONS,
  STOCK_FACTS,
  type StockKind,
  STOCK_KINDS,
  type StockBodies,
  type StockFactOf,
  type StockFact,
} from './facts/stock.ts';

// bench
export type { CureState } from './bench/film.ts';
export { limitsOf, PREDICTED_SPREAD_K, unfitSpans } from './bench/air.ts';
export { HEADLINES, type Headline } from './bench/headline.ts';
export type { NextAct, ActCode } from './bench/act.ts';
export { type CoatRefusal, isFinal, coatVerdict, coatedFace } from './bench/verdict.ts';
export { mixTrouble } from './mix/trouble.ts';

// route
export {
  STEP_KINDS,
  type StepKind,
  METHODS,
  type Method,
  type StepGate,
  type RouteStep,
} from './route/route.ts';
export { type RouteView, viewOf } from './route/view.ts';
export type { Severity, Remedy, Rule } from './route/rule.ts';
export {
  type Reason,
  type OpenQuestion,
  isAllowed,
  stepsOfZone,
  type JudgeInput,
  judgeRoute,
} from './route/judge.ts';
export { buildRoute, prepSteps } from './route/build.ts';
export { type LayerChoice, coatSteps } from './route/coats.ts';
export { QUALITIES, type Quality } from './route/score.ts';
export { systemsOf, coatKindOf, layersOf } from './route/systems.ts';
export { figuresOf, type Pace } from './route/score.ts';
export type { TradeCheck } from './shop/tradeChecks.ts';
export { paceBy, type JobShape } from './shop/pace.ts';
export { type AdvisedRoute, type Advice, advise, routeWith } from './route/advise.ts';
export type { Choice } from './route/build.ts';
export { RULES } from './route/rules/index.ts';
export { EXPERTS } from './route/answers.ts';
export { GATES, isOpen } from './route/gates.ts';
export { type Level, levelsOf, levelOfRule, spreadOf, lifeSpan } from './route/advice/levels.ts';
export { type Moves, movesOf } from './route/advice/moves.ts';
export { openFields, questionsNext, worthOf } from './route/advice/worth.ts';
export { BESTS, type Best, type GivesUp } from './route/advice/rivals.ts';
export type { Refused } from './route/advice/tally.ts';
export { MATTERS, type Matter, TRACES, indexOfMatter } from './route/surface/matter.ts';
export { WAYS, type Way, type ActId, type Act } from './route/surface/act.ts';
export { ACTS } from './route/surface/actsTable.ts';
export { shareOf } from './route/surface/acts.ts';
export { CLEANLINESS } from './route/surface/cleanliness.ts';
export { type Seen, SEEN_RUST, SEEN_PAINT, SEEN_WATER } from './route/surface/seen.ts';
export { type SurfaceStage, stagesOf } from './route/surface/stages.ts';
export { mendFor, mended } from './route/mend.ts';
export { type Follow, followOf } from './route/followers.ts';
export { HAND_STEPS, type EditContext, handStep, handCoat } from './route/handSteps.ts';
export {
  placesOf,
  reasonKey,
  stepChanged,
  stepsOn,
  stepIn,
  stepMoved,
  stepOut,
  stepTwice,
} from './route/editing.ts';

// shop
export {
  type MeansInfo,
  type Workshop,
  type Person,
  type PlaceInfo,
  type Probe,
  type GaugeInfo,
  type MachineRow,
  type AssemblyRow,
  type PartRow,
  type RouteStepRow,
  type TinRow,
  type Pack,
  type CupView,
  type ShopRecord,
  type ShopState,
  sheetsById,
  shopStateOf,
  shopRecordOf,
  groupBy,
} from './shop/state.ts';
export type { Attendance } from './shop/calendar.ts';
export { KEEP_DAYS, PAST_BIN_MS, type PlaceReadings, type AirData } from './shop/air.ts';
export type { DerivedPart } from './shop/part.ts';
export type { StepRecord } from './shop/stepRecords.ts';
export { stripDoubts } from './shop/stripDoubts.ts';
export {
  type SnapshotSource,
  type Snapshot,
  derivation,
  deriveShop,
  rederivation,
  derivePartAt,
} from './shop/snapshot.ts';
export { colourFor, mixById, shelfNow } from './shop/shelf.ts';
export { type LeftoverWhy, type LeftoverView, type LeftoverResponse, leftoverFor } from './shop/leftover.ts';
export {
  coatMinutes,
  type JobGroup,
  jobGroups,
  type PartNeed,
  needOf,
  type JobTotal,
  totalOf,
} from './shop/job.ts';
export { BATCH_MODES, type BatchMode, tinFor, tinsFor, workOut, type Worked } from './shop/batch.ts';
export { surveyAlike, stepsAlike } from './shop/alike.ts';
export type { PlaceNowView, Moment } from './shop/views/moment.ts';
export type { Layer, PartCard } from './shop/views/card.ts';
export { type BenchResponse, benchOf } from './shop/views/bench.ts';
export { type MachineView, type MachinesResponse, machinesOf } from './shop/views/machines.ts';
export { partDetail } from './shop/views/part.ts';
export type {
  TracePoint,
  StageWorking,
  FaceView,
  RouteStepView,
  FactView,
  PartDetail,
  SignOffView,
} from './shop/views/partView.ts';
export { type AirPoint, type PlaceAirResponse, placeAirView } from './shop/views/air.ts';
export {
  type TinView,
  type MixView,
  type ShelfResponse,
  type ShoppingResponse,
  shelfResponse,
  shopping,
} from './shop/views/shelf.ts';

// plan
export * from './plan/index.ts';

// inspect
export * from './inspect/index.ts';

// people
export * from './people/index.ts';
export { OF_THE_SHOP } from './facts/stock.ts';
export type { Certificate } from './shelf/certificates.ts';
export type { NonConformance, NonConformity } from './shop/nonConformances.ts';
export {
  mayAt,
  peopleView,
  type Handover,
  type MayView,
  type PeopleView,
  type PersonView,
} from './shop/views/people.ts';

// ledger
export * from './ledger/index.ts';

// aftercare
export { FEATHER, TOUCH_UP_C, type TouchUpCoat } from './aftercare/touchUp.ts';
export { CARE_FOUND, CARE_JOBS, type CareFound, type CareJob } from './aftercare/jobs.ts';

// the record, as it is answered
export * from './shop/views/record.ts';
