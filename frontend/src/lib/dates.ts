/** "24 November" or, for another year, "24 November 2025". now: the reader's clock. */
export function dayText(iso: string | null, locale: string, now = new Date()): string {
  if (!iso) return "";
  const date = new Date(iso);
  const year = date.getFullYear() === now.getFullYear() ? undefined : "numeric";
  return new Intl.DateTimeFormat(locale, { day: "numeric", month: "long", year }).format(date);
}

/** "12:04" today, else the day. */
export function momentText(iso: string | null, locale: string, now = new Date()): string {
  if (!iso) return "";
  const date = new Date(iso);
  if (date.toDateString() !== now.toDateString()) return dayText(iso, locale, now);
  return new Intl.DateTimeFormat(locale, { hour: "2-digit", minute: "2-digit" }).format(date);
}

/** "27 Nov 2026, 08:22:05": where the order of things matters. */
export const timeText = (iso: string | null, locale: string): string =>
  iso ? new Intl.DateTimeFormat(locale, { dateStyle: "medium", timeStyle: "medium" }).format(new Date(iso)) : "";
