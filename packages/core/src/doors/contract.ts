/* The API as both sides of it know it: the server checks by the schemas, the pages take the types. */
export {
  API,
  type Answer,
  type Api,
  type ApiName,
  type Body,
  type IntakeRequest,
  type Query,
} from '../contract/api.ts';
export type {
  ChangeLine,
  Clash,
  CustomerLine,
  DocketLine,
  DocketLines,
  DocketState,
  DocketView,
  Figures,
} from '../contract/docketViews.ts';
export type { BackupLine, BackupsView } from '../contract/backupViews.ts';
export type {
  DeviceLine,
  DevicesView,
  Measured,
  ReadingJob,
  StockSaid,
  WireAnswer,
} from '../contract/deviceViews.ts';
export type { BenchEnd, BenchProbes, BenchState, BenchWork } from '../vocabulary/bench.ts';
export type { MeterQuantity, MeterReading, ReaderCodes } from '../vocabulary/devices.ts';
export type {
  ImportMode,
  ImportProgress,
  ImportReport,
  MatchAnswer,
  PartView,
  RowError,
} from '../contract/partViews.ts';
export type { LineState, OrderLineView, OrderNext, OrderView } from '../vocabulary/orderView.ts';
export type { SupplierOrder, ToOrder } from '../vocabulary/supplierOrder.ts';
export type {
  BadPart,
  Calibration,
  Comeback,
  LearnedLine,
  LedgerFigures,
  LedgerGroup,
  LedgerShare,
  Unheard,
} from '../vocabulary/ledgerViews.ts';
export type { AssumptionLine, ShopView, Turned, TurnedAnswer, VehicleLine } from '../contract/shopViews.ts';
export type {
  Answered,
  LearnerView,
  PracticeHome,
  RoundScores,
  RoundView,
  SkillView,
  TeamView,
  VisitView,
} from '../contract/practiceViews.ts';
