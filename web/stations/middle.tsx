import styled from 'styled-components';
import { film, phone } from '../theme/tokens.js';

/** The middle column of the bench. */
export const Middle = styled.main`
  position: relative;
  background: ${film};
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  @media ${phone} {
    height: auto;
    flex: none;
  }
`;
