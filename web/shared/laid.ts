import styled, { css } from 'styled-components';

/** Lengths are px where they are a number. */
type Size = number | string;

/** How a part is laid out where it stands; what is left out is as it is elsewhere. */
export interface LaidOut {
  /** Left free above and below it. */
  readonly $above?: number;
  readonly $below?: number;
  readonly $pad?: Size;
  readonly $gap?: Size;
  readonly $width?: Size;
  readonly $least?: Size;
  readonly $most?: Size;
  readonly $high?: Size;
  readonly $mostHigh?: Size;
  readonly $leastHigh?: Size;
  /** What it takes of the room beside others. */
  readonly $flex?: Size;
  readonly $display?: 'block' | 'flex' | 'grid' | 'inline-flex';
  readonly $align?: 'start' | 'center' | 'end' | 'baseline' | 'flex-start' | 'flex-end';
  /** What is in it stands apart, at both ends. */
  readonly $spread?: boolean;
  /** What is in it stays in one line, or goes on in the next. */
  readonly $wrap?: boolean;
  /** At the far end of what it stands in. */
  readonly $last?: boolean;
  /** Over all columns of a form. */
  readonly $across?: boolean;
  /** Its text, px and so on. */
  readonly $size?: number;
  readonly $weight?: number;
  readonly $line?: number;
  readonly $spacing?: number;
  readonly $text?: 'left' | 'right';
  /** Its text is never broken. */
  readonly $unbroken?: boolean;
  /** It is pressed. */
  readonly $pressed?: boolean;
  /** On paper it is not cut in two. */
  readonly $whole?: boolean;
}

const px = (size: Size) => (typeof size === 'number' ? `${size}px` : size);

/** What each of these says in a style sheet. */
const SAYS: { readonly [K in keyof LaidOut]-?: (value: NonNullable<LaidOut[K]>) => string } = {
  $above: (n) => `margin-top: ${n}px;`,
  $below: (n) => `margin-bottom: ${n}px;`,
  $pad: (s) => `padding: ${px(s)};`,
  $gap: (s) => `gap: ${px(s)};`,
  $width: (s) => `width: ${px(s)};`,
  $least: (s) => `min-width: ${px(s)};`,
  $most: (s) => `max-width: ${px(s)};`,
  $high: (s) => `height: ${px(s)};`,
  $mostHigh: (s) => `max-height: ${px(s)};`,
  $leastHigh: (s) => `min-height: ${px(s)};`,
  $flex: (s) => `flex: ${s};`,
  $display: (d) => `display: ${d};`,
  $align: (a) => `align-items: ${a};`,
  $spread: (is) => (is ? 'justify-content: space-between;' : ''),
  $wrap: (is) => `flex-wrap: ${is ? 'wrap' : 'nowrap'};`,
  $last: (is) => (is ? 'margin-left: auto;' : ''),
  $across: (is) => (is ? 'grid-column: 1 / -1;' : ''),
  $size: (n) => `font-size: ${n}px;`,
  $weight: (n) => `font-weight: ${n};`,
  $line: (n) => `line-height: ${n};`,
  $spacing: (n) => `letter-spacing: ${n}px;`,
  $text: (to) => `text-align: ${to};`,
  $unbroken: (is) => (is ? 'white-space: nowrap;' : ''),
  $pressed: (is) => (is ? 'cursor: pointer;' : ''),
  $whole: (is) => (is ? 'break-inside: avoid;' : ''),
};

const isSaid = (key: string): key is keyof LaidOut => key in SAYS;

/** The style sheet of what is said of a part, whatever else is. */
export function declarations(said: LaidOut): string {
  let text = '';
  for (const key of Object.keys(said)) {
    const value = isSaid(key) ? said[key] : undefined;
    if (value !== undefined) text += (SAYS[key as keyof LaidOut] as (value: unknown) => string)(value);
  }
  return text;
}

/** What is said where a part stands goes before what its own rules and those of what it stands in say. */
export const laid = css<LaidOut>`
  && {
    ${declarations}
  }
`;

/** The plain parts of a page, to be laid out where they stand. */
export const Laid = {
  div: styled.div<LaidOut>`
    ${laid}
  `,
  p: styled.p<LaidOut>`
    ${laid}
  `,
  span: styled.span<LaidOut>`
    ${laid}
  `,
  ul: styled.ul<LaidOut>`
    ${laid}
  `,
  ol: styled.ol<LaidOut>`
    ${laid}
  `,
  li: styled.li<LaidOut>`
    ${laid}
  `,
  h2: styled.h2<LaidOut>`
    ${laid}
  `,
  h3: styled.h3<LaidOut>`
    ${laid}
  `,
  section: styled.section<LaidOut>`
    ${laid}
  `,
  header: styled.header<LaidOut>`
    ${laid}
  `,
  details: styled.details<LaidOut>`
    ${laid}
  `,
  summary: styled.summary<LaidOut>`
    ${laid}
  `,
  strong: styled.strong<LaidOut>`
    ${laid}
  `,
  figcaption: styled.figcaption<LaidOut>`
    ${laid}
  `,
  caption: styled.caption<LaidOut>`
    ${laid}
  `,
  td: styled.td<LaidOut>`
    ${laid}
  `,
  label: styled.label<LaidOut>`
    ${laid}
  `,
  input: styled.input<LaidOut>`
    ${laid}
  `,
  form: styled.form<LaidOut>`
    ${laid}
  `,
  svg: styled.svg<LaidOut>`
    ${laid}
  `,
  progress: styled.progress<LaidOut>`
    ${laid}
  `,
} as const;
