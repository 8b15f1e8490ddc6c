export { bodyOf, type BodyOf, type ColumnKind, type Columns, type RowOf } from './api/columns.js'
export type { Problem } from './api/problem.js'
export { readRuleBody, ruleColumns, ruleRow, type RuleBody, type RuleRow } from './api/rules.js'
export {
  coverColumns,
  coverRow,
  materialColumns,
  materialRow,
  readCoverBody,
  readMaterialBody,
  readThingBody,
  thingColumns,
  thingRow,
  type CoverBody,
  type CoverRow,
  type MaterialBody,
  type MaterialRow,
  type Page,
  type ThingBody,
  type ThingRow,
} from './api/rows.js'
export {
  coarsestTape,
  handsOf,
  initialSettings,
  readSettingsBody,
  settingFields,
  settingsInUnit,
  settingsOf,
  settingsRow,
  type SettingsBody,
  type SettingsRow,
} from './api/settings.js'
export { stashTable, type StashColumn } from './api/stash-table.js'
export { guessColumns, type ColumnMatch, type Table } from './api/table.js'
export { thingsTable, type ThingsColumn } from './api/things-table.js'
export {
  cuttingColumns,
  cuttingRow,
  readCuttingBody,
  type CuttingBody,
  type CuttingMatch,
  type CuttingPin,
  type CuttingRow,
  type CuttingSource,
} from './api/cuttings.js'
export {
  pieceSources,
  readStashPieceBody,
  avoidedOnStashPiece,
  marksOnStashPiece,
  sizeOfStashPiece,
  stashEventRow,
  stashPieceColumns,
  stashPieceRow,
  weaves,
  type ClothMark,
  type PieceSource,
  type StashEventKind,
  type StashEventRow,
  scaledPhotoOf,
  type TypedMark,
  type TypedPlace,
  type StashPieceBody,
  type StashPieceRow,
  type Stock,
  type Weave,
} from './api/stash.js'
export {
  exportKinds,
  paperNames,
  readExportRequest,
  usualLabels,
  type Audience,
  type ExportKind,
  type ExportRequest,
  type LabelSheet,
  type PaperName,
} from './api/exports.js'
export { mostSheets, readErrandRequest, type Errand, type ErrandRequest } from './api/errands.js'
export * from './api/take.js'
export type {
  Drawing,
  Fill,
  LineMark,
  LineStyle,
  Mark,
  PathMark,
  Point,
  TextMark,
} from './drawing/drawing.js'
export { areaOfFront, closedFront, type ClosedFront } from './drawing/closed-front.js'
export { drawEndOn } from './drawing/end-on-drawing.js'
export { drawJoining, hasSides } from './drawing/joining-drawing.js'
export { drawMeasureGuide } from './drawing/measure-guide.js'
export { drawMissing } from './drawing/missing-drawing.js'
export { drawPiece } from './drawing/piece-drawing.js'
export { drawStrip, lineStyles } from './drawing/strip-drawing.js'
export { svgNumber, svgPath } from './drawing/svg-path.js'
export type { Extra } from './extras/contract.js'
export { placeKeys } from './extras/place-keys.js'
export { extras, findExtra } from './extras/registry.js'
export type { Family, Recipe } from './families/contract.js'
export { roleOfLayer, type Joining } from './families/joining.js'
export { listOptionFields, type OptionField } from './families/option-fields.js'
export { families, findFamily } from './families/registry.js'
export type { Trait } from './families/trait.js'
export type { Section } from './families/section.js'
export { quiltingPitch, type Face, type Panel, type Strip, type StripShape } from './families/strip.js'
export { sayAmounts } from './length/amounts.js'
export { applyRepair } from './file/apply-repair.js'
export { changeUnit, sayObjectUnit, sayUnit } from './file/change-unit.js'
export { coverFormat, coverVersion } from './file/cover-schema.js'
export { cutPieceFrom, notePiece, setPieced } from './file/own-cloth.js'
export { takeStandardSize } from './file/take-standard-size.js'
export { standardPages, standardThings, type StandardSize } from './object/standard-sizes.js'
export { inPresentWords } from './file/upgrades.js'
export type {
  CoverFile,
  TypedExtra,
  TypedHand,
  TypedCloth,
  TypedLayer,
  TypedObject,
  TypedReading,
  TypedSizing,
  TypedTrial,
} from './file/cover-schema.js'
export type { Cover } from './file/cover.js'
export { formatIssue, type Issue } from './file/issue.js'
export { coverJsonSchema } from './file/json-schema.js'
export { defaultInset } from './file/layer-schema.js'
export { readLength, type LengthRange, type TypedLength } from './length/length-input.js'
export { readLengths } from './length/length-list.js'
export { describeChoice } from './file/missing-words.js'
export { readingAt, topOfPath } from './file/place.js'
export { sayPlace } from './file/place-words.js'
export { readUnfinished, type Unfinished } from './file/unfinished.js'
export { checkReadings } from './object/cross-check.js'
export { isMakeable, planToJson, type PlanJson } from './file/plan-json.js'
export { simulationToJson } from './file/simulation-json.js'
export { check, type ReadResult } from './file/check.js'
export { readCover, readDraft, readingsNeeded } from './file/read-cover.js'
export { changeThing, listThings, removeThing, textOfReading, withThings } from './file/things.js'
export { readingRanges } from './file/reading-ranges.js'
export {
  kindOfSubject,
  type Direction,
  type Finding,
  type FindingCode,
  type Subject,
  type SubjectKind,
} from './finding/finding.js'
export type { Severity } from './finding/severity.js'
export { describeRepair, type Repair } from './finding/repair.js'
export { isCareWasted, sayExactness } from './fit/simulation/exactness-words.js'
export type { Exactness, Handwork } from './fit/simulation/exactness.js'
export { checkTurnedCard } from './cutting/turned-card.js'
export { severityIn } from './finding/severities.js'
export { sayPlainly, sayProperly, sayThickness, type SayLength, type Saying } from './finding/say.js'
export { describeFinding } from './finding/words/describe.js'
export type { Fit } from './fit/fit.js'
export { easeStepMm } from './fit/simulation/best-ease.js'
export { type Hand } from './fit/simulation/hand.js'
export type { Source } from './fit/simulation/model.js'
export type { DirectionOdds, Simulation } from './fit/simulation/summarise.js'
export { judgeEase, verdictWords, type Verdict } from './fit/verdict.js'
export { formatLength } from './length/format.js'
export { cuttingGrids, defaultGrid } from './length/grid.js'
export {
  absolute,
  add,
  clamp,
  inches,
  longest,
  mm,
  ofTicks,
  roundTo,
  roundUpTo,
  scale,
  shortest,
  subtract,
  toInches,
  toMm,
  zero,
  type Length,
} from './length/length.js'
export { parseLength } from './length/parse.js'
export { customary, defaultTapeDivision, finestSaid, oneOf, units, type Unit } from './length/unit.js'
export { typicalMaterials, type TypedMaterial } from './file/typical-materials.js'
export { namePiece } from './extras/name-piece.js'
export { pressedThickness, prints, type Stiffness } from './material/material.js'
export { roles, roleWords, type Role } from './material/role.js'
export {
  objectKinds,
  spineShapes,
  usualSpine,
  type EdgeShape,
  type ObjectKind,
  type SpineShape,
} from './object/kind.js'
export { readingStateWords, readingWords } from './object/reading-words.js'
export {
  readingKeys,
  readingStates,
  type CoveredObject,
  type ReadingKey,
  type ReadingState,
} from './object/reading.js'
export { askedReadings, type ReadingChoice } from './object/required.js'
export { deriveUncertainty } from './object/uncertainty.js'
export {
  describePinClash,
  describeMeeting,
  describeUnplaced,
  layoutToJson,
  type LayoutJson,
  type LayoutNames,
} from './file/layout-json.js'
export { readLayoutRequest } from './file/layout-request.js'
export * from './nest/index.js'
export { cutFrom, groupPieces, type CoverToCut, type CuttingGroup } from './cutting/group.js'
export { matchesOf, meetingsIn, type PrintMeeting } from './cutting/meetings.js'
export * from './cutting/showing.js'
export { markKinds, type MarkKind } from './file/cloth-places.js'
export { printPlaces, type PrintWindow } from './cutting/print-places.js'
export { originUnder, printOrigins, type PrintOrigin } from './cutting/print-origins.js'
export { needNotions, weighNotions, type NotionStock } from './cutting/notions.js'
export type { ShopOffer } from './cutting/offer.js'
export { stashNotionKinds, type Notion, type NotionKind, type StashNotionKind } from './piece/notion.js'
export { whichWillDo } from './cutting/which-will-do.js'
export { comesInSheets, sheetSizes, sheetToBuy, type SheetSize } from './cutting/sheet-sizes.js'
export { convertPrice, costOf, findToBuy, type ToBuy } from './cutting/to-buy.js'
export { boughtCloth, layoutRequestOf, placeAfterWash, type SheetToUse } from './cutting/request-of.js'
export { weighPurchases, type Purchase } from './cutting/shopping.js'
export { layOutBought, usualClothWidth, type Bought } from './reckon/all-bought.js'
export { drawAids } from './drawing/template/aids.js'
export { drawTemplates, type Template } from './drawing/template/template.js'
export { drawShowing } from './drawing/showing-drawing.js'
export { drawSheet, type SheetToDraw } from './drawing/sheet-drawing.js'
export type { Piece } from './piece/piece.js'
export type { Reason } from './piece/reason.js'
export type { Side } from './piece/side.js'
export { plan, type Plan } from './plan/plan.js'
export type { PlacedExtra } from './plan/placed.js'
export {
  checkSimulation,
  isUnmakeableBeyondFit,
  judgedIn,
  mostMakes,
  simulate,
  simulating,
  usualMakes,
  usualSeed,
  type SimulationOptions,
} from './simulate.js'
export { isWorthwhile, readingsIn, weighRemedies, type Remedy, type RemedyKind } from './reckon/remedies.js'
export { planTrialBands, whyTrial, type TrialBand, type TrialReason } from './reckon/trial-piece.js'
export { missingIn, whatIfs } from './what-if/kinds.js'
export { applicable, reckonOutcome, type Outcome, type PieceChange } from './what-if/outcome.js'
export { whatIfIds, type WhatIf, type WhatIfId } from './what-if/what-if.js'
export { clothNeeded } from './reckon/cloth.js'
export { fewestCovers } from './reckon/fewest-covers.js'
export { planSeries, type Series, type SeriesCover, clothAreas } from './reckon/series/series.js'
export { findLimit, listLimitQuestions, type Limit, type LimitQuestion } from './reckon/limit.js'
export { fitsOnSheet, type Sheet } from './reckon/sheet.js'
export {
  describeDifferences,
  findSameFits,
  followComputed,
  listSizingChoices,
  ownChoiceId,
  type SizingChoice,
} from './reckon/sizing-choices.js'
export { describePieceEffects } from './reckon/piece-effects.js'
export { listFamiliesFor, switchFamily } from './reckon/switch-family.js'
export { coverTakes, type Takes } from './reckon/takes.js'
export { cautionWords } from './make/cautions.js'
export { usualHands, type Hands, type School, type Schools } from './make/hands.js'
export { headlineAt, type Headline } from './make/headline.js'
export { lastCallWords, type LastCall } from './make/last-calls.js'
export { followMade, seamMoves, whatFollows, withMade } from './make/follow-made.js'
export type { FollowingPiece, SeamMove } from './make/follow-made.js'
export {
  correctableAt,
  doubtMade,
  madeKey,
  madeLength,
  plannedSize,
  type MadeDoubt,
  type Measured,
} from './make/made-sizes.js'
export {
  isDone,
  markStep,
  mergeProgress,
  missingBefore,
  nextStep,
  noLongerThere,
  noProgress,
  type Progress,
} from './make/progress.js'
export {
  archiveFormat,
  archiveKinds,
  archiveManifest,
  archiveVersion,
  noCounts,
  standingChoices,
  type ArchiveCounted,
  type ArchiveCounts,
  type ArchiveKind,
  type ArchiveManifest,
  type ArchiveNews,
  type ArchiveReport,
  type StandingChoice,
} from './api/archive.js'
export {
  fileToMeasure,
  readOwnersAnswer,
  readShareBody,
  shareKinds,
  shareTries,
  type OwnersAnswer,
  type Shared,
  type ShareBody,
  type ShareKind,
  type ShareRow,
} from './api/shares.js'
export * from './api/who-reaches.js'
export { changedKinds, type Change, type ChangedKind } from './api/changes.js'
export { makingColumns, makingRow, readMakingBody, type MakingBody, type MakingRow } from './api/makings.js'
export { canBeCut, planSteps, type Making } from './make/plan-steps.js'
export type { CautionId, FaceUp, Step, StepCheck, StepKind, StepMeasure, WorkPlace } from './make/step.js'
export type { Stitch } from './make/stitch.js'
export { makingToJson } from './file/steps-json.js'
export { makeColumns, makeRow, readMakeBody, type MakeBody, type MakeLog, type MakeRow } from './api/makes.js'
export { coverStates, markColumns, markRow, noMark, readMarkBody, shelfEntry } from './api/marks.js'
export type { CoverState, ShelfMark, MarkBody, MarkRow, ShelfEntry } from './api/marks.js'
export { beginLog } from './make/log/begin-log.js'
export { departuresFrom, type Departure, type DepartureFrom } from './make/log/habits.js'
export { dueReminders, regretsFor, type Regret } from './make/log/regrets.js'
export { fitOf, toRecord } from './make/log/to-record.js'
export { stepTimes, timesByKind } from './make/log/took.js'
export { parseExceptions, parseWeeklyHours, sessionsFrom } from './make/schedule/working-hours.js'
export type { Exception, WeeklyHours } from './make/schedule/working-hours.js'
export { readLearnRequest, type LearnRequest } from './file/learn-request.js'
export { learntToJson, sayContradiction } from './file/learn-json.js'
export { learn, type Learnt, type LearntBias, type LearntFromMakes } from './make/learning/learn.js'
export type { Contradiction } from './make/learning/contradictions.js'
export type { MakeDirection, MakeRecord } from './make/learning/make-record.js'
export { readScheduleRequest, type ReadScheduleRequest } from './file/schedule-request.js'
export { sayWhyUnplaced, scheduleToJson } from './file/schedule-json.js'
export { formatMoment, parseMoment, type ReadMoment } from './file/moment.js'
export { schedule, schedules, type Schedule, type ScheduledItem } from './make/schedule/schedule.js'
export type { Moment, ScheduleRequest, WorkSession, WorkToDo } from './make/schedule/request.js'
export { alike, clothOf } from './material/cut-from.js'
export { drawTechnique, techniques, techniquesFor, type TechniqueId } from './make/technique-cards.js'
export { checkReach } from './make/reach.js'
export {
  askOpening,
  askOrder,
  askSide,
  divisionFromPractice,
  drawReading,
  gradeReading,
  readingsToTell,
  whatItDoes,
  type OrderQuestion,
  type ReadingGrade,
  type SideQuestion,
} from './make/practice.js'
export { scalePhoto, type PhotoPoint, type ScaledPhoto } from './material/photo-scale.js'
export { drawThing } from './drawing/thing-drawing.js'
export {
  findHolds,
  stillPoint,
  type Held,
  type Holds,
  type Pull,
  type SettableSize,
} from './reckon/holds/holds.js'
export { pullTo, settingFor, type Pulled, type Stop } from './reckon/holds/pull-to.js'
export { amountRange, easeRange, panelRange } from './file/sizing-schema.js'
export { withSetting } from './reckon/holds/setting.js'
export { carry, farthest, type Carried, type Carry } from './reckon/holds/carries.js'
export { readingsBehind } from './reckon/holds/readings-behind.js'
export { dimensionOf, type Dimension } from './drawing/strip-dimensions.js'
export { foldCover } from './folded/fold-cover.js'
export { outlookAt, placeLeaves, type PlacedLeaf } from './folded/frame.js'
export { areaOnFlat, type Folded, type Leaf, type Stage } from './folded/leaf.js'
export { drawFolded } from './drawing/folded-drawing.js'
