// Short names for the schemas of web/openapi.yaml, from which generated/schema.d.ts is made at every build.
import type { components } from "./generated/schema";

type Schemas = components["schemas"];

export type ApiError = Schemas["Error"] & { current?: Schemas["FittingState"] };
export type Band = Schemas["Band"];
export type Staff = Schemas["Staff"];
export type Client = Schemas["Client"];
export type ClientPage = Schemas["ClientPage"];
export type Machine = Schemas["Machine"];
export type Floor = Schemas["Floor"];
export type Observation = Schemas["Observation"];
export type ObservationName = Schemas["ObservationName"];
export type FittingPage = Schemas["FittingPage"];
export type FittingState = Schemas["FittingState"];
export type Evaluation = Schemas["Evaluation"];
export type Finding = Schemas["Finding"];
export type Advice = Schemas["Advice"];
export type AdvisedAdjuster = Schemas["AdvisedAdjuster"];
export type Figure = Schemas["Figure"];
export type Pose = Schemas["Pose"];
export type Marks = Schemas["Marks"];
export type Dimension = Schemas["Dimension"];
export type Place = Schemas["Point"];
