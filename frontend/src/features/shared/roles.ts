import { useQuery } from "@tanstack/react-query";
import { meQuery } from "../../api/queries";
import type { Operation, Role } from "../../api/types";
import { say } from "../../lib/say";

export const ROLES: readonly Role[] = ["lead", "instructor", "helper", "clinician"];
export const roleTitle = (role: Role): string => say(`roles.${role}`);
export const roleHint = (role: Role): string => say(`roles.${role}Hint`);

/** Whether whoever is signed in may ask something: what they may not is not offered. Nothing, until it is known who they are. */
export function useMay(): (operation: Operation) => boolean {
  const me = useQuery(meQuery);
  return (operation) => me.data?.may.includes(operation) ?? false;
}
