// What was written down besides the marks, on the record of a fitting.
import { say } from "../../../lib/say";
import styled from "styled-components";
import type { FittingPage } from "../../../api/types";
import { Section, SectionTitle } from "../../../ui/Page";
import { space } from "../../../ui/tokens";
import { seenText } from "../watching/KneeSeen";

const Lines = styled.ul`
  display: grid;
  gap: ${space(1)};
`;

const FELT = {
  worked: say("written.feltMuscle"),
  joint: say("written.feltJoint"),
  elsewhere: say("written.feltElsewhere"),
};
const LAST = {
  easy: say("written.lastEasy"),
  clean: say("written.lastClean"),
  not_reached: say("written.lastMissed"),
};
const SIDE = {
  left: say("written.leftHarder"),
  right: say("written.rightHarder"),
  same: say("written.sidesAlike"),
};

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Sets, repetitions and how the last one went; empty where nothing was loaded. */
function lifted({ load, work }: FittingPage): string | null {
  const counts = work.repetitions ? `${work.sets ?? 1} × ${work.repetitions}` : null;
  const parts = [load, counts, work.last ? LAST[work.last] : null].filter(Boolean);
  return parts.length > 0 ? say("written.loadParts", { parts: parts.join(", ") }) : null;
}

const kg = (value: number | null) => (value === null ? "–" : `${Math.round(value * 10) / 10} kg`);

function lines(fitting: FittingPage): (string | null)[] {
  const { work, machine } = fitting;
  const nameOf = (label: string) => machine.adjusters.find((one) => one.label === label)?.name ?? label;
  const titleOf = (sign: string) => machine.signs.find(({ name }) => name === sign)?.title ?? say("written.creepTest");
  const signs = machine.signs.filter(({ name }) => fitting.signs.includes(name)).map(({ title }) => title);
  const skipped = Object.entries(fitting.flow.skipped).map(([id, why]) => `${id.replace("@", "")} (${why})`);
  return [
    fitting.reason ? say("written.despite", { reason: fitting.reason }) : null,
    fitting.knee_off_mm === null
      ? null
      : say("written.kneeSeen", { seen: seenText(fitting.knee_off_mm).toLowerCase() }),
    fitting.roller_seen ? say("written.rollerSeen") : null,
    lifted(fitting),
    work.left_kg === null && work.right_kg === null
      ? null
      : say("written.sideLoads", { kg: kg(work.left_kg), kg2: kg(work.right_kg) }),
    work.felt_side ? SIDE[work.felt_side] : null,
    work.felt ? FELT[work.felt] : null,
    work.belt ? say("written.beltOn") : null,
    fitting.cue ? say("written.cue", { cue: fitting.cue }) : null,
    ...fitting.laid,
    work.watched && work.watched.length > 0 ? say("written.watched", { count: work.watched.length }) : null,
    signs.length > 0 ? say("written.signsSigns", { signs: signs.join("; ").toLowerCase() }) : null,
    ...fitting.trail.map(({ sign, adjuster, from, to, outcome }) =>
      say("written.tried", {
        title: titleOf(sign).toLowerCase(),
        name: nameOf(adjuster).toLowerCase(),
        from,
        to,
        outcome: outcome ?? say("written.unsaid"),
      }),
    ),
    skipped.length > 0 ? sentence(say("written.skippedSkipped", { skipped: skipped.join("; ") })) : null,
    fitting.note || null,
  ];
}

export function Written({ fitting }: { fitting: FittingPage }) {
  const shown = lines(fitting).filter((line) => line !== null);
  if (shown.length === 0) return null;
  return (
    <Section>
      <SectionTitle>{say("written.writtenDown")}</SectionTitle>
      <Lines>
        {shown.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Lines>
    </Section>
  );
}
