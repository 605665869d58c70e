import type { components } from "./schema";

type Schemas = components["schemas"];

export type FloorView = Schemas["FloorView"];
export type Area = Schemas["Area"];
export type Strip = Schemas["Strip"];
export type PumpView = Schemas["PumpView"];
export type ChooserView = Schemas["ChooserView"];
export type RatedMaterial = Schemas["RatedMaterial"];
export type RoleView = Schemas["RoleView"];
export type DutyForm = Schemas["DutyForm"];
export type FluidForm = Schemas["FluidForm"];
export type ChoiceQuestion = Schemas["Question"];
export type LibraryView = Schemas["LibraryView"];
export type FluidSheet = Schemas["FluidSheet"];
export type PairView = Schemas["PairView"];
export type ResistanceLine = Schemas["ResistanceLine"];
export type Effect = Schemas["Effect"];
export type Family = Schemas["Family"];
export type Energy = Schemas["Energy"];
export type Level = Schemas["Level"];
export type RatingVerdict = Schemas["RatingVerdict"];
export type StateMark = Schemas["StateMark"];
export type WaitKind = Schemas["WaitKind"];
export type KeptCondition = Schemas["KeptCondition"];
export type GaugeCondition = Schemas["Condition"];
export type LotAct = Schemas["LotAct"];
export type PolicyWay = Schemas["PoliciesWay"];
export type InsightKind = Schemas["InsightsKind"];
export type LotStatus = Schemas["LotStatus"];
export type OwnResistance = Schemas["OwnResistance"];
export type FindingRequest = Schemas["FindingRequest"];
export type CounterReport = Schemas["CounterReport"];
export type ImportReport = Schemas["ImportReport"];
export type KitChoice = Schemas["KitChoice"];
export type Person = Schemas["Person"];
export type Running = Schemas["Running"];

export type RateAnswer = Schemas["RateAnswer"];
export type WrenchChoice = Schemas["WrenchChoice"];
export type RoleChoice = Schemas["RoleChoice"];

export type BenchView = Schemas["BenchView"];
export type StageView = Schemas["StageView"];
export type LogLine = Schemas["LogLine"];
export type PlanView = Schemas["PlanView"];
export type RenewItem = Schemas["RenewItem"];
export type DecideView = Schemas["DecideView"];
export type HandBackView = Schemas["HandBackView"];
export type OutView = Schemas["OutView"];
export type TrayItem = Schemas["TrayItem"];
export type StageMark = Schemas["StageMark"];
export type Rail = Schemas["Rail"];
export type RailLine = Schemas["RailLine"];
export type RailPart = Schemas["RailPart"];
export type WaysView = Schemas["WaysView"];
export type RouteView = Schemas["RouteView"];
export type SchoolView = Schemas["SchoolView"];
export type CoverView = Schemas["CoverView"];
export type PlaceView = Schemas["PlaceView"];
export type Listed = Schemas["Listed"];
export type Draft = Schemas["Draft"];
export type Revision = Schemas["Revision"];
export type Imported = Schemas["Imported"];
export type StepView = Schemas["StepView"];
export type CheckView = Schemas["CheckView"];
export type TorqueView = Schemas["TorqueView"];
export type Gate = Schemas["Gate"];
export type InspectItem = Schemas["InspectItem"];
export type LotView = Schemas["LotView"];
export type FindingView = Schemas["FindingView"];
export type MeasureView = Schemas["MeasureView"];
export type CauseView = Schemas["CauseView"];
export type GaugeView = Schemas["GaugeView"];
export type RoundView = Schemas["RoundView"];
export type RoundRequest = Schemas["RoundRequest"];
export type SymptomQuestion = Schemas["SymptomQuestion"];
export type SymptomsView = Schemas["SymptomsView"];
export type FaultLine = Schemas["FaultLine"];
export type TestLine = Schemas["TestLine"];
export type AnswerView = Schemas["AnswerView"];
export type TrendView = Schemas["TrendView"];
export type ClockView = Schemas["ClockView"];
export type WaitView = Schemas["WaitView"];
export type ProofView = Schemas["ProofView"];
export type PinMark = Schemas["PinMark"];
export type ActRequest = Schemas["ActRequest"];
/** What a screen says of an act; key, seen and who are added when it is sent. */
export type Act = Schemas["AskedAct"];
export type TakenIn = Schemas["TakenIn"];

/** A fault at a field. */
export interface Fault {
  path: string;
  message: string;
  /** Line of a file; 0 where none is known. */
  line?: number;
}

export type LifeView = Schemas["LifeView"];
export type LifeQuestion = Schemas["LifeQuestion"];
export type PolicyView = Schemas["PolicyView"];
export type RunningSet = Schemas["RunningSet"];
export type ComparisonView = Schemas["ComparisonView"];
export type SideQuestion = Schemas["SideQuestion"];
export type HistoryReport = Schemas["HistoryReport"];
export type ImportRequest = Schemas["ImportRequest"];
export type StoresView = Schemas["StoresView"];
export type StockLine = Schemas["StockLine"];
export type ShelfLot = Schemas["ShelfLot"];
export type InsightView = Schemas["InsightView"];
export type KnownField = Schemas["KnownField"];
export type LotRequest = Schemas["LotRequest"];
export type ReceivedRequest = Schemas["ReceivedRequest"];
export type KeepRequest = Schemas["KeepRequest"];
export type DiaryView = Schemas["DiaryView"];
export type DiaryEntry = Schemas["Entry"];
