import type { Job } from '../data/job.js';
import { Button, Faint, Row } from './ui.js';

/** How far a job is that the server is at, and its Stop; nothing while none is. */
export function JobBar({ job: { progress, stop }, label }: { job: Job; label: string }) {
  if (!progress) return null;
  const { done, of } = progress;
  return (
    <Row role="status">
      <progress max={1} {...(of === 0 ? {} : { value: done / of })} aria-label={label} />
      <Faint>{of === 0 ? `${label}…` : `${label}: ${Math.floor((100 * done) / of)} %`}</Faint>
      <Button onPress={stop}>Stop</Button>
    </Row>
  );
}
