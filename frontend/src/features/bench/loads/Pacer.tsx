// Counts a set across the room: the phase, its seconds, the repetition, how long the set has run. Quiet unless sound is
// asked for; only numbers change where reduced motion is asked for.
import { say } from "../../../lib/say";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { beatAt, clock, type Phase, setSeconds, type Tempo } from "../../../lib/pacer";
import { SecondaryButton } from "../../../ui/Button";
import { Tick } from "../../../ui/Tick";
import { breakpoint, colour, font, size, space } from "../../../ui/tokens";

type Run = { tempo: Tempo; repetitions: number; begun: number };
export type PacerState = {
  running: Run | null;
  start: (tempo: Tempo, repetitions: number) => void;
  stop: () => void;
};

export function usePacer(): PacerState {
  const [running, setRunning] = useState<Run | null>(null);
  return {
    running,
    start: (tempo, repetitions) => setRunning({ tempo, repetitions, begun: performance.now() }),
    stop: () => setRunning(null),
  };
}

const Area = styled.div`
  container-type: size;
  grid-row: 1 / -1;
  display: grid;
  align-content: center;
  justify-items: center;
  gap: ${space(2)};
  padding: ${space(4)};
  overflow: hidden;
`;
const PhaseName = styled.span`
  font-size: clamp(2rem, 12cqh, 6rem);
  font-weight: ${font.strong};
  line-height: 1;
`;
const Breath = styled.span`
  min-height: 1.2em;
  font-size: ${size.title};
  color: ${colour.inkMuted};
  line-height: 1.2;
`;
const Seconds = styled.span`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: clamp(4rem, calc(60cqh - 6rem), 16rem);
  line-height: 0.95;
`;
const Track = styled.span`
  width: min(26rem, 90%);
  height: ${space(3)};
  background: ${colour.line};
  @media (prefers-reduced-motion: reduce) {
    display: none;
  }
`;
const Bar = styled.span`
  display: block;
  height: 100%;
  background: ${colour.action};
`;
const Line = styled.p`
  font-size: ${size.title};
  text-align: center;
  line-height: 1.2;
  @media ${breakpoint.narrow} {
    font-size: ${size.large};
  }
`;
const Ends = styled.div`
  display: flex;
  gap: ${space(4)};
  align-items: center;
`;

const NAMES: Record<Phase, string> = {
  slow: say("pacer.slow"),
  up: say("pacer.up"),
  fast: say("pacer.fast"),
  hold: say("pacer.hold"),
  down: say("pacer.down"),
  pause: say("pacer.pause"),
};
/** Out on the effort, in on the way back. */
const BREATH: Record<Phase, string> = {
  slow: say("pacer.breatheOut"),
  up: say("pacer.breatheOut"),
  fast: say("pacer.breatheOut"),
  hold: "",
  down: say("pacer.breatheIn"),
  pause: "",
};
const PITCH_HZ: Record<Phase, number> = { slow: 600, up: 660, fast: 740, hold: 550, down: 440, pause: 330 };
const TICK_MS = 100;

/** A short quiet tone at each change of phase. */
function tone(audio: AudioContext, phase: Phase) {
  const [note, volume] = [audio.createOscillator(), audio.createGain()];
  note.frequency.value = PITCH_HZ[phase];
  volume.gain.setValueAtTime(0.15, audio.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.18);
  note.connect(volume).connect(audio.destination);
  note.start();
  note.stop(audio.currentTime + 0.2);
}

export function Pacer({ pacer }: { pacer: PacerState }) {
  const run = pacer.running;
  const [now, setNow] = useState(() => performance.now());
  const [audio, setAudio] = useState<AudioContext | null>(null);
  useEffect(() => {
    const timer = window.setInterval(() => setNow(performance.now()), TICK_MS);
    return () => window.clearInterval(timer);
  }, []);
  useEffect(() => () => void audio?.close(), [audio]);
  const elapsed = run ? Math.max(0, (now - run.begun) / 1000) : 0;
  const beat = run ? beatAt(run.tempo, run.repetitions, elapsed) : null;
  const phase = beat?.phase ?? null;
  useEffect(() => {
    if (audio && phase) tone(audio, phase);
  }, [audio, phase]);
  if (!run) return null;
  const whole = setSeconds(run.tempo, run.repetitions);
  const counted = { repetition: beat?.repetition, elapsed: Math.floor(elapsed), whole: Math.round(whole) };
  return (
    <Area data-pacer={phase ?? "over"} role="timer" aria-label={say("pacer.set")}>
      {beat ? (
        <>
          <PhaseName>{NAMES[beat.phase]}</PhaseName>
          <Breath>{BREATH[beat.phase]}</Breath>
          <Seconds>{Math.ceil(beat.left_s)}</Seconds>
          <Track aria-hidden>
            <Bar style={{ width: `${(1 - beat.left_s / beat.whole_s) * 100}%` }} />
          </Track>
          {beat.repetition === 1 ? <Line>{say("pacer.firstRepetition")}</Line> : null}
          <Line>
            {run.tempo.set_s === null
              ? say("pacer.repetitionOf", { ...counted, repetitions: run.repetitions })
              : say("pacer.repetition", counted)}
          </Line>
        </>
      ) : (
        <>
          <PhaseName>{say("pacer.setDone")}</PhaseName>
          <Line>
            {say("pacer.rested")} {clock(elapsed - whole)}
          </Line>
        </>
      )}
      <Ends>
        <Tick isSelected={audio !== null} onChange={(on) => setAudio(on ? new AudioContext() : null)}>
          {say("pacer.sound")}
        </Tick>
        <SecondaryButton onPress={pacer.stop}>{say("pacer.back")}</SecondaryButton>
      </Ends>
    </Area>
  );
}
