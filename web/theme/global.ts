import { createGlobalStyle } from 'styled-components';
import { film, ink, link, paper, tape } from './tokens.js';

export const GlobalStyle = createGlobalStyle`
  *, *::before, *::after { box-sizing: border-box; }
  html, body, #root { height: 100%; margin: 0; }
  body {
    font-family: 'Archivo Variable', system-ui, sans-serif;
    font-size: 14px;
    line-height: 1.35;
    font-variant-numeric: tabular-nums;
    color: ${ink};
    background: ${film};
    -webkit-font-smoothing: antialiased;
  }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  ul, ol { list-style: none; }
  h1 { font-size: 20px; font-weight: 700; line-height: 1.15; }
  h2 { font-size: 15px; font-weight: 700; }
  h3 { font-size: 13px; font-weight: 650; }
  a { color: ${link}; }
  table { border-collapse: collapse; }
  button, input, select, textarea { font: inherit; color: inherit; font-variant-numeric: tabular-nums; }
  progress { accent-color: ${ink}; width: 130px; }
  :focus-visible, [data-focus-visible] { outline: 3px solid ${link}; outline-offset: 1px; }
  ::selection { background: ${tape}; }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { transition: none !important; animation: none !important; } }
  @media print {
    body { background: white; color: black; font-size: 11px; }
    [data-screen-only] { display: none !important; }
    html, body, #root { height: auto; }
  }
  .visually-hidden {
    position: absolute; width: 1px; height: 1px; margin: -1px; padding: 0; overflow: hidden;
    clip-path: inset(50%); white-space: nowrap; border: 0; background: ${paper};
  }
`;
