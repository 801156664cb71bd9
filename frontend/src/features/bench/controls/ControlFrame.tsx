// How a control of the bench stands: large with what a step would do, or as a row where many stand together.
import type { ReactNode } from "react";
import { Card, Middle, Outcomes, Row, Top } from "./card";

type Props = {
  name: string;
  active: boolean;
  /** a row of one height */
  dense: boolean;
  /** what it is known by in the page */
  data: Record<`data-${string}`, string>;
  advice: ReactNode;
  less: ReactNode;
  figure: ReactNode;
  more: ReactNode;
  /** between the name and the figure, where it stands large */
  note?: ReactNode;
  /** below, where it stands large: two outcomes, or a line */
  outcomes: readonly ReactNode[] | ReactNode;
};

export function ControlFrame({ name, active, dense, data, advice, less, figure, more, note, outcomes }: Props) {
  if (dense)
    return (
      <Row $active={active} role="group" aria-label={name} {...data}>
        {less}
        <Middle>
          <h2>{name}</h2>
          {figure}
          {advice}
        </Middle>
        {more}
      </Row>
    );
  return (
    <Card $active={active} role="group" aria-label={name} {...data}>
      <Top>
        <h2>{name}</h2>
        {advice}
      </Top>
      {note}
      {less}
      {figure}
      {more}
      {Array.isArray(outcomes) ? <Outcomes>{outcomes}</Outcomes> : outcomes}
    </Card>
  );
}
