// A session to scale: minutes from left to right, a block a machine, the light set and the sets under it. Blocks are moved by hand
// or by the keyboard, the end of the line is pulled.
import { ListBox, ListBoxItem, useDragAndDrop } from "react-aria-components";
import styled from "styled-components";
import type { RunningBlock, SessionBlock } from "../../api/types";
import { say } from "../../lib/say";
import { moved } from "../../model/wishes";
import { Small, Strong } from "../../ui/Page";
import { breakpoint, colour, font, radius, size, space } from "../../ui/tokens";
import { LineEnd } from "./LineEnd";
import { ticks } from "./scale";
import { blockId, blockName } from "./blocks";

const Frame = styled.div`
  position: relative;
  margin: ${space(4)} 0;
`;
const Scale = styled.div`
  position: relative;
  height: 2rem;
  border-bottom: 2px solid ${colour.lineStrong};
  color: ${colour.inkMuted};
  font-size: ${size.small};
  font-family: ${font.mark};
  span {
    position: absolute;
    bottom: 0;
    padding-left: ${space(1)};
    border-left: 1px solid ${colour.lineStrong};
    line-height: 1.1;
  }
  @media ${breakpoint.phone} {
    display: none;
  }
`;
const Blocks = styled(ListBox)`
  position: relative;
  display: flex;
  align-items: stretch;
  margin-top: ${space(3)};
  outline-offset: 4px;
  @media ${breakpoint.phone} {
    flex-direction: column;
    gap: ${space(2)};
  }
`;
const Block = styled(ListBoxItem)`
  flex: none;
  min-width: 5.5rem;
  min-height: 9rem;
  padding: ${space(2)};
  overflow: hidden;
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  cursor: pointer;
  &[data-compact] {
    min-height: 3.25rem;
    padding-block: ${space(1)};
    line-height: 1.25;
  }
  &[data-selected] {
    border: 2px solid ${colour.action};
    background: ${colour.actionQuiet};
  }
  &[data-done] {
    background: ${colour.inLineFill};
    border-color: ${colour.inLine};
  }
  &[data-closed] {
    background: ${colour.offFill};
    border-color: ${colour.off};
  }
  &[data-drop-target] {
    outline: 3px solid ${colour.action};
  }
  @media ${breakpoint.phone} {
    width: auto !important;
    margin-left: 0 !important;
    min-height: 0;
  }
`;
const Marks = styled.span`
  display: block;
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.large};
  line-height: 1.2;
  overflow-wrap: anywhere;
`;
const Load = styled.span`
  display: block;
  font-weight: ${font.strong};
`;
const Strip = styled.svg`
  display: block;
  width: 100%;
  height: 1.25rem;
  margin-top: ${space(2)};
  @media ${breakpoint.phone} {
    display: none;
  }
`;

type Props = {
  blocks: readonly (SessionBlock | RunningBlock)[];
  minutes: number;
  selected: string | null;
  onSelect: (id: string) => void;
  /** null: it cannot be changed any more */
  onMinutes: ((minutes: number) => void) | null;
  onOrder: ((keys: string[]) => void) | null;
  /** only where one is: names, and how much is done */
  compact?: boolean;
};

/** A little room behind the end, to pull it into. */
const ROOM = 1.06;

export function SessionLine({ blocks, minutes, selected, onSelect, onMinutes, onOrder, compact = false }: Props) {
  const whole = Math.max(minutes * 60, (blocks.at(-1)?.starts_s ?? 0) + (blocks.at(-1)?.seconds ?? 0)) * ROOM;
  const share = (seconds: number) => `${(seconds / whole) * 100}%`;
  const ids = blocks.map(blockId);
  const { dragAndDropHooks } = useDragAndDrop({
    getItems: (keys) => [...keys].map((key) => ({ "text/plain": String(key) })),
    onReorder: ({ keys, target }) => {
      const key = String([...keys][0]);
      const at = ids.indexOf(String(target.key));
      const before = target.dropPosition === "before" ? String(target.key) : (ids[at + 1] ?? null);
      if (before !== key) onOrder?.(moved(ids, key, before).flatMap((id) => keysOf(blocks, id)));
    },
  });
  return (
    <Frame data-session-line={minutes}>
      <Scale aria-hidden>
        {ticks(whole / 60).map((minute) => (
          <span key={minute} style={{ left: share(minute * 60) }}>
            {minute}
          </span>
        ))}
      </Scale>
      {onMinutes ? <LineEnd minutes={minutes} whole={whole / 60} onMinutes={onMinutes} /> : null}
      <Blocks
        aria-label={say("sessionLine.blocks")}
        orientation="horizontal"
        selectionMode="single"
        disallowEmptySelection
        selectedKeys={selected ? [selected] : []}
        onSelectionChange={(chosen) => {
          const [first] = chosen === "all" ? [] : [...chosen];
          if (first !== undefined) onSelect(String(first));
        }}
        {...(onOrder ? { dragAndDropHooks } : {})}
      >
        {blocks.map((block, index) => (
          <Block
            key={blockId(block)}
            id={blockId(block)}
            textValue={blockName(block)}
            data-block={blockName(block)}
            {...stateOf(block)}
            data-compact={compact ? true : undefined}
            style={{ width: share(block.seconds), marginLeft: share(gapBefore(blocks, index)) }}
          >
            {block.members.map((member) => (
              <div key={member.key}>
                <Strong>{member.machine.name}</Strong>
                {compact ? null : (
                  <>
                    <Marks>{member.marks.map(({ mark }) => mark).join(" ")}</Marks>
                    <Load>{member.load}</Load>
                  </>
                )}
              </div>
            ))}
            <Small>{setsText(block)}</Small>
          </Block>
        ))}
      </Blocks>
      {compact ? null : <Parts blocks={blocks} whole={whole} />}
    </Frame>
  );
}

function setsText(block: SessionBlock | RunningBlock): string {
  if ("done" in block) {
    const done = Math.max(...block.done.map((sets) => sets.length));
    if (done > 0) return say("sessionLine.setsDone", { done, sets: block.sets });
  }
  return block.sets === 1 ? say("sessionLine.oneSet") : say("sessionLine.sets", { sets: block.sets });
}

const keysOf = (blocks: Props["blocks"], id: string) => blocks.find((block) => blockId(block) === id)?.keys ?? [];
const gapBefore = (blocks: Props["blocks"], index: number) => {
  const before = blocks[index - 1];
  const starts = blocks[index]?.starts_s ?? 0;
  return before ? Math.max(0, starts - before.starts_s - before.seconds) : starts;
};

/** Of one that runs: whether it is done, or was stopped. */
function stateOf(block: SessionBlock | RunningBlock): Record<string, true> {
  if (!("left" in block)) return {};
  if (block.closed.every(Boolean)) return { "data-closed": true };
  return block.left.every((left) => left === 0) ? { "data-done": true } : {};
}

/** Outlined: the light set. Filled: sets; between them are rests. */
function Parts({ blocks, whole }: { blocks: Props["blocks"]; whole: number }) {
  return (
    <Strip viewBox={`0 0 ${whole} 20`} preserveAspectRatio="none" aria-hidden>
      {blocks.flatMap((block) => {
        let at = block.starts_s;
        return block.parts.map(({ kind, seconds }, index) => {
          const from = at;
          at += seconds;
          if (kind !== "light" && kind !== "set") return null;
          return (
            <rect
              key={`${blockId(block)} ${index}`}
              x={from}
              y="2"
              width={seconds}
              height="16"
              fill={kind === "set" ? colour.machine : "none"}
              stroke={colour.machine}
              strokeWidth="2"
              vectorEffect="non-scaling-stroke"
            />
          );
        });
      })}
    </Strip>
  );
}
