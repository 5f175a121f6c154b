/* What a page needs of the core to show advice: words, types and small sums; no validator and no reasoning. */
export {
  CHECK_IN_WORDS,
  CHECK_RESULTS,
  checkWithResult,
  numbersOf,
  pickedResult,
} from '../checkKinds/checkData.ts';
export { CHECK_NAMES, kindOf, type CheckName } from '../checkKinds/checkTypes.ts';
export { askFor } from '../fitment/attributes.ts';
export { addToOrder, declineWay, skipLine, takeOffer, takeSkipped, takeWay } from '../handover/takeOffer.ts';
export { addQuote, quoteFile, toPay } from '../quote/makeQuote.ts';
export { quoteCsv } from '../quote/quoteCsv.ts';
export { takeReaderCodes } from '../intake/takeReaderCodes.ts';
export { readOutcome } from '../intake/readOutcome.ts';
export { changeClaim, foundOnIt, raiseClaim } from '../stock/claims.ts';
export { warrantyOf, soldOn } from '../stock/warranty.ts';
export { CLAIM_STATES, GOT_OUT, KNOWN_BY } from '../vocabulary/wordLists.ts';
export type { Claim } from '../vocabulary/sale.ts';
export { ELSEWHERE_KINDS, type Elsewhere, type Quote } from '../vocabulary/sale.ts';
export { dayAfter, localDay } from '../vocabulary/days.ts';
export { partsOf } from '../vocabulary/chosenParts.ts';
export { RENEWED } from '../partKinds/partData.ts';
export { openDeposits, takeCore } from '../stock/refund.ts';
export { beforeItLeaves } from '../stock/beforeItLeaves.ts';
export { bringBack, CAME_BACK, handOver, piecesOut, readyPieces, type CameBack } from '../stock/handOver.ts';
export { decodeText } from '../text/decodeText.ts';
export type { Advice, CostPart, Offer, PlanNode, Question } from '../vocabulary/advice.ts';
export type { CataloguePart } from '../vocabulary/catalogue.ts';
export type { KeptStretch } from '../vocabulary/sale.ts';
export type { Check, LivePattern } from '../vocabulary/check.ts';
export type { ComparedWay, Comparison, Dial, Sensitivity } from '../vocabulary/comparison.ts';
export { isThere, symptomOf } from '../vocabulary/complaints.ts';
export type {
  ChosenOffer,
  DeclinedOffer,
  Docket,
  OrderedLine,
  Outcome,
  OutcomeResult,
  School,
} from '../vocabulary/docket.ts';
export { LONGEST } from '../vocabulary/longest.ts';
export { inImperial } from '../vocabulary/imperial.ts';
export {
  CAUSE_SHORT,
  CAUTION_IN_WORDS,
  EVENT_IN_WORDS,
  PART_IN_WORDS,
  SCHOOL_HOLDS,
  SCHOOL_IN_WORDS,
  SYMPTOM_IN_WORDS,
} from '../vocabulary/inWords.ts';
export type { Chip, IntakeReading } from '../vocabulary/intakeReading.ts';
export { centsFrom, centsInWords, totalCents } from '../vocabulary/money.ts';
export { PART_FIGURES } from '../partKinds/partData.ts';
export { CATALOGUE_FILES } from '../vocabulary/catalogueFile.ts';
export { isEan13 } from '../vocabulary/partNumber.ts';
export { GLOSSARY, glossaryAt, glossaryOf } from '../vocabulary/glossary/glossary.ts';
export type { GlossaryEntry } from '../vocabulary/glossary/glossaryEntry.ts';
export { isSame, mergeThree, settleClashes, type MergeClash } from '../vocabulary/mergeThree.ts';
export { changedShop } from '../vocabulary/changedShop.ts';
export type { ShopChange, ShopSettings } from '../vocabulary/shop.ts';
export type { TraceFinding, TraceReading } from '../vocabulary/traceReading.ts';
export type { WheelEnd } from '../vocabulary/wheelEnd.ts';
export { acrossFrom, wheelEndInWords, wheelsOf, type WheelNames } from '../vocabulary/wheelEndWords.ts';
export { CAUSES, OLD_SENSOR, OUTCOME_RESULTS, PART_CLASSES, SCHOOLS } from '../vocabulary/wordLists.ts';
export type {
  Account,
  AccountStep,
  ExerciseShows,
  ExerciseView,
  PracticeDeed,
  SentWith,
  Skill,
} from '../vocabulary/practice.ts';
export type { Cause, Caution, PartClass, Side, Symptom } from '../vocabulary/words.ts';
