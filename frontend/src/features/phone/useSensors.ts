// The phone's motion sensors: asked for by a press, as browsers want it; what they say is handed on.
import { useCallback, useEffect, useRef, useState } from "react";

export type Sensors = "unasked" | "asking" | "on" | "insecure" | "refused" | "missing";

/** So long nothing may be heard before there are taken to be none (ms). */
const PATIENCE = 2000;

type Asking = { requestPermission?: () => Promise<PermissionState> };

export function useSensors(onMotion: (event: DeviceMotionEvent) => void) {
  const [sensors, setSensors] = useState<Sensors>(window.isSecureContext ? "unasked" : "insecure");
  const told = useRef(onMotion);
  useEffect(() => {
    told.current = onMotion;
  });
  useEffect(() => {
    if (sensors !== "on" && sensors !== "asking") return;
    const heard = (event: DeviceMotionEvent) => {
      if (event.rotationRate?.alpha == null) return;
      setSensors("on");
      told.current(event);
    };
    window.addEventListener("devicemotion", heard);
    const patience = setTimeout(() => setSensors((now) => (now === "asking" ? "missing" : now)), PATIENCE);
    return () => {
      window.removeEventListener("devicemotion", heard);
      clearTimeout(patience);
    };
  }, [sensors]);
  const ask = useCallback(() => {
    const { requestPermission } = ("DeviceMotionEvent" in window ? DeviceMotionEvent : {}) as Asking;
    const granted = requestPermission ? requestPermission() : Promise.resolve("granted" as const);
    granted.then(
      // Some browsers leave it open: what is heard then tells.
      (answer) => setSensors(answer === "denied" ? "refused" : "asking"),
      () => setSensors("refused"),
    );
  }, []);
  return { sensors, ask };
}
