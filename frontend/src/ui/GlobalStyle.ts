import { createGlobalStyle } from "styled-components";
import { colour, font, size, themes } from "./tokens";

const variables = Object.entries(themes.day)
  .map(([name, value]) => `--${name}: ${value};`)
  .join(" ");

export const GlobalStyle = createGlobalStyle`
  :root { ${variables} color-scheme: light; }
  *, *::before, *::after { box-sizing: border-box; }
  html { height: 100%; }
  body { margin: 0; min-height: 100%; background: ${colour.ground}; color: ${colour.ink};
    font: ${font.regular} ${size.text}/1.45 ${font.text}; -webkit-font-smoothing: antialiased; }
  #root { min-height: 100vh; }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  h1, h2, h3 { font-weight: ${font.strong}; line-height: 1.2; }
  ul, ol { list-style: none; }
  a { color: ${colour.action}; }
  /* A name that runs from the right turns nothing of what stands beside it. */
  a, b, em, label, li, small, span, strong, td, th, button { unicode-bidi: isolate; }
  button, input { font: inherit; color: inherit; }
  :focus-visible, [data-focus-visible] { outline: 3px solid ${colour.action}; outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { transition: none !important; animation: none !important; }
  }
  /* On paper: what is read, not what is pressed. */
  @media print {
    body { background: ${colour.panel}; }
    nav, button, [role="radiogroup"] { display: none !important; }
    tr, li { break-inside: avoid; }
  }
`;
