/** How days and numbers can be written: each shown as it writes a day. */
const TAGS = [
  "en-GB",
  "en-IE",
  "en-US",
  "en-CA",
  "en-AU",
  "de-DE",
  "fr-FR",
  "es-ES",
  "it-IT",
  "nl-NL",
  "nb-NO",
  "sv-SE",
  "da-DK",
  "pl-PL",
];
const DAY = new Date(2026, 0, 31, 12);

const shown = (tag: string): string =>
  `${new Intl.DisplayNames(["en-GB"], { type: "language" }).of(tag) ?? tag}: ${new Intl.DateTimeFormat(tag, { dateStyle: "medium" }).format(DAY)}, ${new Intl.NumberFormat(tag).format(1234.5)}`;

export const LOCALES: readonly (readonly [string, string])[] = TAGS.map((tag) => [tag, shown(tag)] as const);

/** The browser's own, where it is one of them. */
export const ownLocale = (): string => TAGS.find((tag) => tag === navigator.language) ?? "en-GB";

/** With the gym's own among them. */
export const localesWith = (tag: string) => (TAGS.includes(tag) ? LOCALES : [[tag, shown(tag)] as const, ...LOCALES]);
