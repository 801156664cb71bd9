// What is advised for an adjuster, and how surely; where another mark stands, the way back to it.
import type { AdvisedAdjuster } from "../../../api/types";
import { say } from "../../../lib/say";
import { BackTo, Quiet } from "./quiet";

/** What a chance is called on the floor. */
const surely = (probability: number): string =>
  probability >= 0.8 ? say("controls.sure") : probability >= 0.5 ? say("controls.likely") : say("controls.perhaps");

type Props = {
  advised: AdvisedAdjuster;
  mark: string | undefined;
  /** without how surely, where there is little room */
  brief: boolean;
  onSet: (mark: string) => void;
};

export function Advised({ advised, mark, brief, onSet }: Props) {
  const to = advised.mark;
  if (to === null) return null;
  if (to !== mark)
    return (
      <BackTo onPress={() => onSet(to)}>
        {say("controls.advised")} {to}
      </BackTo>
    );
  return (
    <Quiet>
      {brief || advised.probability === null
        ? say("controls.advised")
        : say("controls.advisedSurely", { surely: surely(advised.probability) })}
    </Quiet>
  );
}
