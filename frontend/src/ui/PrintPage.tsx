import { say } from "../lib/say";
import { QuietButton } from "./Button";

/** The page as it stands, on paper. */
export function PrintPage() {
  return <QuietButton onPress={() => window.print()}>{say("printPage.print")}</QuietButton>;
}
