// What only some want to know, a press away.
import { say } from "../lib/say";
import { type ReactNode, useState } from "react";
import { QuietButton } from "./Button";

export function More({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState(false);
  return shown ? <span>{children}</span> : <QuietButton onPress={() => setShown(true)}>{say("more.more")}</QuietButton>;
}
