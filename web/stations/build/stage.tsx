import { useMemo } from 'react';
import { Printer } from 'lucide-react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useSettledBench } from '../../bench/bench.js';
import { useProject } from '../../data/project.js';
import { Button, Faint, Row } from '../../shared/ui.js';
import { ViewTab } from '../../shared/view-tab.js';
import { CutParts } from './cut-parts.js';
import { ElsewhereView } from './elsewhere-view.js';
import { JigsView } from './jigs-view.js';
import { PartPlaces } from './part-places.js';
import { PlanView } from './plan-view.js';
import { StepView } from './step-view.js';
import { useBuilding, useStepShown } from './use-building.js';

const Area = styled.div`
  flex: 1;
  overflow: auto;
  padding: 12px 16px 16px;
  @media print {
    overflow: visible;
    padding: 0;
  }
`;

const VIEWS = [
  { id: 'steps', label: 'Steps' },
  { id: 'places', label: 'Parts set out' },
  { id: 'jigs', label: 'Jigs' },
  { id: 'plan', label: 'When' },
  { id: 'cut', label: 'What is cut' },
  { id: 'elsewhere', label: 'Another plan' },
] as const;
type Shown = (typeof VIEWS)[number]['id'];

/** The steps one by one, the parts as they are set out, when it is done, and what is cut. */
export function BuildStage() {
  const { settled, pieceId } = useSettledBench();
  const { id } = useProject();
  const { steps, done } = useBuilding();
  const [step, show] = useStepShown(steps, done);
  const [params, setParams] = useSearchParams();
  const view: Shown = VIEWS.find((v) => v.id === params.get('show'))?.id ?? 'steps';
  const all = useMemo(() => new Set(settled.parts.map((p) => p.id)), [settled]);
  return (
    <>
      <Row data-screen-only role="group" aria-label="What is shown" style={{ padding: '10px 16px 0', gap: 0 }}>
        {VIEWS.map((v) => (
          <ViewTab
            key={v.id}
            type="button"
            aria-pressed={view === v.id}
            onClick={() =>
              setParams(
                (now) => {
                  now.set('show', v.id);
                  return now;
                },
                { replace: true },
              )
            }
          >
            {v.label}
          </ViewTab>
        ))}
        <Button
          style={{ marginLeft: 'auto' }}
          onPress={() => window.open(`/api/projects/${id}/pieces/${pieceId}/sheets.pdf`, '_blank', 'noopener')}
        >
          <Printer aria-hidden /> Shop sheets
        </Button>
      </Row>
      <Area role="region" aria-label="What is built" tabIndex={0}>
        {settled.parts.length === 0 ? (
          <Faint>There are no parts to build from yet.</Faint>
        ) : view === 'places' ? (
          <PartPlaces solution={settled} only={all} />
        ) : view === 'jigs' ? (
          <JigsView />
        ) : view === 'plan' ? (
          <PlanView />
        ) : view === 'cut' ? (
          <CutParts />
        ) : view === 'elsewhere' ? (
          <ElsewhereView />
        ) : step ? (
          <StepView step={step} show={show} />
        ) : null}
      </Area>
    </>
  );
}
