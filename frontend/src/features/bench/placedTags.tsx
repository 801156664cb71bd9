// What is placed with the marks, as it is written down with them: feet, link, bottom, what is held.
import type { Evaluation } from "../../api/types";
import { MarkTag } from "../../ui/MarkTag";

export const placedTags = (placed: Evaluation["placed"]) =>
  (placed ?? [])
    .filter(({ value }) => value > 0)
    .map(({ name, title, value }) => <MarkTag key={name} label={title} mark={String(value)} />);
