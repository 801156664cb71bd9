import { useQuery } from "@tanstack/react-query";
import { clientQuery } from "../../api/queries";

/** What somebody is called whose id is all that is kept here. */
export const useClientName = (id: string): string => useQuery(clientQuery(id)).data?.client.name ?? "…";
