import type { SessionBlock } from "../../api/types";

/** Of a block among the others of its session. */
export const blockId = ({ keys }: Pick<SessionBlock, "keys">): string => keys.join("+");
export const blockName = ({ members }: Pick<SessionBlock, "members">): string =>
  members.map(({ machine }) => machine.name).join(" + ");
