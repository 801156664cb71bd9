// The movement by hand: a slider from where it turns to its other end, and how far each joint bends there.
import { Label, Slider, SliderThumb, SliderTrack } from "react-aria-components";
import type { ReactNode } from "react";
import styled from "styled-components";
import type { Effort, Pose } from "../api/types";
import { wholeText } from "../lib/lengths";
import { say } from "../lib/say";
import { EffortTrack, hundredth } from "./EffortTrack";
import { valueAt } from "./valueAt";
import { colour, font, size, space } from "../ui/tokens";

const Area = styled.div<{ $effort: boolean }>`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(16rem, 1fr));
  align-items: center;
  gap: ${space(1)} ${space(5)};
  padding: ${({ $effort }) => ($effort ? "42px" : 0)} ${space(4)} ${space(2)};
  font-size: ${size.small};
`;
const Track = styled(Slider)`
  display: grid;
  grid-template-columns: auto minmax(6rem, 1fr) auto;
  align-items: center;
  gap: ${space(5)};
  min-height: 44px;
  color: ${colour.inkMuted};
  .react-aria-SliderTrack {
    position: relative;
    height: 44px;
    width: 100%;
    &::before {
      content: "";
      position: absolute;
      inset: 20px 0;
      background: ${colour.line};
      border-radius: 2px;
    }
  }
  .react-aria-SliderThumb {
    top: 50%;
    width: 26px;
    height: 26px;
    border-radius: 50%;
    background: ${colour.action};
    border: 3px solid ${colour.panel};
    &[data-focus-visible] {
      outline: 3px solid ${colour.action};
      outline-offset: 2px;
    }
  }
`;
/** The stretch of a slow start, ended by a tick; its name stands where there is room. */
const Slow = styled.span<{ $name: "before" | "after" }>`
  position: absolute;
  left: 0;
  top: 0;
  height: 24px;
  border-right: 3px solid ${colour.action};
  > span {
    position: absolute;
    ${({ $name }) => ($name === "after" ? "left: 100%" : "right: 0")};
    top: 0;
    padding: 0 ${space(2)};
    white-space: nowrap;
    color: ${colour.ink};
    line-height: 1;
  }
  &::after {
    content: "";
    position: absolute;
    inset: auto 0 0;
    height: 4px;
    background: ${colour.action};
  }
`;
const Bends = styled.dl`
  display: flex;
  gap: ${space(5)};
  dt {
    color: ${colour.inkMuted};
  }
  dd {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: ${size.text};
    word-spacing: -0.3em;
    small {
      font-size: ${size.small};
      font-weight: ${font.regular};
      color: ${colour.inkMuted};
    }
  }
`;

type Props = {
  poses: readonly Pose[];
  /** what the two ends of the movement are called */
  ends: readonly string[];
  at: number;
  /** share of the movement up to which it begins slowly */
  slowTo: number | null;
  /** what one load asks along it */
  effort: Effort | null;
  onChange: (index: number) => void;
  children?: ReactNode;
};

const padText = (mm: number) =>
  mm > 0 ? say("travel.towardsTheFoot", { mm }) : say("travel.towardsTheKnee", { mm: -mm });

export function Travel({ poses, ends, at, slowTo, effort, onChange, children }: Props) {
  const pose = poses[at];
  const share = pose?.share ?? 0;
  return (
    <Area $effort={effort !== null} data-travel>
      <Track
        value={at}
        minValue={0}
        maxValue={poses.length - 1}
        onChange={(index) => onChange(Array.isArray(index) ? (index[0] ?? 0) : index)}
      >
        <Label>{ends[0]}</Label>
        <SliderTrack>
          {effort ? <EffortTrack effort={effort} share={share} /> : null}
          {slowTo === null ? null : (
            <Slow $name={slowTo < 0.5 ? "after" : "before"} style={{ width: `${slowTo * 100}%` }} data-slow-to={slowTo}>
              <span>{say("travel.slowTo")}</span>
            </Slow>
          )}
          <SliderThumb aria-label={say("travel.sliderName")} />
        </SliderTrack>
        <span aria-hidden="true">{ends[1]}</span>
      </Track>
      <Bends aria-live="polite">
        {(pose?.deg ?? []).map(({ motion, title, deg, limit }) => (
          <div key={motion} data-bend={motion}>
            <dt>{title}</dt>
            <dd>
              {wholeText(deg, "deg")}{" "}
              <small>{limit === null || deg < 0 ? null : say("travel.ofLimit", { limit })}</small>
            </dd>
          </div>
        ))}
        {pose && pose.split.length > 0 ? (
          <div data-split>
            <dt>{say("travel.kneeToHip")}</dt>
            <dd>{pose.split.join(" : ")}</dd>
          </div>
        ) : null}
        {pose?.pad_mm == null ? null : (
          <div data-pad>
            <dt>{say("travel.rollerScale")}</dt>
            <dd>{pose.pad_mm === 0 ? say("travel.staysPut") : padText(pose.pad_mm)}</dd>
          </div>
        )}
        {effort && pose && pose.split.length === 0 ? (
          <div data-effort>
            <dt>{effort.title}</dt>
            <dd>{effort.lines.map(({ points }) => `${hundredth(valueAt(points, share))} %`).join(" : ")}</dd>
          </div>
        ) : null}
        {pose?.effort_nm == null ? null : (
          <div data-effort>
            <dt>{say("travel.effort")}</dt>
            <dd>{say("travel.nm", { nm: pose.effort_nm })}</dd>
          </div>
        )}
      </Bends>
      {children}
    </Area>
  );
}
