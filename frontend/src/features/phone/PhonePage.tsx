// A phone as the instrument: where it lies, two still seconds, then the count, large. It opens by a code of one use, and
// shows no name.
import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import styled from "styled-components";
import { api, refusal, unwrap } from "../../api/client";
import type { PhoneReading } from "../../api/types";
import { say } from "../../lib/say";
import { useWakeLock } from "../../lib/useWakeLock";
import { sampleOf } from "../../model/phoneSamples";
import { SceneDrawing } from "../../scene/SceneDrawing";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Small, Title } from "../../ui/Page";
import { Tick } from "../../ui/Tick";
import { colour, font, radius, size, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { useReading } from "./useReading";
import { type Sensors, useSensors } from "./useSensors";

const Sheet = styled.main`
  display: grid;
  align-content: start;
  gap: ${space(4)};
  min-height: 100vh;
  max-width: 30rem;
  margin: 0 auto;
  padding: ${space(5)} ${space(4)} ${space(8)};
`;
const Where = styled.p`
  font-size: ${size.large};
  line-height: 1.35;
`;
const Drawn = styled.div`
  height: 16rem;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Large = styled.output`
  display: block;
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: min(56vw, 15rem);
  line-height: 1;
  text-align: center;
  letter-spacing: -0.06em;
`;
const Under = styled.p`
  text-align: center;
  font-size: ${size.large};
`;
const Buttons = styled.div`
  display: grid;
  gap: ${space(3)};
  > button {
    min-height: 4rem;
    font-size: ${size.large};
  }
`;

const KEPT = "verglas.phone";

/** A reload of the page goes on with what the code opened. */
function kept(code: string): PhoneReading | null {
  try {
    const found = JSON.parse(sessionStorage.getItem(KEPT) ?? "null") as { code: string; opened: PhoneReading } | null;
    return found?.code === code ? found.opened : null;
  } catch {
    return null;
  }
}

const codeInAddress = () => window.location.hash.slice(1);
const onAnother = (then: () => void) => {
  window.addEventListener("hashchange", then);
  return () => window.removeEventListener("hashchange", then);
};

/** Another code in the same tab begins anew. */
export function PhonePage() {
  const code = useSyncExternalStore(onAnother, codeInAddress);
  return <Opening key={code} code={code} />;
}

function Opening({ code }: { code: string }) {
  const [opened, setOpened] = useState(() => kept(code));
  const opening = useMutation({
    mutationFn: () => unwrap(api.POST("/auth/phone", { body: { secret: code } })),
    onSuccess: (answer) => {
      sessionStorage.setItem(KEPT, JSON.stringify({ code, opened: answer }));
      setOpened(answer);
    },
  });
  useTitle(say("phonePage.title"));
  return (
    <Sheet>
      {opening.error ? <Notice tone="wrong">{refusal(opening.error)?.message}</Notice> : null}
      {opened ? (
        <Instrument opened={opened} />
      ) : (
        <>
          <Title>{say("phonePage.title")}</Title>
          <Where>{say("phonePage.begin")}</Where>
          <Buttons>
            <PrimaryButton isDisabled={opening.isPending || code === ""} onPress={() => opening.mutate()}>
              {say("phonePage.open")}
            </PrimaryButton>
          </Buttons>
        </>
      )}
    </Sheet>
  );
}

const PROBLEMS: Partial<Record<Sensors, string>> = {
  insecure: say("phonePage.insecure"),
  refused: say("phonePage.refused"),
  missing: say("phonePage.missing"),
};
const BUZZ_MS = 60;

function Instrument({ opened }: { opened: PhoneReading }) {
  const { still_s, most_s, planned, limit } = opened;
  const [begun, setBegun] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  const [buzz, setBuzz] = useState(false);
  const { reading, add, anew, end } = useReading(opened.secret, begun !== null);
  const running = begun !== null && !reading.over;
  const { sensors, ask } = useSensors((event) => {
    if (begun === null || reading.over) return;
    const sample = sampleOf(event, begun);
    if (!sample || sample[0] < 0) return;
    if (sample[0] > most_s) return end();
    add(sample);
    setSeconds(Math.floor(sample[0]));
  });
  useWakeLock(sensors === "on" && !reading.over);
  useBuzz(buzz && running, reading.live?.count ?? 0);
  const go = () => {
    anew();
    setSeconds(0);
    setBegun(performance.now());
  };
  const problem = PROBLEMS[sensors];
  if (reading.over)
    return (
      <>
        <Title>{say("phonePage.over")}</Title>
        <Counted opened={opened} live={reading.live} />
        <Where>{say("phonePage.look")}</Where>
      </>
    );
  return (
    <>
      <Title>{limit ?? opened.machine ?? say("phonePage.title")}</Title>
      {problem ? <Notice tone="wrong">{problem}</Notice> : null}
      {reading.problem ? <Notice tone="wrong">{reading.problem}</Notice> : null}
      {reading.away ? <Notice>{say("phonePage.away")}</Notice> : null}
      {begun === null ? (
        <>
          <Where>{opened.where}</Where>
          <Picture opened={opened} />
          <Where>{opened.still}</Where>
          <Buttons>
            {sensors === "on" ? (
              <PrimaryButton onPress={go}>{say("phonePage.go", { seconds: still_s })}</PrimaryButton>
            ) : (
              <PrimaryButton isDisabled={sensors === "insecure" || sensors === "asking"} onPress={ask}>
                {say("phonePage.sensors")}
              </PrimaryButton>
            )}
            {"vibrate" in navigator && !limit ? (
              <Tick isSelected={buzz} onChange={setBuzz}>
                {say("phonePage.buzz")}
              </Tick>
            ) : null}
          </Buttons>
          <Small>{say("phonePage.awake")}</Small>
        </>
      ) : (
        <>
          {seconds < still_s ? (
            <>
              <Large aria-live="polite">{still_s - seconds}</Large>
              <Under>{say("phonePage.still")}</Under>
            </>
          ) : reading.live?.restless ? (
            <Notice tone="wrong">{say("phonePage.restless")}</Notice>
          ) : (
            <Counted opened={opened} live={reading.live} />
          )}
          {reading.live?.slipped ? <Notice tone="wrong">{say("phonePage.slipped")}</Notice> : null}
          <Buttons>
            <PrimaryButton isDisabled={seconds < still_s} onPress={end}>
              {limit ? say("phonePage.endLimit") : say("phonePage.end")}
            </PrimaryButton>
            <SecondaryButton onPress={go}>{say("phonePage.anew")}</SecondaryButton>
          </Buttons>
          {planned && !limit ? <Small>{say("phonePage.planned", { planned })}</Small> : null}
        </>
      )}
    </>
  );
}

function Counted({ opened, live }: { opened: PhoneReading; live: ReturnType<typeof useReading>["reading"]["live"] }) {
  if (opened.limit)
    return (
      <>
        <Large aria-live="polite">{Math.floor(live?.furthest_deg ?? 0)}°</Large>
        <Under>{say("phonePage.degrees")}</Under>
      </>
    );
  return (
    <>
      <Large aria-live="polite" aria-label={say("phonePage.counted", { count: live?.count ?? 0 })}>
        {live?.count ?? 0}
      </Large>
      <Under>{say("phonePage.repetitions")}</Under>
    </>
  );
}

/** The machine as it stands, with a phone on it. */
function Picture({ opened: { picture, where } }: { opened: PhoneReading }) {
  if (!picture) return null;
  const { scene, phone } = picture;
  const [x = 0, y = 0] = phone.at;
  return (
    <Drawn>
      <SceneDrawing scene={scene} description={where} name="phone">
        <g transform={`translate(${x} ${-y}) rotate(${-phone.deg})`} data-part="phone">
          <rect x={-80} y={-24} width={160} height={48} rx={12} fill={colour.action} />
          <rect x={-66} y={-14} width={132} height={28} rx={4} fill={colour.actionInk} />
        </g>
      </SceneDrawing>
    </Drawn>
  );
}

/** A short buzz at each repetition. */
function useBuzz(on: boolean, count: number) {
  const last = useRef(count);
  useEffect(() => {
    if (on && count > last.current) navigator.vibrate?.(BUZZ_MS);
    last.current = count;
  }, [on, count]);
}
