import { useQuery } from "@tanstack/react-query";
import { meQuery } from "../../api/queries";
import type { Operation } from "../../api/types";

/** Whether whoever is signed in may ask something: what they may not is not offered. Nothing, until it is known who they are. */
export function useMay(): (operation: Operation) => boolean {
  const me = useQuery(meQuery);
  return (operation) => me.data?.may.includes(operation) ?? false;
}
