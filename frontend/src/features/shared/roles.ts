import type { Role } from "../../api/types";
import { say } from "../../lib/say";

export const ROLES: readonly Role[] = ["lead", "instructor", "helper", "clinician"];
/** Asked when it is shown: the sentences may come after this file. */
const TITLES: Record<Role, () => string> = {
  lead: () => say("roles.lead"),
  instructor: () => say("roles.instructor"),
  helper: () => say("roles.helper"),
  clinician: () => say("roles.clinician"),
};
const HINTS: Record<Role, () => string> = {
  lead: () => say("roles.leadHint"),
  instructor: () => say("roles.instructorHint"),
  helper: () => say("roles.helperHint"),
  clinician: () => say("roles.clinicianHint"),
};
export const roleTitle = (role: Role): string => TITLES[role]();
export const roleHint = (role: Role): string => HINTS[role]();
