// A file on its way in: sent part by part, read, looked through a thousand rows at a time. It can be let go at any moment, and goes on by itself
// until it was looked through; nothing of the gym is changed before it is taken in.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, newKey, unwrap } from "../../api/client";
import type { Import, ImportKind, ImportPage, LengthUnit, MassUnit } from "../../api/types";
import { base64 } from "../../lib/base64";

const CHUNK = 512 * 1024;

export type Asked = { kind: ImportKind; file: File; lengthUnit: LengthUnit; massUnit: MassUnit };
export type Taking = { leaveRefused: boolean; untilAsked: boolean };

const letGo = (id: string) =>
  unwrap(api.POST("/api/imports/{id}/removal", { params: { path: { id }, header: newKey() } }));

async function send(id: string, file: File, told: (now: Import) => void, over: () => boolean) {
  for (let number = 0; number * CHUNK < file.size && !over(); number += 1) {
    const bytes = await file.slice(number * CHUNK, (number + 1) * CHUNK).arrayBuffer();
    told(
      await unwrap(
        api.PUT("/api/imports/{id}/chunks", {
          params: { path: { id }, header: newKey() },
          body: { number, base64: base64(new Uint8Array(bytes)) },
        }),
      ),
    );
  }
}

const step = (id: string) => unwrap(api.POST("/api/imports/{id}/step", { params: { path: { id }, header: newKey() } }));

export function useIncoming() {
  const [now, setNow] = useState<Import | null>(null);
  // What was let go, or left behind: no answer that comes later is told.
  const current = useRef<string | null>(null);
  const queryClient = useQueryClient();
  useEffect(
    () => () => {
      current.current = null;
    },
    [],
  );

  const look = useMutation<ImportPage | null, unknown, Asked>({
    mutationFn: async ({ kind, file, lengthUnit, massUnit }) => {
      const begun = await unwrap(
        api.POST("/api/imports", {
          params: { header: newKey() },
          body: { kind, bytes: file.size, length_unit: lengthUnit, mass_unit: massUnit },
        }),
      );
      const { id } = begun;
      current.current = id;
      const over = () => current.current !== id;
      const tell = (row: Import) => {
        if (!over()) setNow(row);
      };
      tell(begun);
      await send(id, file, tell, over);
      for (let row = begun; row.state !== "checked" && !over(); tell(row)) row = await step(id);
      return over() ? null : unwrap(api.GET("/api/imports/{id}", { params: { path: { id } } }));
    },
  });

  const take = useMutation({
    mutationFn: ({ id, leaveRefused, untilAsked }: Taking & { id: string }) =>
      unwrap(
        api.POST("/api/imports/{id}/taking", {
          params: { path: { id }, header: newKey() },
          body: { leave_refused: leaveRefused, until_asked: untilAsked },
        }),
      ),
    onSuccess: () => queryClient.invalidateQueries(),
  });

  /** Away with it: what has come is forgotten. */
  const stop = () => {
    const id = current.current;
    current.current = null;
    setNow(null);
    look.reset();
    take.reset();
    if (id) void letGo(id).catch(() => undefined);
  };
  return { now, look, take, stop };
}
