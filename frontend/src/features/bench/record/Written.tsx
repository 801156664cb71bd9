// What was written down besides the marks, on the record of a fitting.
import styled from "styled-components";
import type { FittingPage } from "../../../api/types";
import { Section, SectionTitle } from "../../../ui/Page";
import { space } from "../../../ui/tokens";
import { seenText } from "../watching/KneeSeen";

const Lines = styled.ul`
  display: grid;
  gap: ${space(1)};
`;

const FELT = { worked: "Felt in the worked muscle.", joint: "Felt in a joint.", elsewhere: "Felt elsewhere." };
const LAST = {
  easy: "last repetition easy",
  clean: "last repetition hard and clean",
  not_reached: "last repetition not reached",
};
const SIDE = {
  left: "The left side felt harder.",
  right: "The right side felt harder.",
  same: "Both sides felt alike.",
};

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Sets, repetitions and how the last one went; empty where nothing was loaded. */
function lifted({ load, work }: FittingPage): string | null {
  const counts = work.repetitions ? `${work.sets ?? 1} × ${work.repetitions}` : null;
  const parts = [load, counts, work.last ? LAST[work.last] : null].filter(Boolean);
  return parts.length > 0 ? `Load: ${parts.join(", ")}.` : null;
}

const kg = (value: number | null) => (value === null ? "–" : `${Math.round(value * 10) / 10} kg`);

function lines(fitting: FittingPage): (string | null)[] {
  const { work, machine } = fitting;
  const nameOf = (label: string) => machine.adjusters.find((one) => one.label === label)?.name ?? label;
  const titleOf = (sign: string) => machine.signs.find(({ name }) => name === sign)?.title ?? "Creep test";
  const signs = machine.signs.filter(({ name }) => fitting.signs.includes(name)).map(({ title }) => title);
  const skipped = Object.entries(fitting.flow.skipped).map(([id, why]) => `${id.replace("@", "")} (${why})`);
  return [
    fitting.reason ? `Accepted although something is off: ${fitting.reason}` : null,
    fitting.knee_off_mm === null ? null : `Knee seen: ${seenText(fitting.knee_off_mm).toLowerCase()}.`,
    fitting.roller_seen ? "Roller seen in place." : null,
    lifted(fitting),
    work.left_kg === null && work.right_kg === null ? null : `Left ${kg(work.left_kg)}, right ${kg(work.right_kg)}.`,
    work.felt_side ? SIDE[work.felt_side] : null,
    work.felt ? FELT[work.felt] : null,
    work.belt ? "Belt on." : null,
    fitting.cue ? `What helped: ${fitting.cue}` : null,
    ...fitting.laid,
    signs.length > 0 ? `Signs: ${signs.join("; ").toLowerCase()}.` : null,
    ...fitting.trail.map(
      ({ sign, adjuster, from, to, outcome }) =>
        `Tried for ${titleOf(sign).toLowerCase()}: ${nameOf(adjuster).toLowerCase()} ${from} → ${to}, ${outcome ?? "not said what came of it"}.`,
    ),
    skipped.length > 0 ? sentence(`skipped: ${skipped.join("; ")}.`) : null,
    fitting.note || null,
  ];
}

export function Written({ fitting }: { fitting: FittingPage }) {
  const shown = lines(fitting).filter((line) => line !== null);
  if (shown.length === 0) return null;
  return (
    <Section>
      <SectionTitle>Written down</SectionTitle>
      <Lines>
        {shown.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Lines>
    </Section>
  );
}
