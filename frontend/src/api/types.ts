// Short names for the schemas of web/openapi.yaml, from which generated/schema.d.ts is made at every build.
import type { components, operations, paths } from "./generated/schema";

type Schemas = components["schemas"];

/** The name of something that can be asked. */
export type Operation = keyof operations;
export type Role = Schemas["Role"];
export type Colleague = Schemas["Colleague"];
export type OwnCard = Schemas["OwnCard"];
export type StaffLink = Schemas["StaffLink"];
export type Practice = Schemas["Practice"];
export type PracticeRun = Schemas["PracticeRun"];
export type PracticeSummary = Schemas["PracticeSummary"];
export type Debrief = Schemas["Debrief"];
export type LiveReading = Schemas["LiveReading"];
export type PhoneReading = Schemas["PhoneReading"];
export type MadeReading = Schemas["MadeReading"];
export type Movement = Schemas["Movement"];
export type ReadSet = Schemas["ReadSet"];
export type ReadCurve = Schemas["ReadCurve"];
export type KeptReading = Schemas["KeptReading"];

export type ApiError = Schemas["Error"] & { current?: unknown };
export type Band = Schemas["Band"];
export type Grade = Schemas["Grade"];
export type Staff = Schemas["Staff"];
export type Client = Schemas["Client"];
export type ClientPage = Schemas["ClientPage"];
export type Joins = Schemas["Joins"];
export type BesideData = Schemas["Beside"];
export type ClientRecord = Schemas["ClientRecord"];
export type CardLine = Schemas["CardLine"];
export type Adjuster = Schemas["Adjuster"];
export type Machine = Schemas["Machine"];
export type MachineOnBench = Schemas["MachineOnBench"];
export type ExplainedSign = Schemas["ExplainedSign"];
export type NextMove = Schemas["NextMove"];
export type MachinePage = Schemas["MachinePage"];
export type ReplacedSetting = Schemas["ReplacedSetting"];
export type MachineExercise = Schemas["MachineExercise"];
export type MachineLength = MachineExercise["lengths"][number];
export type MachineAdjuster = MachineExercise["adjusters"][number];
export type MachineState = Schemas["MachineState"];
export type WalkRound = Schemas["WalkRound"];
export type Family = Schemas["Family"];
export type Trial = Schemas["Trial"];
export type Person = Schemas["Person"];
export type Population = Schemas["Population"];
export type Changes = Schemas["Changes"];
export type Caution = Schemas["Caution"];
export type CautionLine = Schemas["CautionLine"];
export type Cautions = Schemas["Cautions"];
export type Question = Schemas["Question"];
export type Equipment = Schemas["Equipment"];
export type EquipmentSizes = Schemas["EquipmentSizes"];
export type Floor = Schemas["Floor"];
export type Tags = Schemas["Tags"];
export type Observation = Schemas["Observation"];
export type ObservationName = Schemas["ObservationName"];
export type ExerciseName = Schemas["ExerciseName"];
export type Gate = Schemas["Gate"];
export type FittingPage = Schemas["FittingPage"];
export type FittingState = Schemas["FittingState"];
export type Evaluation = Schemas["Evaluation"];
export type Finding = Schemas["Finding"];
export type Advice = Schemas["Advice"];
export type AdvisedAdjuster = Schemas["AdvisedAdjuster"];
export type Scene = Schemas["Scene"];
export type ScenePart = Scene["parts"][number];
export type Quickens = NonNullable<Schemas["Evaluation"]["quickens"]>;
export type Pose = NonNullable<Scene["poses"]>[number];
export type Plate = NonNullable<Scene["plate"]>;
export type WhoFits = Schemas["WhoFits"];
export type MachineError = Schemas["MachineErrors"]["errors"][number];
export type Prediction = Schemas["Predictions"]["predictions"][number];
export type Curve = NonNullable<Scene["curve"]>;
export type CueSaid = components["schemas"]["CueSaid"];
export type CueTable = components["schemas"]["CueTable"];
export type Moves = components["schemas"]["Moves"];
export type Cue = components["schemas"]["Cues"][number];
export type Effort = NonNullable<Scene["effort"]>;
export type Placed = Schemas["Placed"];
export type Target = Schemas["Target"];
export type Marks = Schemas["Marks"];
export type Aids = Schemas["Aids"];
export type Dimension = Schemas["Dimension"];

export type BenchStep = Schemas["BenchStep"];
export type Loads = Schemas["Loads"];
export type Load = NonNullable<Schemas["Load"]>;
export type Work = Schemas["Work"];
export type Loading = Schemas["Loading"];
export type SetUp = Schemas["SetUp"];
export type Queue = Schemas["Queue"];
export type MarkMove = Schemas["MarkMove"];
export type Limits = Schemas["Limits"];
export type Rules = Schemas["Rules"];
export type ClientRules = Schemas["ClientRules"];

/** What a fitting holds: all that an instructor can change on the bench. */
export type Sheet = Pick<
  FittingState,
  | "marks"
  | "aids"
  | "load"
  | "signs"
  | "note"
  | "knee_off_mm"
  | "roller_seen"
  | "flow"
  | "work"
  | "cue"
  | "reason"
  | "trail"
  | "creep"
>;
export type Visit = Schemas["Visit"];
export type TodayLoad = Schemas["TodayLoad"];
export type Visited = Schemas["Visited"];
export type DoneSet = Schemas["DoneSet"];
export type Progress = Schemas["Progress"];
export type Region = Visit["felt"][number];
export type WallNames = Schemas["WallNames"];
export type GymSettings = Schemas["GymSettings"];
export type AuditEntry = Schemas["AuditTrail"]["entries"][number];
export type Refit = Schemas["Refits"]["due"][number];
export type Board = Schemas["Board"];
export type Import = Schemas["Import"];
export type ImportPage = Schemas["ImportPage"];
type BeginImport = paths["/api/imports"]["post"]["requestBody"]["content"]["application/json"];
export type ImportKind = BeginImport["kind"];
export type LengthUnit = BeginImport["length_unit"];
export type MassUnit = BeginImport["mass_unit"];
export type MachineAtAGlance = Schemas["MachineAtAGlance"];
export type Aim = Schemas["Aim"];
export type Tempos = Schemas["Tempos"];
export type FamilyTempo = Schemas["FamilyTempo"];
export type Aims = Schemas["Aims"];
export type SessionWishes = Schemas["SessionWishes"];
export type SessionPlan = Schemas["SessionPlan"];
export type SessionBlock = Schemas["SessionBlock"];
export type SessionMember = Schemas["SessionMember"];
export type Session = Schemas["Session"];
export type RunningBlock = Schemas["RunningBlock"];
export type Programme = Schemas["Programme"];
export type Programmes = Schemas["Programmes"];
export type Circle = Schemas["Circle"];
export type PlanMoves = Schemas["PlanMoves"];
