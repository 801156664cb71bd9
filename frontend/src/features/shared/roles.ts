import { useQuery } from "@tanstack/react-query";
import { meQuery } from "../../api/queries";
import type { Operation, Role } from "../../api/types";
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

/** Whether whoever is signed in may ask something: what they may not is not offered. Nothing, until it is known who they are. */
export function useMay(): (operation: Operation) => boolean {
  const me = useQuery(meQuery);
  return (operation) => me.data?.may.includes(operation) ?? false;
}
