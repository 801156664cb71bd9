// A short tone and a buzz, where the device has them and somebody turned them on here.
const NAME = "verglas.signal";
const HERTZ = 660;
const SECONDS = 0.25;
const LOUD = 0.2;
const BUZZ_MS = 200;

export const signalOn = (): boolean => localStorage.getItem(NAME) === "on";
export const turnSignal = (on: boolean) => (on ? localStorage.setItem(NAME, "on") : localStorage.removeItem(NAME));

export function signal() {
  if (!signalOn()) return;
  if ("vibrate" in navigator) navigator.vibrate(BUZZ_MS);
  const sound = new AudioContext();
  const tone = sound.createOscillator();
  const gain = sound.createGain();
  tone.frequency.value = HERTZ;
  gain.gain.value = LOUD;
  tone.connect(gain).connect(sound.destination);
  tone.start();
  tone.stop(sound.currentTime + SECONDS);
  tone.addEventListener("ended", () => void sound.close());
}
