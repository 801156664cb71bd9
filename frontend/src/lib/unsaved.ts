// Sheets that have not reached the server yet, as they lie in this browser.
const PREFIX = "verglas.unsaved.";

/** Under the fitting's and the member of staff's ids, so that nobody else's turn at a tablet picks it up. */
export const unsavedName = (staff: number, fitting: string): string => `${PREFIX}${staff}.${fitting}`;

/** At sign-out nothing of anybody's stays on the tablet. */
export function forgetAllUnsaved() {
  for (const name of Object.keys(localStorage)) if (name.startsWith(PREFIX)) localStorage.removeItem(name);
}
