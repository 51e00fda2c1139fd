import { useMemo, useState } from 'react';
import { apartId, type Step } from '../../../core/build/index.js';
import { lettersText, rowsOf } from '../../../core/parts/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { Fold } from '../../shared/fold.js';
import { Button, Faint, Row, Tick } from '../../shared/ui.js';
import { useBuilding } from './use-building.js';
import { Laid } from '../../shared/laid.js';
import { inTerms, termsOf } from '../../../core/figure/index.js';

/** So many parts are ticked one by one; of more, those that are alike are ticked together. */
const ONE_BY_ONE = 24;

/** The parts of a step in sets that are ticked together. */
function useSets(step: Step) {
  const { settled } = useSettledBench();
  return useMemo(() => {
    const own = new Set(step.parts);
    const parts = settled.parts.filter((p) => own.has(p.id));
    const sets = parts.length <= ONE_BY_ONE ? parts.map((p) => [p]) : rowsOf(parts).map((row) => row.parts);
    return sets.map((set) => ({
      ids: set.map((p) => p.id),
      label: `${lettersText(set.map((p) => p.letter))} ${inTerms(set[0]?.member.role ?? '', termsOf(settled.workshop.settings))}`,
    }));
  }, [step, settled]);
}

/** Some parts of a step taken out of it, to be done by themselves. */
function SplitOff({ step, show }: { step: Step; show: (id: string) => void }) {
  const { building, change } = useBuilding();
  const sets = useSets(step);
  const [picked, setPicked] = useState<ReadonlySet<number>>(new Set());
  const parts = sets.flatMap(({ ids }, i) => (picked.has(i) ? ids : []));
  const does = picked.size > 0 && picked.size < sets.length;
  const tick = (i: number, is: boolean) => {
    const next = new Set(picked);
    if (is) next.add(i);
    else next.delete(i);
    setPicked(next);
  };
  const take = () => {
    const split = { step: step.id, parts };
    change({ apart: [...(building.apart ?? []), split] }, `In two steps: ${step.title}`);
    setPicked(new Set());
    show(apartId(split));
  };
  return (
    <>
      <p id="apart-parts">Parts that are done by themselves, after the rest:</p>
      <Row role="group" aria-labelledby="apart-parts">
        {sets.map(({ label }, i) => (
          <Tick key={label} isSelected={picked.has(i)} onChange={(is) => tick(i, is)}>
            {label}
          </Tick>
        ))}
      </Row>
      <Row $above={6}>
        <Button isDisabled={!does} onPress={take}>
          Make two steps of it
        </Button>
        {does ? null : <Faint>{picked.size === 0 ? 'Tick at least one.' : 'Leave at least one.'}</Faint>}
      </Row>
    </>
  );
}

/** A step in two, or several in one go: as one likes to work. What that breaks is told at the step. */
export function ArrangeStep({ step, next, show }: { step: Step; next: Step | undefined; show: (id: string) => void }) {
  const { building, done, change } = useBuilding();
  const { apart = [], inOneGo = [] } = building;
  const split = apart.find((one) => apartId(one) === step.id);
  const goes = inOneGo.findLast((ids) => ids[0] === step.id);
  if (done.has(step.id)) return null;
  return (
    <Fold summary="Split this step, or do it in one go with the next">
      {() => (
        <Laid.div $most="76ch">
          {goes || step.parts.length < 2 ? null : <SplitOff step={step} show={show} />}
          <Row $above={10}>
            {next && !done.has(next.id) ? (
              <Button onPress={() => change({ inOneGo: [...inOneGo, [step.id, next.id]] }, `In one go: ${step.title}, and ${next.title}`)}>
                In one go with “{next.title}”
              </Button>
            ) : null}
            {goes ? (
              <Button onPress={() => change({ inOneGo: inOneGo.filter((ids) => ids !== goes) }, `One after the other: ${step.title}`)}>
                Take them apart again
              </Button>
            ) : null}
            {split && !goes ? (
              <Button
                onPress={() => {
                  change({ apart: apart.filter((one) => one !== split) }, `In one step again: ${step.title}`);
                  show(split.step);
                }}
              >
                Put it back with the rest
              </Button>
            ) : null}
          </Row>
        </Laid.div>
      )}
    </Fold>
  );
}
