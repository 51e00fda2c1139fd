import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { steady } from './steady.js';
import { ink, inkSoft, line, link, paper, tape, tapePale, wood } from '../theme/tokens.js';

/** A box of a picture: x, y, width, height. */
export type Box = readonly [x: number, y: number, width: number, height: number];

/** A picture 64 by 40: what is there, the part that it is about as boxes or as an outline, and lines over both. */
export interface Picture {
  readonly wood?: readonly Box[];
  readonly part?: readonly Box[];
  readonly shape?: string;
  readonly lines?: string;
}

/** A box at the left and the same at the right. */
export const both = (x: number, y: number, width: number, height: number): readonly Box[] => [
  [x, y, width, height],
  [64 - x - width, y, width, height],
];

/** One way to make something, with a small picture of it. */
export interface Pictured<T extends string> {
  readonly id: T;
  readonly label: string;
  /** What one gets and gives up with it that no figure says. */
  readonly says: string;
  readonly picture: Picture;
}

const boxOf = ([x, y, width, height]: Box, fill: string) => (
  <rect key={`${x} ${y}`} x={x} y={y} width={width} height={height} fill={fill} />
);

function Drawn({ picture: { wood: there = [], part = [], shape, lines } }: { picture: Picture }) {
  return (
    <svg viewBox="0 0 64 40" preserveAspectRatio="xMidYMid meet" aria-hidden>
      {there.map((b) => boxOf(b, wood))}
      {part.map((b) => boxOf(b, tape))}
      {shape ? <path d={shape} fill={tape} /> : null}
      {lines ? <path d={lines} /> : null}
    </svg>
  );
}

const Group = styled(ToggleButtonGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(96px, 1fr));
  gap: 6px;
`;

const Way = styled(ToggleButton)`
  display: flex;
  flex-direction: column;
  gap: 3px;
  padding: 5px 6px 6px;
  border: 1px solid ${line};
  border-radius: 2px;
  background: ${paper};
  font-size: 12px;
  line-height: 1.2;
  text-align: left;
  cursor: pointer;
  &[data-hovered] {
    border-color: ${ink};
  }
  &[data-selected] {
    border: 2px solid ${ink};
    padding: 4px 5px 5px;
    background: ${tapePale};
    font-weight: 600;
  }
  &[data-focus-visible] {
    outline: 3px solid ${link};
    outline-offset: 1px;
  }
  svg {
    width: 100%;
    height: 40px;
    stroke: ${ink};
    stroke-width: 1.4;
    fill: none;
  }
  @media (forced-colors: active) {
    &[data-selected] {
      border-color: Highlight;
    }
  }
`;

const Name = styled.div`
  font-size: 12px;
  color: ${inkSoft};
  margin-bottom: 3px;
`;

const Whole = styled.div`
  grid-column: 1 / -1;
`;

interface PictureChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly Pictured<T>[];
  readonly onChange: (value: T) => void;
}

/** One of a few ways to make something, chosen by its picture; arrows go from one to the other, and the space bar takes one. */
function PictureField<T extends string>({ label, value, choices, onChange }: PictureChoiceProps<T>) {
  return (
    <Whole>
      <Name aria-hidden>{label}</Name>
      <Group
        aria-label={label}
        selectionMode="single"
        disallowEmptySelection
        selectedKeys={[value]}
        onSelectionChange={(keys) => {
          const [next] = [...keys];
          if (next !== undefined && next !== value) onChange(next as T);
        }}
      >
        {choices.map((c) => (
          <Way key={c.id} id={c.id}>
            <Drawn picture={c.picture} />
            {c.label}
          </Way>
        ))}
      </Group>
    </Whole>
  );
}

export const PictureChoice = steady(PictureField) as typeof PictureField;
