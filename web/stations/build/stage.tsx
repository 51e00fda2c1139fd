import { useMemo } from 'react';
import { Printer } from 'lucide-react';
import { useSettledBench } from '../../bench/bench.js';
import { api } from '../../data/api.js';
import { useJob } from '../../data/job.js';
import { useProject } from '../../data/project.js';
import { download, fileName } from '../../shared/download.js';
import { JobBar } from '../../shared/job-bar.js';
import { Button, Faint } from '../../shared/ui.js';
import { Area, Views, useView } from '../views.js';
import { CutParts } from './cut-parts.js';
import { ElsewhereView } from './elsewhere-view.js';
import { JigsView } from './jigs-view.js';
import { PartPlaces } from './part-places.js';
import { PlanView } from './plan-view.js';
import { StepView } from './step-view.js';
import { useBuilding, useStepShown } from './use-building.js';

const VIEWS = [
  { id: 'steps', label: 'Steps' },
  { id: 'places', label: 'Parts set out' },
  { id: 'jigs', label: 'Jigs' },
  { id: 'plan', label: 'When' },
  { id: 'cut', label: 'What is cut' },
  { id: 'elsewhere', label: 'Another plan' },
] as const;

/** The steps one by one, the parts as they are set out, when it is done, and what is cut. */
export function BuildStage() {
  const { settled, pieceId } = useSettledBench();
  const { id, saver } = useProject();
  const { steps, done } = useBuilding();
  const [step, show] = useStepShown(steps, done);
  const [view, showView] = useView(VIEWS);
  const job = useJob();
  const all = useMemo(() => new Set(settled.parts.map((p) => p.id)), [settled]);
  const sheets = async () => {
    try {
      const pdf = await job.run((name, signal) => api.shopSheets(id, pieceId, name, signal));
      if (pdf) download(`${fileName(settled.piece.name)}-shop-sheets.pdf`, 'application/pdf', pdf);
    } catch (error) {
      saver.say({ tone: 'refused', text: (error as Error).message });
    }
  };
  return (
    <>
      <Views views={VIEWS} shown={view} onShow={showView}>
        <Button isDisabled={job.isRunning} onPress={() => void sheets()}>
          <Printer aria-hidden /> Shop sheets
        </Button>
      </Views>
      <JobBar job={job} label="Drawing the sheets" />
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
