import type { ReactNode } from "react";
import type { Operation } from "../../api/types";
import { useMay } from "./useMay";

/** What is offered to whoever may ask for it, and to nobody else. */
export function May({ ask, children }: { ask: Operation; children: ReactNode }) {
  return useMay()(ask) ? children : null;
}
