// Server data: fetcher and type of each question, by what they are about; their keys stand in keys.ts. What nobody waits for any
// more is broken off.
export * from "./queries/clients";
export * from "./queries/fittings";
export * from "./queries/gym";
export * from "./queries/machines";
export * from "./queries/staff";
export * from "./queries/sessions";
export * from "./queries/movements";
export * from "./queries/practice";
