import styled from 'styled-components';
import { line, link, tape, tapePale } from '../theme/tokens.js';

/** A list on a worksheet of which one line is picked: each line is a button over its whole width. */
export const PickList = styled.ul`
  border-top: 1px solid ${line};
  margin: 0 0 14px;
  padding: 0;
  list-style: none;
  li {
    border-bottom: 1px solid ${line};
  }
  button {
    all: unset;
    box-sizing: border-box;
    display: flex;
    gap: 8px;
    width: 100%;
    padding: 7px 6px;
    cursor: pointer;
  }
  button:focus-visible {
    outline: 3px solid ${link};
  }
  button[aria-pressed='true'],
  button[aria-current='step'] {
    background: ${tapePale};
    box-shadow: inset 0 0 0 2px ${tape};
  }
`;
