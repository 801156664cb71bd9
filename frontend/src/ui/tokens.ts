// Every colour, size and font of the application. Components name tokens; a second theme is a second table here.

export const themes = {
  day: {
    ground: "#f3f6f6",
    panel: "#ffffff",
    panelQuiet: "#f8fafa",
    line: "#c9d3d4",
    lineStrong: "#7d8c93",
    ink: "#172026",
    inkMuted: "#52616a",
    rail: "#1b252b",
    railInk: "#c8d4d8",
    railQuiet: "#9fb0b6",
    railActive: "#ffffff",
    railMark: "#7fc4cb",
    action: "#0a6772",
    actionHover: "#07525b",
    actionQuiet: "#e1eff0",
    actionInk: "#ffffff",
    machine: "#5b6b75",
    machineFill: "#b4bfc5",
    machineQuiet: "#8b9aa3",
    cushion: "#d8cfae",
    body: "#c2693d",
    bodyFill: "#f2dccf",
    bodyGhost: "#dba78d",
    pivot: "#172026",
    inLine: "#2c7a4b",
    inLineFill: "#dfeee5",
    close: "#a86e0b",
    closeInk: "#8a5a08",
    closeFill: "#f7ecd6",
    off: "#af3e29",
    offFill: "#f8e4df",
    veil: "#172026a6",
  },
} as const;

type TokenName = keyof (typeof themes)["day"];

/** CSS references to the colours of the theme in force. */
export const colour = Object.fromEntries(Object.keys(themes.day).map((name) => [name, `var(--${name})`])) as Record<
  TokenName,
  string
>;

export const font = {
  text: [
    '"Atkinson Hyperlegible Next Variable"',
    '"Noto Sans Variable"',
    '"Noto Sans Arabic Variable"',
    '"Noto Sans Hebrew Variable"',
    '"Noto Sans Devanagari Variable"',
    '"Noto Sans Thai Variable"',
    '"Noto Sans SC Variable"',
    '"Noto Emoji Variable"',
    "system-ui",
    "sans-serif",
  ].join(", "),
  mark: ['"Atkinson Hyperlegible Mono Variable"', "ui-monospace", "monospace"].join(", "),
  regular: 400,
  strong: 650,
} as const;

/** Type sizes: 14 / 16 / 20 / 28 / 44, as rem so that a reader's own size counts. */
export const size = { small: "0.875rem", text: "1rem", large: "1.25rem", title: "1.75rem", mark: "2.75rem" } as const;

/** The 4 px grid. */
export const space = (steps: number): string => `${steps * 0.25}rem`;

export const radius = "4px";
export const target = { least: "44px", step: "56px" } as const;
export const motion = "120ms";
export const breakpoint = {
  narrow: "(max-width: 1100px)",
  phone: "(max-width: 760px)",
  portrait: "(min-width: 761px) and (max-width: 1000px) and (orientation: portrait)",
} as const;
