// What web and server use of core, by name.
export {
  type AirAtHeight,
  atmosphereOver,
  type Conditions,
  defaultHumidity,
  forecastHeightM,
  windRanges,
} from './air/conditions';
export { readCoordinates, writeCoordinates } from './air/coordinates';
export { type HourlyWeather, maxHours, weatherAtHour } from './air/hours';
export { lightBetween } from './air/light';
export {
  clearanceM,
  type GroundBelow,
  groundsBelow,
  type LandingPlace,
  maxLandingPlaces,
  maxObstacles,
  type Obstacle,
  obstacleRanges,
  suggestedReturnHeight,
} from './air/obstacle';
export { standardQnhHpa } from './air/pressure';
export { defaultRoughnessM, roughnessClasses } from './air/roughness';
export {
  defaultCeilingM,
  type LaunchPlace,
  type Site,
  siteRanges,
  tallestThingM,
} from './air/site';
export { type Coordinates, type Light, sunTimes } from './air/sun';
export { timeZoneAt } from './air/timeZoneOf';
export { windGuesses } from './air/windReading';
export {
  type Aircraft,
  type AircraftKind,
  aircraftKinds,
  aircraftRanges,
  defaultSpec,
  type Mode,
  maxAirspeedMps,
  maxAirspeedRange,
  type ReturnHolds,
  returnHoldings,
  type Style,
  spec,
  styles,
} from './aircraft/aircraft';
export {
  defaultAuxiliaryPowerW,
  defaultDragAreaM2,
  discAreaM2,
} from './aircraft/airframe';
export { flightUse, type PackUse, packAfter } from './battery/afterFlight';
export { type Battery, batteryRanges, type Chemistry, chemistries, labelEnergyWh } from './battery/battery';
export { emptyCellVoltageV } from './battery/cells';
export {
  type ChargeMark,
  chargeMarkRanges,
  chargeMarksProblem,
  emptyToFullFrom,
  timedMean,
} from './battery/chargeTiming';
export {
  type Charger,
  chargerRanges,
  chargingRound,
  chargingTimeS,
  emptyToFullOf,
  fitsCharger,
  type PowerSource,
  powerSources,
} from './battery/charging';
export { type UnfitReason, unfitToFly } from './battery/fitToFly';
export { flyingOrder } from './battery/flyingOrder';
export { gaugeGuesses } from './battery/gauge';
export {
  agedPack,
  type BatteryKeeping,
  type BatteryState,
  batteryStates,
  isFlown,
  type KeptPlace,
  keptPlaces,
} from './battery/keeping';
export { chemistryOf } from './battery/openCircuit';
export { packMassKg } from './battery/packMass';
export {
  chargedFull,
  defaultDaysToStorage,
  storageCharge,
  takeoffCharge,
} from './battery/selfDischarge';
export { storageAdvice, storageInDays } from './battery/storage';
export { defaultVoltRule } from './battery/voltRule';
export { healthGuesses, healthOf } from './battery/wear';
export {
  type Basis,
  type Belief,
  coefficientsFor,
  type DrawCount,
  defaultDraws,
  fromTheBox,
  type Knowledge,
  middleBelief,
  noDraws,
  type UnknownName,
} from './belief/belief';
export { beliefFrom } from './belief/beliefFrom';
export { type Coefficients, priors } from './belief/priors';
export { rejectionReasons } from './calibration/calibrate';
export { checkedKnowledge } from './calibration/checkedKnowledge';
export {
  type EstimatedPack,
  type EstimatedParameter,
  type Fit,
  type FitRequest,
  type FlightResult,
  fitOf,
  type LeaveOneOut,
  type PredictedFlight,
} from './calibration/fit';
export { type FlagCode, flagCodes } from './calibration/flags';
export { type FitPosterior, knowledgeFrom, onlyPackOf, type SentFit } from './calibration/knowledge';
export { maxFlightsOfFit, maxPacksOfFit } from './calibration/limits';
export type { CalibrationEvent, CalibrationReading } from './calibration/marks';
export { modelVersion } from './calibration/modelVersion';
export {
  maxTestsTold,
  type NextTest,
  nextTestsAfter,
  type TestTwist,
  testTwists,
} from './calibration/nextTests';
export { packAdvice } from './calibration/packAdvice';
export type { CalibrationFlight } from './calibration/predicted';
export { fitRequestProblems } from './calibration/requestProblems';
export { type Learnable, learnable, type PackAsKept } from './calibration/unknowns';
export {
  type Advice,
  type BandAndAdvice,
  bandsWithAdvice,
  provisionalAdvice,
} from './estimate/advice';
export { asPlanned } from './estimate/asPlanned';
export {
  type Band,
  bandsOf,
  type PlannedFigures,
  plannedIn,
  provisionalPlan,
  provisionalTurnBack,
} from './estimate/band';
export { type Caution, frostReserveCharge } from './estimate/cautions';
export { type Estimate, estimate, estimateWithLedger } from './estimate/estimate';
export type { FlightEvent } from './estimate/events';
export { type Explanation, explain } from './estimate/explain';
export { type FlightRemedy, flightRemedies } from './estimate/flightRemedies';
export { drawCountOf, drawRanges, drawsFor, estimateInFull } from './estimate/full';
export { hoverOrMove } from './estimate/hoverOrMove';
export { type Cause, type LedgerLine, withDoubt } from './estimate/ledger';
export { type AirspeedCurve, type AtAirspeed, type PowerCurve, powerCurve } from './estimate/powerCurve';
export { type EstimateRequest, type FlightPlan, ranges } from './estimate/request';
export { type WayToKnow, waysToKnow } from './estimate/sensitivity';
export {
  defaultWhatIfs,
  type WhatIf,
  type WhatIfKind,
  whatIfKinds,
  whatIfRanges,
  withWhatIf,
} from './estimate/whatIf';
export { boxTemperatureC } from './flight/box';
export { type FlightLeg, maxLegs } from './flight/flightLegs';
export {
  defaultHandling,
  defaultManner,
  type Handling,
  handlings,
  type Manner,
  maxShares,
  type StyleShare,
  speedGuesses,
  styleShareRanges,
} from './flight/styles';
export { type ColumnMap, type LogColumn, type LogUnit, logColumns, logUnits } from './flightLog/columns';
export { encodingOf } from './flightLog/decode';
export { flightsIn, type LoggedFlight } from './flightLog/flights';
export { headingKey, inSmallerTimeUnit, type LogLayout, layoutOf, missingColumns } from './flightLog/layout';
export { withCoordinates } from './flightLog/localDistance';
export { RowReader } from './flightLog/readRows';
export type { LogProblem, ReadLog } from './flightLog/sample';
export {
  readSamplesCsv,
  SamplesCheck,
  samplesHeadings,
  writeSamplesCsv,
  wrongSamplesLine,
} from './flightLog/samplesCsv';
export { mergeTrack, overlap, readGeoJsonTrack, readGpx } from './flightLog/track';
export { writeTestCsv } from './flightLog/writeLog';
export { writeGeoJsonTrack, writeGpx } from './flightLog/writeTrack';
export { type ObstaclesRead, readObstacles } from './formats/geoJson';
export { type HourlyRows, readHourlyCsv, writeHourlyCsv } from './formats/hourlyCsv';
export { type KitLine, type KitRows, readKitCsv, writeKitCsv } from './formats/kitCsv';
export {
  type Asked,
  askedAfter,
  type MetarReading,
  metarInWords,
  readMetar,
  weatherFromMetar,
} from './formats/metar';
export { metarMinds } from './formats/metarWeather';
export { writePlanCalendar, writePlanCsv, writePointsGpx } from './formats/planFiles';
export { isPoints, readShotPoints } from './formats/shotPoints';
export { readShotsCsv, writeShotsCsv } from './formats/shotsCsv';
export { aircraftOfClass, type ClassTemplate, classTemplates } from './records/classTemplates';
export { type DayAtPlace, dayAtPlace, splitConditions } from './records/day';
export { defaultKeeping, defaultPack } from './records/defaultPack';
export {
  basisOf,
  changesSince,
  type FitChanges,
  type FitContent,
  type FlightState,
  type ListedFit,
  listedFit,
} from './records/fitted';
export {
  type Content,
  type KeptRecord,
  type Kind,
  type Kinds,
  kinds,
  recordKinds,
  referencesOf,
  referrersTo,
  usersInWords,
} from './records/kinds';
export {
  type LiftOffCheck,
  liftOffChecks,
  liftOffNotes,
  minSatellites,
  warmHoverS,
} from './records/liftOff';
export {
  type ListedTest,
  listedTest,
  provisionalOutcome,
  type TestOutcome,
  testOutcome,
} from './records/listedTest';
export { problemsOf, testProblems } from './records/problems';
export {
  type AircraftContent,
  type AircraftRecord,
  type BatteryContent,
  type BatteryRecord,
  type ChargerContent,
  type ChargerRecord,
  type ChargingWay,
  chargingWays,
  type DayContent,
  type DayRecord,
  type FitRecord,
  type FrozenEstimate,
  type FrozenWords,
  frozenEstimate,
  type Kept,
  type KeptPlanContent,
  type KeptPlanRecord,
  type LiftOffContent,
  type LiftOffRecord,
  type LogSource,
  launchPlaceRanges,
  logSourceRanges,
  maxChargeMarks,
  maxLaunchPlaces,
  maxRecordings,
  type PlaceContent,
  type PlaceRecord,
  type PlanAsRead,
  type Purpose,
  practiceStation,
  purposes,
  type Recording,
  type ShootContent,
  type ShootRecord,
  type TestFlightContent,
  type TestFlightRecord,
  type TimedChargeContent,
  type Weather,
  type WeatherSource,
} from './records/records';
export { estimateRequestFor } from './requests/estimateRequest';
export { fitRequestFor } from './requests/fitRequest';
export { flightFromHome, fromHome, fromTakeoff, homeName, movedHomeOf, siteFromHome } from './requests/home';
export { packAtTheHour } from './requests/packAtTheHour';
export {
  duskAfter,
  homePlaceId,
  planRequestFor,
  type Shooting,
} from './requests/planRequest';
export { returnRequestFor } from './requests/returnRequest';
export { testRequestFor } from './requests/testRequest';
export {
  airspeedHomeMps,
  type ComesHome,
  comesHomeWays,
  defaultComesHome,
  defaultReturnHeightM,
} from './reserve/homing';
export { obstaclesAlong } from './reserve/obstaclesAlong';
export {
  type Place,
  type PlanePoint,
  toCartesian,
  toPolar,
} from './reserve/plane';
export {
  confidenceOf,
  defaultConfidence,
  defaultReserveCharge,
  isTestOnly,
  minAtHome,
  minAtTouchdown,
  type Policy,
  type PolicyKind,
  policyKinds,
} from './reserve/policy';
export { positionRanges } from './reserve/returnHome';
export { lineThrough } from './statistics/line';
export { median } from './statistics/quantile';
export {
  type FlightOfPlan,
  type Lane,
  type Outlook,
  type PacksBrought,
  type PlanCautionCode,
  type PlanFigures,
  planCautionCodes,
  type Robustness,
  type SpanKind,
  type SpanOfLane,
  type SwapPlan,
  spanKinds,
  type TakeOfPlan,
  type UnplacedCode,
  type UnplacedTake,
  unplacedCodes,
  type WaitOfPlan,
} from './swapPlan/report/answer';
export { chargingOf } from './swapPlan/report/chargingOf';
export { type WhatHelps, whatHelps } from './swapPlan/report/helps';
export { type LiftOffCaution, liftOffCautions } from './swapPlan/report/liftOffCautions';
export { type PlanSoFar, planSwaps, plansOf } from './swapPlan/report/planSwaps';
export { fromPlace } from './swapPlan/report/whatIf';
export { contradictions } from './swapPlan/request/contradictions';
export {
  defaultCoolingS,
  defaultMoving,
  type FlightLock,
  type FlownFlight,
  type Moving,
  maxPlanned,
  type PlanAircraft,
  type PlanBattery,
  type PlanCharger,
  type PlanEffort,
  type PlanOrder,
  type PlanRequest,
  planEfforts,
  planOrders,
  planRanges,
  type SwapTime,
  swapS,
  type WeatherFrom,
} from './swapPlan/request/request';
export {
  type LightWish,
  lightWishes,
  maxBatteriesOfShoot,
  maxShots,
  type Shot,
  type ShotNeed,
  type ShotPin,
  shootRanges,
  shotNeeds,
  shotRanges,
} from './swapPlan/request/shot';
export { type LeftOutShot, type SoundPart, soundPart } from './swapPlan/request/soundPart';
export { windowUntilMs } from './swapPlan/request/windows';
export { type WaitReason, waitReasons } from './swapPlan/search/schedule';
export { type Comparison, timeAtCharge } from './testFlights/compare';
export { type Difference, type DifferenceCause, explainDifference } from './testFlights/difference';
export { kindsFlown } from './testFlights/kindsFlown';
export { lowCells } from './testFlights/lowCells';
export {
  type Projection,
  type ProjectionKind,
  type ProjectionRequest,
  projections,
  projectionsOf,
} from './testFlights/projections';
export {
  type TestQuestion,
  type TestQuestionCode,
  testQuestionCodes,
  testQuestions,
} from './testFlights/questions';
export {
  belowZeroS,
  drainPieces,
  isLowLanding,
  milestones,
  passed,
  type SheetFinding,
  sheetFindings,
} from './testFlights/reading';
export {
  defaultLeftTo,
  type ShownLeft,
  shownLeft,
  shownOverCame,
} from './testFlights/shownLeft';
export { straightLine } from './testFlights/straightLine';
export {
  type Checkpoint,
  checkpointRanges,
  type LeftTo,
  leftTos,
  maxCheckpoints,
  readingsOf,
  type SignKind,
  signKinds,
  type TestFlight,
  type TestPattern,
  testFlightFault,
  testFlightProblem,
  testFlightRanges,
  testPatterns,
} from './testFlights/testFlight';
export type { Assumed } from './units/assumed';
export { minutesAndSeconds, spanInWords } from './units/clock';
export type { FieldProblem } from './units/fieldProblem';
export { Fingerprint, fingerprint } from './units/fingerprint';
export { compareInstants, isDay, isInstant } from './units/instant';
export { fittingName, maxTextLength, nameLength, nameProblem, textProblem } from './units/names';
export { numberMarksOf } from './units/numeral';
export { once } from './units/once';
export { type Outcome, type Refusal, refuse, success } from './units/outcome';
export {
  fromShownUnit,
  inChosenUnit,
  inShownUnit,
  type Quantity,
  readTyped,
  shown,
  violation,
  withUnit,
} from './units/quantity';
export { inSi, inWords, numbersOf, type Sentence, sentence, writeInSi } from './units/sentence';
export { clockTime, isTimeZone, offsetMin, readClockTime, withOffset } from './units/timeZone';
export {
  type Choice,
  type ChosenUnits,
  type Dimension,
  imperialUnits,
  metricUnits,
  unitChoices,
  unitNamed,
  written,
} from './units/units';
export { type Reaches, reaches } from './wayHome/reach';
export type { ReturnRequest } from './wayHome/request';
export type { ReturnHeightAdvice } from './wayHome/returnHeight';
export {
  type FullReturn,
  type ReturnAnswer,
  type ReturnBand,
  returnAnswer,
  returnBand,
  returnInFull,
} from './wayHome/returnInFull';
export type { OwnReturn, ReturnNow } from './wayHome/returnNow';
export type { OwnAction } from './wayHome/timetable';
export { type TurnTable, turnTable } from './wayHome/turnTable';
