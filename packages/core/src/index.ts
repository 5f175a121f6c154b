/* What the server, the command line and the scripts need of the core. */
export { advise } from './advice/advise.ts';
export { compareBench } from './advice/compareDocket.ts';
export { fillVehicle } from './advice/fillVehicle.ts';
export { Knowledge, bareKnowledge } from './advice/knowledge.ts';
export { DEFAULT_ASSUMPTIONS, assumptionsWith, type Assumptions } from './assumptions/assumptions.ts';
export { badParts } from './ledger/badParts.ts';
export { calibrate } from './ledger/calibrate.ts';
export { countsOf, type Count } from './ledger/counts.ts';
export { entryOf, type SaleFacts } from './ledger/entryOf.ts';
export { figuresOf } from './ledger/figures.ts';
export { learn, learnedName, overridesFor, type LearnedNumber } from './ledger/learn.ts';
export { movedAt, movedByLearning } from './ledger/moves.ts';
export { relearn } from './ledger/relearn.ts';
export { mainLine } from './vocabulary/chosenParts.ts';
export { LearnedCounts, tallyOf, toLeave, type MonthCount, type Tally } from './ledger/tally.ts';
export { weakPlacesOf } from './ledger/weakPlaces.ts';
export { ledgerCsv } from './ledger/ledgerCsv.ts';
export type { WeakPlace } from './vocabulary/weakPlace.ts';
export { LedgerEntry, type CauseShare } from './vocabulary/ledgerEntry.ts';
export { soldOn, warrantyOf } from './stock/warranty.ts';
export {
  APPLICATIONS,
  CATALOGUE_TABLES,
  COMPANIONS,
  DICTIONARY,
  FLEET,
  JOBS,
  PARTS,
  SENSING,
  SUPPLIERS,
  VEHICLES,
} from './catalogueFiles/tables.ts';
export type { CatalogueTable } from './catalogueFiles/catalogueTable.ts';
export { keptName, type KeptRow } from './catalogueFiles/keptRow.ts';
export { delimiterOf, readRow, readTable, wheelEndsOf } from './catalogueFiles/readTable.ts';
export { CHECK_NAMES } from './checkKinds/checkTypes.ts';
export { fitAll, type FitLine } from './fitment/fitQuestion.ts';
export { chainOf, circlesIn } from './fitment/supersession.ts';
export { bareIntake, type IntakeContext } from './intake/context.ts';
export { docketFromReading } from './intake/docketFromReading.ts';
export { mergeReading } from './intake/mergeReading.ts';
export { readIntake } from './intake/readIntake.ts';
export { benchOrder } from './practice/benchOrder.ts';
export { addQuote, quoteFile } from './quote/makeQuote.ts';
export { quoteCsv } from './quote/quoteCsv.ts';
export { matchPart, type MatchResult } from './matching/matchPart.ts';
export type { Reading } from './matching/readingChance.ts';
export { LogReader } from './signal/read/logReader.ts';
export { readTrace } from './signal/readTrace.ts';
export { readTraceText } from './signal/readTraceText.ts';
export { decodeText } from './text/decodeText.ts';
export { utf16Of } from './text/utf16.ts';
export { Advice, PlanNode } from './vocabulary/advice.ts';
export { BadInput } from './vocabulary/badInput.ts';
export {
  Application,
  CataloguePart,
  CatalogueSlice,
  CatalogueVehicle,
  CompanionRule,
  DictionaryEntry,
  FleetVehicle,
  JobNote,
  type SensingLine,
  emptySlice,
} from './vocabulary/catalogue.ts';
export { Check } from './vocabulary/check.ts';
export { Comparison } from './vocabulary/comparison.ts';
export {
  Docket,
  DocketCode,
  DocketSymptom,
  HistoryEvent,
  WheelEndArchitecture,
} from './vocabulary/docket.ts';
export { CAUSE_IN_WORDS, PART_IN_WORDS, chanceInWords } from './vocabulary/inWords.ts';
export { IntakeReading } from './vocabulary/intakeReading.ts';
export { mendDocket } from './vocabulary/mendDocket.ts';
export { parse } from './vocabulary/parse.ts';
export { parseDocket } from './vocabulary/parseDocket.ts';
export { eanCheckDigit, plainNumber } from './vocabulary/partNumber.ts';
export { changedShop } from './vocabulary/changedShop.ts';
export { ShopSettings, type ShopChange } from './vocabulary/shop.ts';
export { TraceReading } from './vocabulary/traceReading.ts';
export { axleOf } from './vocabulary/wheelEndWords.ts';
export { Cause, PartClass, Side } from './vocabulary/words.ts';
export { isSame, mergeThree, type MergeClash } from './vocabulary/mergeThree.ts';
export { mustBeShallow } from './vocabulary/depth.ts';
export { asksOf } from './stock/asksOf.ts';
export { orderView, type Coming } from './stock/orderView.ts';
export {
  allot,
  receivePart,
  settlePart,
  type Asked,
  type Claim,
  type Move,
  type PartShelf,
} from './stock/partShelf.ts';
export { supplierCsv, supplierFile } from './stock/supplierFile.ts';
export type { Supplier } from './vocabulary/catalogue.ts';
export type { ChosenOffer, OrderedLine } from './vocabulary/docket.ts';
export type { SupplierOrder, ToOrder } from './vocabulary/supplierOrder.ts';
export { localDay } from './vocabulary/days.ts';
