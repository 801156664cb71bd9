// A reading by a phone, from the bench: a code is made, what is read is looked at until it is over.
import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, newKey, unwrap } from "../../../api/client";
import { movementQuery } from "../../../api/queries";
import type { MadeReading } from "../../../api/types";

/** make: asks for a code, for what is to be read. */
export function useMovement(make: () => Promise<MadeReading>) {
  const [made, setMade] = useState<MadeReading | null>(null);
  const making = useMutation({ mutationFn: make, onSuccess: setMade });
  const reading = useQuery({ ...movementQuery(made?.id ?? ""), enabled: made !== null });
  const letGo = useMutation({
    mutationFn: (id: string) =>
      unwrap(api.POST("/api/movements/{id}/removal", { params: { path: { id }, header: newKey() }, body: {} })),
  });
  return {
    made,
    making,
    reading: made ? (reading.data ?? null) : null,
    problem: reading.error,
    /** What was read is used, or forgotten. */
    close: (forget: boolean) => {
      if (forget && made) letGo.mutate(made.id);
      setMade(null);
    },
  };
}
