import { area, say } from '../figure/index.js';
import { toMm } from '../length/index.js';
import { aslantText, type Part } from '../parts/index.js';
import type { EdgeTreatment } from '../piece/index.js';
import { precisionOf, type Settings } from '../project/index.js';
import { TAKES } from './minutes.js';
import { drillSetups, recessSetups, sawSetups } from './setups.js';
import { draft, type Draft } from './step.js';
import type { PartWork } from './works.js';

const CAUTIONS = {
  saw: 'Guard on, push stick for anything narrow, eyes and ears covered.',
  recess:
    'Hold the board down with featherboards or a block, never with fingers over the cutter; no stop block against the fence where a piece comes free.',
  drill: 'Clamp what is drilled; a backing board keeps the far side clean.',
  sand: 'Dust of boards and hardwoods: a mask, and the vacuum on the sander.',
} as const;

type Of<K extends PartWork['kind']> = Extract<PartWork, { kind: K }>;

/** How long an edge is, m. */
function metres({ part, edge }: Of<'edge'>, parts: ReadonlyMap<string, Part>): number {
  const p = parts.get(part);
  if (!p) return 0;
  return toMm(edge === 'v0' || edge === 'v1' ? p.length.value : p.width.value) / 1000;
}

/** A run of edges as it is counted in the shop, from m. */
const runText = (metres: number, { unit }: Settings): string =>
  unit === 'in' ? `${(metres / 0.3048).toFixed(0)} ft` : `${metres.toFixed(1)} m`;

/** The steps that are done on parts before they are put together; those that make none of them are left out. */
export function partSteps(
  parts: readonly Part[],
  worksOf: ReadonlyMap<string, readonly PartWork[]>,
  settings: Settings,
  batch: { readonly suffix: string; readonly of: string },
): readonly Draft[] {
  const byId = new Map(parts.map((p) => [p.id, p]));
  const works = parts.flatMap((p) => worksOf.get(p.id) ?? []);
  const of = <K extends PartWork['kind']>(kind: K) => works.filter((w): w is Of<K> => w.kind === kind);
  const edges = (is: EdgeTreatment) => of('edge').filter((w) => w.is === is);
  const ids = (some: readonly PartWork[]) => [...new Set(some.map((w) => w.part))];
  const { suffix } = batch;
  const step = (phase: Draft['phase'], title: string, some: readonly PartWork[], rest: Pick<Draft, 'minutes'> & Partial<Draft>): Draft[] =>
    some.length > 0
      ? [draft({ id: `${phase}${suffix}`, phase, title: `${title}${batch.of}`, parts: ids(some), works: some, ...rest })]
      : [];
  const [recesses, holes, banded] = [of('recess'), of('hole'), edges('banded')];
  const [sawn, cut, drilled] = [sawSetups(parts), recessSetups(recesses, byId, settings), drillSetups(holes, settings)];
  const pieceMetres = banded.reduce((sum, w) => sum + metres(w, byId), 0);
  const faces = parts.reduce((sum, p) => sum + (2 * toMm(p.length.value) * toMm(p.width.value)) / 1e6, 0);
  const shapes = of('shape');
  return [
    ...step('saw', 'Saw the parts to size', of('saw'), {
      ...sawn,
      says: [say`Write its letter on each as it comes off the saw, and mark its face and its reference edge.`],
      cautions: [CAUTIONS.saw],
    }),
    ...step('shape', 'Cut outlines and bevels', shapes, {
      minutes: shapes.length * TAKES.shape,
      says: shapes.flatMap(({ part }) => {
        const p = byId.get(part);
        return p ? aslantText(p.member, precisionOf(settings)).map((text) => say`${p.letter}: ${text}.`) : [];
      }),
      cautions: [CAUTIONS.saw],
    }),
    ...step('band', 'Cover the edges that are seen', banded, {
      minutes: pieceMetres * TAKES.bandPerMetre,
      says: [say`${runText(pieceMetres, settings)} in all; trimmed flush before anything is measured from that edge.`],
    }),
    ...step('recess', 'Grooves, housings, rebates and notches', recesses, {
      ...cut,
      says: [say`Try each setting on scrap of the same thickness, with the board that goes in.`],
      cautions: [CAUTIONS.recess],
    }),
    ...step('drill', 'Drill', holes, {
      ...drilled,
      says: [say`Parts that match are marked or drilled together; the places are on the drawing of each part, from both ends.`],
      cautions: [CAUTIONS.drill],
    }),
    ...(parts.length > 0
      ? [
          draft({
            id: `sand${suffix}`,
            phase: 'sand',
            title: `Sand what cannot be reached later${batch.of}`,
            parts: parts.map((p) => p.id),
            minutes: (faces / 2) * TAKES.sandPerSquare,
            says: [
              say`Insides before they are closed, ${area(faces)} with both faces. Joints stay as they are sawn: glue wants them bare.`,
            ],
            cautions: [CAUTIONS.sand],
          }),
        ]
      : []),
  ];
}

/** Easing the edges that are seen, once it stands. */
export function easeStep(parts: readonly Part[], worksOf: ReadonlyMap<string, readonly PartWork[]>, settings: Settings): readonly Draft[] {
  const byId = new Map(parts.map((p) => [p.id, p]));
  const eased = parts.flatMap((p) => worksOf.get(p.id) ?? []).filter((w): w is Of<'edge'> => w.kind === 'edge' && w.is === 'eased');
  if (eased.length === 0) return [];
  const long = eased.reduce((sum, w) => sum + metres(w, byId), 0);
  return [
    draft({
      id: 'ease',
      phase: 'ease',
      title: 'Ease the edges',
      parts: [...new Set(eased.map((w) => w.part))],
      works: eased,
      minutes: long * TAKES.easePerMetre,
      says: [say`${runText(long, settings)}: three strokes of a plane or a block with 120 grit, as much everywhere.`],
    }),
  ];
}
