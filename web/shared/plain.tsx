import styled, { css } from 'styled-components';
import { laid, type LaidOut } from './laid.js';
import { edge, ink, inkSoft, line, paper, tapePale } from '../theme/tokens.js';

/** How a button looks, whatever it is made of. */
export const buttonLook = css`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 30px;
  padding: 4px 10px;
  border: 1px solid ${line};
  border-radius: 2px;
  background: ${paper};
  font-weight: 600;
  font-size: 13px;
  cursor: pointer;
  &[data-hovered] {
    border-color: ${ink};
  }
  &[data-pressed] {
    background: ${tapePale};
  }
  &[data-disabled] {
    color: ${edge};
    cursor: default;
  }
  &[data-main] {
    background: ${ink};
    color: ${paper};
    border-color: ${ink};
  }
  &[data-main][data-disabled] {
    opacity: 0.5;
  }
  &[data-quiet] {
    border-color: transparent;
    background: transparent;
    padding: 4px 6px;
  }
  svg {
    width: 15px;
    height: 15px;
    flex: none;
  }
`;

/** A button of the browser's own, for what has to be there before the rest of the page is. */
export const PlainButton = styled.button`
  ${buttonLook}
`;

export const Faint = styled.span<LaidOut>`
  color: ${inkSoft};
  font-size: 12px;
  ${laid}
`;

export const Row = styled.div<LaidOut>`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  ${laid}
`;

export const Page = styled.main`
  max-width: 1180px;
  margin: 0 auto;
  padding: 24px 24px 60px;
  > h1 {
    margin-bottom: 6px;
  }
`;
