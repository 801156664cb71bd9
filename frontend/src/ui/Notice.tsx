import type { ReactNode } from "react";
import styled from "styled-components";
import { colour, radius, space } from "./tokens";

const Frame = styled.div<{ $tone: "calm" | "wrong" }>`
  padding: ${space(3)} ${space(4)};
  border-left: 4px solid ${({ $tone }) => ($tone === "wrong" ? colour.off : colour.close)};
  border-radius: ${radius};
  background: ${({ $tone }) => ($tone === "wrong" ? colour.offFill : colour.closeFill)};
`;

/** Something to know (calm) or something that went wrong: what happened, what was kept, what to do. */
export function Notice({ tone = "calm", children }: { tone?: "calm" | "wrong"; children: ReactNode }) {
  return (
    <Frame $tone={tone} role={tone === "wrong" ? "alert" : "status"}>
      {children}
    </Frame>
  );
}
