export { CORE_VERSION } from './core-version.ts';

export {
  significantFigures,
  parseWrittenNumber,
  UnreadableNumberError,
  type WrittenNumber,
} from './numbers/written-number.ts';
export { uncertaintyPlace, unambiguousAtPlace, writtenAtPlace, type UncertaintyFigures } from './numbers/rounding.ts';
export type { RoundingRule } from './numbers/rounding-rule.ts';
export { calculate, type Calculation } from './calculations/calculate.ts';
export type { WorkedNumber, WorkedStep } from './calculations/working.ts';
export { convert, type Conversion } from './calculations/convert.ts';
export { LAST } from './calculations/last-result.ts';
export { calculateTape, type TapeLine } from './calculations/tape.ts';
export type { ChainLink } from './units/chain.ts';
export { parseExpression } from './calculations/expression/parse-expression.ts';
export { ExpressionError, namesIn, type Expression } from './calculations/expression/expression.ts';
export { chainLatex, nameLatex, quantityLatex } from './calculations/expression/latex.ts';
export { unitsLike } from './units/common-units.ts';
export { parseUnit, UnitMismatchError, UnknownUnitError, writtenUnit, type Unit } from './units/unit.ts';

export { instrumentIds, instrumentById, UnknownInstrumentError } from './instruments/catalogue.ts';
export type { BeamBalance, Instrument, VernierCaliper } from './instruments/instrument.ts';
export { SKILLS, type Skill, type SkillId } from './skills/skills.ts';
export { FIRST_TOOLS, toolFamilies, toolsNamed, type ToolFamily } from './practice/tool-families.ts';

export {
  completeRules,
  contradictionIn,
  DEFAULT_RULES,
  HouseRuleError,
  PRESETS,
  RULE_CHOICES,
  type Estimate,
  type ReadingUncertainty,
  type HouseRules,
} from './rules/house-rules.ts';
export { ACTION_KINDS, type Action, type ActionKind, type Remark } from './reading/actions.ts';
export {
  asOperated,
  begin,
  describePicture,
  handle,
  needsWholeWidth,
  noteOn,
  pictureOf,
  remarksOn,
  shows,
  startingEye,
  wait,
  type OnBench,
  type Operation,
  type Picture,
} from './reading/bench.ts';
export { hasScale, plainTask } from './reading/demonstration.ts';
export { agreement, type AgreedDigit, type WrittenReading } from './reading/together/agreement.ts';
export { readTogether, valueIn, type ReadTogether } from './reading/together/read-together.ts';
export { roomSpread, type RoomSpread } from './reading/together/room-spread.ts';
export {
  accuracyAndPrecision,
  type AccuracyAndPrecision,
  type ByTolerance,
} from './statistics/accuracy-and-precision.ts';
export { bandwidth, kernelDensity } from './statistics/kernel-density.ts';
export { roomAnswer, standsOnMark, togetherTask, type RoomAnswer } from './reading/together/together-task.ts';
export { drawTask, slipsOn, AimError, type DrawOptions } from './reading/drawing/draw-task.ts';
export { predictedEntries } from './reading/drawing/predictions.ts';
export { expectedReading, readingStep } from './reading/expected-reading.ts';
export { withArticle } from './reading/words/article.ts';
export { cautionsFor, hintsFor, questionFor, revealOf } from './reading/in-words.ts';
export { EYE_REACH, SituationError } from './reading/indication/situation-error.ts';
export { numberWritten, writtenUnitOf, type ExpectedReading } from './reading/indication/written.ts';
export { diagnose, type Diagnosis, type SlipFound, type Verdict } from './reading/judging/diagnose.ts';
export { explainSlips, type SlipExplained } from './reading/judging/explain.ts';
export type { SlipHistory } from './reading/judging/hypotheses.ts';
export type { PathPiece } from './reading/picture/path.ts';
export type { Handled, PicturedEye, RuledMark } from './reading/picture/picture-parts.ts';
export { readingTask, type ReadingTask } from './reading/reading-task.ts';
export type { RevealStep } from './reading/picture/reveal-step.ts';
export type { Situation } from './reading/situation.ts';
export { shownOnPaper, SLIPS, slipById, UnknownSlipError, type KnownSlip } from './reading/slips.ts';

export { riderPlace, type BeamPicture, type DrawnBeam } from './reading/beam-balances/beam-picture.ts';
export { describePointer, describeRiders } from './reading/beam-balances/describe-beams.ts';
export type { CaliperPicture } from './reading/calipers/caliper-picture.ts';
export { describeCaliper, describeCaliperAt } from './reading/calipers/describe-caliper.ts';
export type { DrawnMark, LiquidColumnPicture, Vessel } from './reading/column/column-picture.ts';
export { describeColumn } from './reading/column/describe-column.ts';
export { settlesFrom, stillAway } from './reading/digital-balances/settling.ts';
export type { ClockPicture, ClockView } from './reading/clocks/clock-picture.ts';
export type { DisplayPicture, Weighables } from './reading/display/display.ts';
export type { Held } from './reading/jaws/held.ts';
export { gritAt } from './reading/jaws/jaws-on-bench.ts';
export { describeMicrometer, describeMicrometerAt } from './reading/micrometers/describe-micrometer.ts';
export { onThimble, SLEEVE_VERNIER } from './reading/micrometers/micrometer-indication.ts';
export type { MicrometerPicture } from './reading/micrometers/micrometer-picture.ts';
export { describeRing } from './reading/rings/rings.ts';
export { describeEnd, describeRuler, type RulerPicture } from './reading/rulers/ruler-picture.ts';
export { describeThread } from './reading/thermometers/thermometers.ts';
export { sentTowards, threadAt, THREAD_TIME, type Thread } from './reading/thermometers/thread.ts';
export { PUTS_RIGHT } from './reading/weighing/on-pan.ts';
export { isAtRest, startled, swung, type Pointer, type Swing } from './reading/beam-balances/pointer-swing.ts';
export { vernierReading } from './scales/vernier.ts';

export { planForAims, plannedItems, planRound, type PlannedItem } from './practice/plan-round.ts';
export {
  faded,
  MADE,
  NO_HABIT,
  planForBelief,
  PRIORS,
  updated,
  type Belief,
  type TutorOptions,
} from './practice/tutor.ts';
export { feedbackOn, type ClosedAnswer, type Feedback } from './practice/feedback.ts';
export { closesTask, TRIES, type Outcome } from './practice/tries.ts';

export {
  exerciseTask,
  isChoice,
  isWorking,
  LEVELS,
  type ChoiceExercise,
  type CountingExercise,
  type Exercise,
  type ExerciseKind,
  type ExerciseTask,
  type Fault,
  type Level,
  type Option,
  type RoundingExercise,
  type TableExercise,
  type WorkingExercise,
  type RepeatsSeen,
} from './exercises/exercise.ts';
export { EXERCISE_KINDS, exerciseKindById, isExerciseKind, UnknownExerciseError } from './exercises/kinds.ts';
export { drawExercise, rightEntry, slipEntries, slipsIn, type ExerciseOptions } from './exercises/draw-exercise.ts';
export { diagnoseExercise } from './exercises/diagnose-exercise.ts';
export { rightAnswer, type Answer } from './exercises/answer.ts';
export { indexOfLetter, letterOf } from './exercises/letters.ts';
export { FAULT_KINDS, parseMarks, writtenMarks, type FaultKind, type Marked } from './exercises/faults.ts';
export { EXERCISE_SLIPS } from './exercises/slips/registry.ts';

export type { Answered, ExerciseShown, StoryPart } from './exercises/shown-exercise.ts';
export type { Solution } from './exercises/solution.ts';
export { levelAfter } from './exercises/level.ts';

export type { Domain, Subject } from './practice/subject.ts';
export { subjectById, subjectIds, subjectsNamed } from './practice/subjects.ts';
export { toolSubject } from './practice/tool-subject.ts';
export { exerciseSubject } from './practice/exercise-subject.ts';
export { PRACTICE_SLIPS, practiceSlipById, type PracticeSlip } from './practice/slips.ts';
export {
  diagnoseItem,
  drawItem,
  entriesWith,
  isExerciseTask,
  practiceTask,
  type PracticeOptions,
  type PracticeTask,
} from './practice/practice-task.ts';
export {
  answerTo,
  cautionsAbout,
  explainFinding,
  hintsAbout,
  questionOn,
  shownItem,
  unitAsked,
  type ItemShown,
} from './practice/practice-words.ts';

export { controlLimits, judgeCheck, type ControlLimits } from './statistics/control-limits.ts';
export { CheckError, checkError, checkZeroError, hasZeroError } from './statistics/check-mass.ts';
export { summarise, type Summary } from './statistics/summarise.ts';
export { grubbs, type Grubbs } from './statistics/grubbs.ts';
export { line, type Line } from './statistics/line.ts';
export { welch, type Welch } from './statistics/welch.ts';
export { brownForsythe, type BrownForsythe } from './statistics/brown-forsythe.ts';
export { correlation, neighbourCorrelation } from './statistics/correlation.ts';
export { consensus, tooSmallTogether, type Consensus } from './statistics/consensus.ts';
export { contrast, type Contrast } from './statistics/contrast.ts';
export { bootstrap, type Bootstrapped } from './statistics/bootstrap.ts';
export { UncertaintyInputError, type Input } from './uncertainty/input.ts';
export { propagate, type Propagated, type PropagationOptions } from './uncertainty/propagate.ts';
export { simulate, type Simulated } from './uncertainty/simulate.ts';
export { studentT95 } from './statistics/student-t.ts';
export { waterDensity } from './materials/water-density.ts';
export { MATERIALS, type Material } from './materials/materials.ts';
export { seededRandom, type Random } from './simulation/random.ts';

export { protocol, protocolIds } from './laboratories/protocols.ts';
export { parseProtocol } from './laboratories/parsing/parse-protocol.ts';
export { sampleFaults } from './laboratories/samples/sample-faults.ts';
export { sampleOfRun } from './laboratories/samples/sample-of-run.ts';
export { protocolFaults } from './laboratories/parsing/protocol-faults.ts';
export { PROTOCOL_JSON_SCHEMA } from './laboratories/parsing/protocol-schema.ts';
export { holds, type Chosen, type Layout } from './laboratories/protocol/layout.ts';
export { ProtocolError } from './laboratories/protocol/protocol-error.ts';
export type {
  CaseDimension,
  Comparison,
  CountedDimension,
  Dimension,
  ObservedQuantity,
  Protocol,
  Quantity,
  QuantityWithUnit,
  Question,
  ReadQuantity,
  Statement,
  Step as ProtocolStep,
} from './laboratories/protocol/protocol.ts';
export {
  addressKey,
  cellKey,
  membersOf,
  REPORT_SECTIONS,
  type Address,
  type Members,
  type ReportSection,
} from './laboratories/run/address.ts';
export {
  BY_THE_BOOK,
  canBeLeft,
  GROUP,
  REVEALS,
  usualArrangement,
  type Arrangement,
  type Reveal,
} from './laboratories/run/arrangement.ts';
export { AddressError, checkAddress } from './laboratories/run/check-address.ts';
export { resultIn } from './laboratories/run/result-in.ts';
export { foldRun, type Run, type RunEvent, type SlotState } from './laboratories/run/run.ts';
export { runFromRows, runOfEntries, sampleRun, type Row, type RunChoices } from './laboratories/run/run-from-rows.ts';
export {
  anyTool,
  instrumentsOfKinds,
  toolFrom,
  toolKindName,
  toolKinds,
  toolMembers,
  type ToolInRun,
} from './laboratories/run/tool-in-run.ts';
export { evaluateRun, evaluatedRun, type EvaluatedResult, type EvaluatedRun } from './laboratories/evaluate-run.ts';
export { keptOf, type KeptResult, type KeptRun, type KeptVariance } from './laboratories/kept-results.ts';
export { kitOf, toPrepare, type LessonKit, type ToPrepare } from './planning/kit.ts';
export { lessonOf, isShared, problemOf, type Lesson, type LessonStep, type LessonTool } from './planning/lesson.ts';
export { fits, moved, withTool } from './planning/moving.ts';
export { planLesson, type PlanProgress } from './planning/plan-lesson.ts';
export {
  planConflicts,
  PlanError,
  type LessonPlan,
  type PlanConflict,
  type PlannedStep,
  type PlanProblem,
} from './planning/plan.ts';
export { realSteps } from './planning/real-times.ts';
export { atMinute, narrowPlace, waitsOf, type AtMinute, type NarrowPlace } from './planning/waits.ts';
export { HOT_PLATE_WATTS, minutesFor } from './planning/water.ts';
export {
  compareTools,
  type MeansCompared,
  type OneMore,
  type ToolComparison,
  type ToolFigures,
} from './laboratories/comparing/compare-tools.ts';
export {
  neededSize,
  rankedPlans,
  toolsForJob,
  type Job,
  type NeededSize,
  type ToolChosen,
  type ToolPlan,
} from './laboratories/choosing/tools-for-job.ts';
export { toolsCompared, type ToolCompared } from './laboratories/comparing/tools-compared.ts';
export { poolTools, type GroupTools, type PooledTool } from './laboratories/pooling/pool-tools.ts';
export { pool, type Pool, type PooledValue, type SharedPart } from './laboratories/pooling/pool.ts';
export type { GroupResult } from './laboratories/pooling/group-result.ts';
export { betweenTwo, pairsApart, type BetweenTwo } from './laboratories/pooling/between-two.ts';
export {
  FEWEST_EACH_WAY,
  worthChecking,
  type Factor,
  type MadeWith,
  type ResultMadeWith,
} from './laboratories/pooling/worth-checking.ts';
export { workOut, type WorkedRun } from './laboratories/engine/evaluate.ts';
export {
  chosenMembersFrom,
  placesOf,
  settingOf,
  type StudentWork,
  toolAt,
  toolsAllowed,
  type MemberInRun,
  type Setting,
} from './laboratories/engine/setting.ts';
export { linkFrom } from './laboratories/engine/numbers.ts';
export { cellInWords, membersInWords } from './laboratories/engine/label.ts';
export { numberOf, type Cell } from './laboratories/engine/cell.ts';
export type { BetterTool } from './laboratories/engine/better-tool.ts';
export { groupBudget, type BudgetGrouping } from './laboratories/engine/group-budget.ts';
export type {
  Candidate,
  ComparisonFound,
  MethodResult,
  PairFound,
  ResultFound,
} from './laboratories/engine/results.ts';
export type { WorkedAggregate, Working } from './laboratories/engine/working.ts';
export { readingParts, type ReadingPart } from './reading/parts/reading-parts.ts';
export { judgeParts, partsAdded, partsIn, type PartRead, type PartsJudged } from './reading/parts/judge-parts.ts';
export { isLockedPrediction } from './laboratories/own/prediction-lock.ts';
export { OwnWork, type Ingredient, type OwnCell, type SlipTold } from './laboratories/own/own-work.ts';
export {
  MOST_POINTS,
  proposal,
  SEEN,
  type Proposal,
  type ProposedPoints,
  type SeenCriterion,
} from './laboratories/marking/propose.ts';
export {
  enteredQuantities,
  entriesFrom,
  quantityUses,
  usesFrom,
  type ColumnUse,
  type ReadTable,
  type TableFault,
} from './laboratories/tidy/from-table.ts';
export { tidyTable, type TidyTable } from './laboratories/tidy/tidy-table.ts';
export { writtenSections } from './laboratories/run/written-sections.ts';
export { isReadingPlace } from './laboratories/run/reading-place.ts';
export { calculationsDone, readingsDone, type Progress } from './laboratories/marking/progress.ts';
export { tooEven, type TooEven } from './laboratories/checks/too-even.ts';
export { drawDifferent, type GivenEntry } from './laboratories/given/draw-given.ts';
export { alike, FEWEST_ALIKE, type Alike } from './laboratories/checks/alike.ts';
export { judgeAnswer, type AnswerVerdict } from './laboratories/checks/judge-answer.ts';
export { findingsIn } from './laboratories/checks/find.ts';
export type { Finding } from './laboratories/checks/finding.ts';
export {
  proofread,
  TableError,
  tableFaultName,
  type ColumnRead,
  type Proofread,
  type ProofreadOptions,
} from './tables/proofread.ts';
export { MOST_IN_EXERCISE, tableExercise } from './tables/as-exercise.ts';
export { toolQuestion } from './tables/tool-of-column.ts';
export type { TableFinding, TableFault as TableFaultKind } from './tables/finding.ts';
export { columnLetters, type Ask } from './tables/understand.ts';
