import { Component, Suspense, useMemo, useState, type ReactNode } from 'react';
import { Slider, SliderThumb, SliderTrack, Label } from 'react-aria-components';
import styled from 'styled-components';
import { sceneOf } from '../../core/drawing/index.js';
import type { Pose } from '../../core/piece/index.js';
import { useBench } from '../bench/bench.js';
import { fetched } from '../shared/boundary.js';
import { Faint } from '../shared/ui.js';
import { ink, link, paper, tape } from '../theme/tokens.js';

const SolidScene = fetched(() => import('./scene.js').then((m) => m.default));

const Box = styled.div`
  position: relative;
  flex: 1;
  min-height: 340px;
  margin-top: 10px;
  overflow: hidden;
  > p {
    padding: 40px;
  }
`;

const Apart = styled(Slider)`
  position: absolute;
  left: 16px;
  bottom: 14px;
  width: 220px;
  background: ${paper};
  padding: 8px 12px;
  .react-aria-SliderTrack {
    height: 22px;
    width: 100%;
    position: relative;
    &::before {
      content: '';
      position: absolute;
      top: 10px;
      height: 2px;
      width: 100%;
      background: ${ink};
    }
  }
  .react-aria-SliderThumb {
    width: 14px;
    height: 20px;
    top: 11px;
    background: ${tape};
    border: 1.5px solid ${ink};
    &[data-focus-visible] {
      outline: 3px solid ${link};
    }
  }
`;

/** Whether this browser can draw in space at all. */
function hasWebGL(): boolean {
  try {
    const canvas = document.createElement('canvas');
    return Boolean(canvas.getContext('webgl2') ?? canvas.getContext('webgl'));
  } catch {
    return false;
  }
}

/** Says so plainly where drawing in space fails, and leaves the rest of the page as it is. */
class Guard extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError() {
    return { failed: true };
  }
  override render() {
    return this.state.failed ? <Without /> : this.props.children;
  }
}

function Without() {
  return <p>This browser cannot draw in space. Front, side, top and the table show the same piece.</p>;
}

/** The piece in space: turned with the pointer, taken apart by a slider, open or shut, with what stands in it. */
export function SolidStage({ pose, contents }: { pose: Pose; contents: boolean }) {
  const { solution, selection, select } = useBench();
  const [apart, setApart] = useState(0);
  const able = useMemo(() => hasWebGL(), []);
  const scene = useMemo(() => sceneOf(solution, pose, apart), [solution, pose, apart]);
  if (!able)
    return (
      <Box>
        <Without />
      </Box>
    );
  return (
    <Box>
      <Guard>
        <Suspense fallback={<p>Drawing it in space…</p>}>
          <SolidScene scene={scene} selection={selection} contents={contents} onPick={select} />
        </Suspense>
      </Guard>
      <Apart minValue={0} maxValue={1.5} step={0.05} value={apart} onChange={(value) => setApart(value as number)}>
        <Label>Taken apart</Label>
        <SliderTrack>
          <SliderThumb />
        </SliderTrack>
        <Faint>Drag the drawing to turn it; click a part to select it.</Faint>
      </Apart>
    </Box>
  );
}
