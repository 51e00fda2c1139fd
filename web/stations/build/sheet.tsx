import styled from 'styled-components';
import { FINISHES, GLUES, outOfOrder, timeText, titleWithin, type Building } from '../../../core/build/index.js';
import { fromFahrenheit, inFahrenheit } from '../../../core/figure/index.js';
import { useSettledBench } from '../../bench/bench.js';
import { usePrecision } from '../../data/project.js';
import { StateMark } from '../../shared/state-mark.js';
import { Faint, Fault, NumberInput, Select } from '../../shared/ui.js';
import { Fold } from '../../shared/fold.js';
import { PickList } from '../../shared/pick-list.js';
import { ink } from '../../theme/tokens.js';
import { HoursForm } from './hours-form.js';
import { useBuilding, useStepShown } from './use-building.js';
import { Laid } from '../../shared/laid.js';

const Nth = styled.span`
  min-width: 22px;
  font-weight: 700;
  color: ${ink};
`;

const named = <T extends string>(all: readonly { readonly id: T; readonly name: string }[]) =>
  all.map(({ id, name }) => ({ id, label: name }));

const CUT: readonly { readonly id: Building['cut']; readonly label: string }[] = [
  { id: 'all first', label: 'every part before it is put together' },
  { id: 'as it goes', label: 'what comes later once it can be measured' },
];
const ORDER: readonly { readonly id: Building['order']; readonly label: string }[] = [
  { id: 'bottom up', label: 'from the floor up' },
  { id: 'top down', label: 'from the top down' },
];
const STANDS: readonly { readonly id: Building['stands']; readonly label: string }[] = [
  { id: 'upright', label: 'upright' },
  { id: 'upside down', label: 'upside down' },
  { id: 'on its back', label: 'lying on its back' },
];

/** What a builder chooses about how it is built. */
function Choices() {
  const { building, change } = useBuilding();
  const { unit } = usePrecision();
  const fahrenheit = unit === 'in';
  const warmth = (celsius: number) => (fahrenheit ? Math.round(inFahrenheit(celsius)) : celsius);
  return (
    <Laid.div $display="grid" $gap={8} $above={8}>
      <Select label="Parts are cut" value={building.cut} choices={CUT} onChange={(cut) => change({ cut }, 'When parts are cut')} />
      <Select label="It is built" value={building.order} choices={ORDER} onChange={(order) => change({ order }, 'Which way it is built')} />
      <Select
        label="While it is put together it stands"
        value={building.stands}
        choices={STANDS}
        onChange={(stands) => change({ stands }, 'How it stands while it is built')}
      />
      <Select label="Glue" value={building.glue} choices={named(GLUES)} onChange={(glue) => change({ glue }, 'Glue')} />
      <Select label="Finish" value={building.finish} choices={named(FINISHES)} onChange={(finish) => change({ finish }, 'Finish')} />
      {building.finish === 'none' ? null : (
        <NumberInput
          label="Coats"
          value={building.coats}
          minValue={1}
          maxValue={12}
          onChange={(n) => Number.isFinite(n) && n !== building.coats && change({ coats: Math.round(n) }, 'Coats')}
        />
      )}
      <NumberInput
        label={`It is glued and dries at, ${fahrenheit ? '°F' : '°C'}`}
        value={warmth(building.celsius)}
        minValue={warmth(-10)}
        maxValue={warmth(45)}
        onChange={(n) =>
          Number.isFinite(n) && n !== warmth(building.celsius) && change({ celsius: fahrenheit ? fromFahrenheit(n) : n }, 'How warm it is')
        }
      />
    </Laid.div>
  );
}

/** The worksheet of Build: the steps in order, what is done, and how it is built. */
export function BuildSheet() {
  const { building, steps, done } = useBuilding();
  const { settled } = useSettledBench();
  const stops = settled.checks.filter((c) => c.severity === 'stop').length;
  const [shown, show] = useStepShown(steps, done);
  const wrong = new Map(outOfOrder(steps).map((o) => [o.step.id, o]));
  const left = steps.filter((s) => !done.has(s.id));
  const gone = building.done.filter((d) => !steps.some((s) => s.id === d.step)).length;
  return (
    <>
      <Laid.header $below={10}>
        <h1>Build</h1>
        <Faint>
          {left.length === 0
            ? 'Every step is done.'
            : `${steps.length - left.length} of ${steps.length} steps done, ${timeText(left.reduce((sum, s) => sum + s.minutes, 0))} of work left.`}
          {gone > 0
            ? ` ${gone} that ${gone === 1 ? 'was' : 'were'} done ${gone === 1 ? 'is' : 'are'} no longer in the plan; ${gone === 1 ? 'it stays' : 'they stay'} in the log.`
            : ''}
        </Faint>
      </Laid.header>
      {stops > 0 ? (
        <Fault role="alert" $below={10}>
          {stops} {stops === 1 ? 'check stops' : 'checks stop'} the build: settle {stops === 1 ? 'it' : 'them'} before you cut.
        </Fault>
      ) : null}
      <PickList as="ol" aria-label="Steps">
        {steps.map((step, i) => {
          const out = wrong.get(step.id);
          return (
            <li key={step.id}>
              <button type="button" aria-current={step === shown ? 'step' : undefined} onClick={() => show(step.id)}>
                <Nth>{i + 1}</Nth>
                <Laid.span $flex={1}>
                  {step.title}
                  <br />
                  <Faint>
                    {done.has(step.id) ? 'done' : timeText(step.minutes)}
                    {out ? `, before ${out.before.map(titleWithin).join(' and ')}, which it needs` : ''}
                  </Faint>
                </Laid.span>
                {done.has(step.id) || out ? <StateMark state={out ? 'close' : 'fine'} /> : null}
              </button>
            </li>
          );
        })}
      </PickList>
      <Fold summary="How it is built">{() => <Choices />}</Fold>
      <Fold summary="The hours there are">{() => <HoursForm />}</Fold>
    </>
  );
}
