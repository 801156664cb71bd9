import type { ReactNode } from "react";

/** Tells that something in it is being typed or chosen anew: what was refused is then no longer what stands there. */
export const Typed = ({ onTyped, children }: { onTyped: () => void; children: ReactNode }) => (
  <div style={{ display: "contents" }} onInput={onTyped}>
    {children}
  </div>
);
