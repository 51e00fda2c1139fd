import styled from 'styled-components';
import { ink, link, paper } from '../theme/tokens.js';

/** One of a few ways to look at the same; the one that is shown is pressed. */
export const ViewTab = styled.button`
  all: unset;
  cursor: pointer;
  padding: 4px 10px;
  font-weight: 600;
  font-size: 13px;
  &:focus-visible {
    outline: 3px solid ${link};
  }
  &[aria-pressed='true'] {
    background: ${ink};
    color: ${paper};
  }
`;
