// Where a set was felt: in the muscle that is meant to work, a touch; anywhere else, on a small figure. A joint stops the exercise today.
import { useState } from "react";
import { Radio, RadioGroup } from "react-aria-components";
import styled from "styled-components";
import type { Region } from "../../../api/types";
import { say } from "../../../lib/say";
import { FieldLabel } from "../../../ui/Field";
import { Dialogue } from "../../../ui/Dialogue";
import { SecondaryButton } from "../../../ui/Button";
import { Small } from "../../../ui/Page";
import { colour, font, radius, space, target } from "../../../ui/tokens";
import { RegionFigure } from "./RegionFigure";
import { Answers, Answer } from "./Answer";

const Both = styled.div`
  display: grid;
  grid-template-columns: 16rem minmax(0, 1fr);
  gap: ${space(5)};
  @media (max-width: 480px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const List = styled(RadioGroup)`
  display: grid;
  gap: ${space(1)};
  align-content: start;
`;
const One = styled(Radio)<{ $joint: boolean }>`
  min-height: ${target.least};
  display: flex;
  align-items: center;
  gap: ${space(2)};
  padding: 0 ${space(3)};
  border: 1px solid ${({ $joint }) => ($joint ? colour.off : colour.lineStrong)};
  border-radius: ${radius};
  cursor: pointer;
  &[data-selected] {
    background: ${({ $joint }) => ($joint ? colour.offFill : colour.actionQuiet)};
    border-width: 2px;
    font-weight: ${font.strong};
  }
`;

const MEANS = { helps: say("felt.worksToo"), elsewhere: say("felt.signNote"), joint: say("felt.stopsToday") };

type Props = { regions: readonly Region[]; value: string | null; onChange: (name: string | null) => void };

export function Felt({ regions, value, onChange }: Props) {
  const [open, setOpen] = useState(false);
  const works = regions.filter(({ meaning }) => meaning === "works");
  const other = regions.find(({ name, meaning }) => name === value && meaning !== "works");
  const choose = (name: string) => {
    onChange(name);
    setOpen(false);
  };
  return (
    <div data-felt={value ?? ""}>
      <FieldLabel as="span">{say("felt.felt")}</FieldLabel>
      <Answers>
        {works.map(({ name, title }) => (
          <Answer key={name} selected={value === name} onPress={() => onChange(name)}>
            {title}
          </Answer>
        ))}
        <Answer
          selected={other !== undefined}
          tone={other?.meaning === "joint" ? "wrong" : "plain"}
          onPress={() => setOpen(true)}
        >
          {other?.title ?? say("felt.elsewhere")}
        </Answer>
      </Answers>
      <Dialogue title={say("felt.question")} isOpen={open} onClose={() => setOpen(false)}>
        <Both>
          <RegionFigure regions={regions} value={value} onChoose={choose} />
          <List aria-label={say("felt.question")} value={value ?? ""} onChange={choose}>
            {regions.map(({ name, title, meaning }) => (
              <One key={name} value={name} $joint={meaning === "joint"}>
                {title}
                {meaning === "works" ? null : <Small>{MEANS[meaning]}</Small>}
              </One>
            ))}
            <SecondaryButton
              onPress={() => {
                onChange(null);
                setOpen(false);
              }}
            >
              {say("felt.nobodySaid")}
            </SecondaryButton>
          </List>
        </Both>
      </Dialogue>
    </div>
  );
}
