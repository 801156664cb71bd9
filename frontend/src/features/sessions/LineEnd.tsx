// The end of a session's line: pulled, or moved by the arrow keys.
import { useRef } from "react";
import styled from "styled-components";
import { say } from "../../lib/say";
import { LEAST_MINUTES, MOST_MINUTES } from "../../model/wishes";
import { breakpoint, colour } from "../../ui/tokens";

const Handle = styled.div`
  position: absolute;
  top: 0;
  width: 44px;
  height: 3.25rem;
  margin-left: -22px;
  cursor: ew-resize;
  touch-action: none;
  &::before {
    content: "";
    position: absolute;
    left: 19px;
    top: 2px;
    bottom: 4px;
    width: 6px;
    border-radius: 3px;
    background: ${colour.action};
  }
  @media ${breakpoint.phone} {
    display: none;
  }
`;
const LARGE_STEP = 5;
const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: LARGE_STEP,
  PageDown: -LARGE_STEP,
};

type Props = { minutes: number; /** of the whole width */ whole: number; onMinutes: (minutes: number) => void };

export function LineEnd({ minutes, whole, onMinutes }: Props) {
  const pulled = useRef<{ from: number; minutes: number; aMinute: number } | null>(null);
  return (
    <Handle
      role="slider"
      tabIndex={0}
      aria-label={say("lineEnd.name")}
      aria-valuenow={minutes}
      aria-valuemin={LEAST_MINUTES}
      aria-valuemax={MOST_MINUTES}
      aria-valuetext={say("lineEnd.minutes", { minutes })}
      data-line-end
      style={{ left: `${(minutes / whole) * 100}%` }}
      onKeyDown={(event) => {
        const step = KEYS[event.key];
        if (step === undefined) return;
        event.preventDefault();
        onMinutes(minutes + step);
      }}
      onPointerDown={(event) => {
        const width = event.currentTarget.parentElement?.clientWidth ?? 1;
        pulled.current = { from: event.clientX, minutes, aMinute: width / whole };
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        const pull = pulled.current;
        if (!pull) return;
        const next = Math.round(pull.minutes + (event.clientX - pull.from) / pull.aMinute);
        if (next !== minutes) onMinutes(next);
      }}
      onPointerUp={() => (pulled.current = null)}
      onPointerCancel={() => (pulled.current = null)}
    />
  );
}
