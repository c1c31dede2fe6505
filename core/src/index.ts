export { CORE_VERSION } from './core-version.ts';

export { significantFigures, parseWrittenNumber, UnreadableNumberError, type WrittenNumber } from './numbers/written-number.ts';
export { roundToPlace, uncertaintyPlace, unambiguousAtPlace, writtenAtPlace, type RoundingRule, type UncertaintyFigures } from './numbers/rounding.ts';
export { Decimal } from './numbers/decimal.ts';
export { parseExpression } from './numbers/parse-expression.ts';
export { ExpressionError, namesIn, type Expression } from './numbers/expression.ts';
export { resolveUnits } from './numbers/resolve-units.ts';
export { evaluateMeasured, figuresOf, type Measured, type Step } from './numbers/measured.ts';
export { latexOf, unitLatex } from './numbers/latex.ts';
export { conversionFactor, parseUnit, UnitMismatchError, UnknownUnitError, writtenUnit, type Unit } from './units/unit.ts';

export { instrumentIds, instrumentById, UnknownInstrumentError } from './instruments/catalogue.ts';
export type { BeamBalance, Instrument, SkillId } from './instruments/instrument.ts';
export { SKILLS, type Skill } from './instruments/skills.ts';

export { completeRules, contradictionIn, DEFAULT_RULES, HouseRuleError, PRESETS, RULE_CHOICES, type Estimate, type HouseRules } from './reading/house-rules.ts';
export { EYE_REACH, SituationError, type Situation } from './reading/situation.ts';
export { needsWholeWidth, shownOnPaper } from './reading/on-paper.ts';
export { asOperated, DEEDS, threadAt, THREAD_TIME, type Done, type Operation } from './reading/operation.ts';
export { remarksOn, type Remark } from './reading/remarks.ts';
export { cautionsFor } from './reading/cautions.ts';
export { readingTask, type ReadingTask } from './reading/reading-task.ts';
export { expectedReading, readingStep, writtenUnitOf, type ExpectedReading } from './reading/expected-reading.ts';
export { diagnose, type Diagnosis, type SlipFound, type Verdict } from './reading/diagnose.ts';
export type { SlipHistory } from './reading/hypotheses.ts';
export { drawTask, predictedEntries, slipsOn, AimError, type DrawOptions } from './reading/draw-task.ts';
export { noteOn, pictureOf, type DrawnMark, type LiquidColumnPicture, type Picture, type RulerPicture, type Vessel } from './reading/picture.ts';
export type { Handled, PicturedEye, RuledMark } from './reading/picture-parts.ts';
export { riderGrams, riderPlace, POINTER_STOPS, type BeamPicture, type DisplayPicture, type DrawnBeam, type Laden, type Weighables } from './reading/balance-pictures.ts';
export { PUTS_RIGHT, settlesFrom, stillAway } from './reading/operate-weighing.ts';
export { isAtRest, startled, swung, type Pointer, type Swing } from './instruments/pointer-swing.ts';
export type { CaliperPicture, MicrometerPicture } from './reading/slide-pictures.ts';
export { planForAims, plannedItems, planRound, type PlannedItem } from './reading/plan-round.ts';
export { faded, MADE, NO_HABIT, planForBelief, PRIOR, updated, type Belief, type TutorOptions } from './reading/tutor.ts';
export { revealOf, type RevealStep } from './reading/reveal.ts';
export { questionFor } from './reading/question.ts';
export { hintsFor } from './reading/hints.ts';
export { explainSlips, type SlipExplained } from './reading/explain.ts';
export { closesTask, feedbackOn, TRIES, type Feedback, type Outcome } from './reading/feedback.ts';
export { describeColumn, describeEnd, describeRuler } from './reading/describe.ts';
export { describeBeams, describeDisplay, describePointer, describeRiders } from './reading/describe-weighing.ts';
export { describeCaliper, describeMicrometer } from './reading/describe-slides.ts';
export type { PathPiece } from './reading/path.ts';
export { SLIPS, slipById, UnknownSlipError } from './reading/slips/registry.ts';

export { summarise, type Summary } from './statistics/summarise.ts';
export { propagate, UncertaintyInputError, type Input, type Propagated, type PropagationOptions } from './uncertainty/propagate.ts';
export { waterDensity } from './materials/water-density.ts';
export { MATERIALS, type Material } from './materials/materials.ts';
export { seededRandom, type Random } from './simulation/random.ts';

export { protocol, protocolIds } from './laboratories/protocols.ts';
export { UnknownProtocolError, type ComputedQuantity, type Protocol, type Quantity, type ReadQuantity } from './laboratories/protocol.ts';
export { foldRun, type Run, type RunEvent, type SlotState } from './laboratories/run.ts';
export { evaluateRun } from './laboratories/evaluate-run.ts';
export type { EvaluatedRun, Finding, RunResult, TrialRow } from './laboratories/evaluated-run.ts';
export type { Cell, Working } from './laboratories/cells.ts';
export { REPEATS } from './laboratories/result.ts';
