import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Row } from '../shared/ui.js';
import { ViewTab } from '../shared/view-tab.js';
import { Laid } from '../shared/laid.js';

/** The middle of a station that scrolls by itself, and is whole on paper. */
export const Area = styled.div`
  flex: 1;
  overflow: auto;
  padding: 12px 16px 16px;
  @media print {
    overflow: visible;
    padding: 0;
  }
`;

/** One of the ways a station shows its middle. */
export interface ShownAs<T extends string> {
  readonly id: T;
  readonly label: string;
}

/** Which of them is shown: the one in the address, else the first. */
export function useView<const T extends string>(views: readonly [ShownAs<T>, ...ShownAs<T>[]]): readonly [T, (id: T) => void] {
  const [params, setParams] = useSearchParams();
  const asked = params.get('show');
  const show = (id: T) =>
    setParams(
      (now) => {
        now.set('show', id);
        return now;
      },
      { replace: true },
    );
  return [views.find((v) => v.id === asked)?.id ?? views[0].id, show];
}

/** The row that chooses among them, with what is done to all of it at its end. */
export function Views<T extends string>({
  views,
  shown,
  onShow,
  children,
}: {
  views: readonly ShownAs<T>[];
  shown: T;
  onShow: (id: T) => void;
  children?: ReactNode;
}) {
  return (
    <Row data-screen-only role="group" aria-label="What is shown" $pad="10px 16px 0" $gap={0}>
      {views.map((v) => (
        <ViewTab key={v.id} type="button" aria-pressed={shown === v.id} onClick={() => onShow(v.id)}>
          {v.label}
        </ViewTab>
      ))}
      {children ? <Laid.span $last>{children}</Laid.span> : null}
    </Row>
  );
}
