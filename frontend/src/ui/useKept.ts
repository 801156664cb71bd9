import { useEffect, useState } from "react";

const PREFIX = "verglas.kept.";

/** State that survives a reload of this tab; forgotten at sign-out. */
export function useKept<T>(name: string, start: T): [T, (value: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => {
    const kept = sessionStorage.getItem(PREFIX + name);
    return kept === null ? start : (JSON.parse(kept) as T);
  });
  useEffect(() => {
    sessionStorage.setItem(PREFIX + name, JSON.stringify(value));
  }, [name, value]);
  const forget = () => {
    setValue(start);
    sessionStorage.removeItem(PREFIX + name);
  };
  return [value, setValue, forget];
}

export function forgetAllKept() {
  for (const name of Object.keys(sessionStorage)) if (name.startsWith(PREFIX)) sessionStorage.removeItem(name);
}
