// Whether this tablet was locked: kept beside the server's own lock, so that a reload before the server heard of it, or without a
// network, opens nothing.
const FLAG = "verglas.locked";

export const wasLocked = (): boolean => localStorage.getItem(FLAG) !== null;
export const noteLocked = (): void => localStorage.setItem(FLAG, "1");
export const noteOpened = (): void => localStorage.removeItem(FLAG);
