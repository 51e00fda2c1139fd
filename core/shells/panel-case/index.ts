import { len, say } from '../../figure/index.js';
import { ZERO } from '../../length/index.js';
import { divide, interiorMembers } from '../../interiors/index.js';
import { slipsOut, usualSlack } from '../../joints/index.js';
import { stockNames, stockUses, type Joint, type Shape, type ShapeProblem } from '../../piece/index.js';
import { panelCaseFields, type PanelCase } from './spec.js';
import type { Workshop } from '../../project/index.js';
import { accessBar } from './access-bar.js';
import { cableProblems, withCableHoles } from './cables.js';
import { bearers, caseMembers } from './case.js';
import { cornerProblems } from './corners.js';
import { blockProblems, cornerBlocks, withBlocks } from './corner-blocks.js';
import { CASE } from './ids.js';
import { studsBehind } from '../../interiors/panels/to-back.js';
import type { ShellKind } from '../kind.js';
import { notchedForCleat } from './cleat-notch.js';
import { boardsOf, hangingOf } from './hung.js';
import { hungChecks } from './hung-checks.js';
import { lidChecks, liddedOf, lidProblems, notchedForRail } from './lid.js';
import { outsideOf } from './outside.js';
import { overhangProblems } from './overhang.js';
import { caseRacking } from './racking.js';
import { caseRemedies, caseStock } from './remedies.js';
import { onPlinth } from './plinth.js';
import { following, outlineFacts, outlineProblems } from './side-outline.js';
import { heldToBack } from '../to-back.js';
import { NO_SHAPE, assembled, diagonalOf } from '../assemble.js';
import { envelopeOf, woodsOf } from './envelope.js';

function bottomOverToe(piece: PanelCase): ShapeProblem[] {
  if (piece.bottom !== 'over' || piece.base.kind !== 'toe') return [];
  return [
    {
      id: 'bottom-over-toe',
      about: 'bottom',
      stops: true,
      sentence: say`The bottom goes under the sides, so nothing reaches the floor beside the toe board.`,
      fixes: [
        { label: say`Put the bottom between the sides`, edit: { kind: 'piece', patch: { bottom: 'between' } } },
        {
          label: say`Stand the case on a loose plinth`,
          edit: { kind: 'piece', patch: { base: onPlinth(piece.base) } },
        },
      ],
    },
  ];
}

/** A back that is cut so small that it comes out of its grooves or rebates. */
function backSlips({ back }: PanelCase): ShapeProblem[] {
  if (back.kind !== 'groove' && back.kind !== 'rebate') return [];
  const sentence = slipsOut('The back', `${back.kind}s`, back.depth, back.slack);
  if (!sentence) return [];
  const slack = usualSlack(back.depth);
  const fix = { label: say`Cut it ${len(slack)} small`, edit: { kind: 'piece', patch: { back: { ...back, slack } } } } as const;
  return [{ id: 'back-slips', about: 'back', stops: true, sentence, fixes: [fix] }];
}

/** A back that leaves so much open for air that it no longer keeps the case square. */
function backTooShort({ back }: PanelCase, { inside }: ReturnType<typeof envelopeOf>): ShapeProblem[] {
  if (back.kind !== 'applied' || back.air === undefined || back.air * 2 < inside.height.value) return [];
  const { air, ...closed } = back;
  return [
    {
      id: 'back-air',
      about: 'back',
      stops: true,
      sentence: say`${len(air)} left open under the back is half of the case or more: it no longer keeps it square.`,
      fixes: [{ label: say`Close it`, edit: { kind: 'piece', patch: { back: closed } } }],
    },
  ];
}

/** The geometry of a panel case: its envelope, its spaces and runs, and every member with its joints. */
function shape(piece: PanelCase, workshop: Workshop): Shape {
  const woods = woodsOf(piece, workshop);
  const envelope = envelopeOf(piece, workshop, woods);
  const { overall } = envelope;
  const { assumed } = envelope;
  const caseHeight =
    piece.base.kind === 'plinth' ? envelope.height.minus(envelope.baseHeight).named('height of the case') : envelope.height;
  const diagonal = diagonalOf(caseHeight, overall.depth);
  const { inside, start } = envelope;
  if (inside.width.value <= ZERO || inside.height.value <= ZERO || inside.depth.value <= piece.panels.shelves.setback) {
    const shallow: ShapeProblem[] =
      inside.depth.value > ZERO && inside.depth.value <= piece.panels.shelves.setback
        ? [
            {
              id: 'setback',
              about: 'shelves',
              stops: true,
              sentence: say`The shelves stand back further than the case is deep.`,
              fixes: [],
            },
          ]
        : [];
    return {
      ...NO_SHAPE,
      overall,
      assumed,
      caseHeight,
      diagonal,
      outside: outsideOf(piece, envelope, []),
      problems: [...envelope.problems, ...shallow],
    };
  }
  const context = { workshop, panels: piece.panels, rounding: piece.rounding ?? workshop.settings.rounding };
  const neighbours = { left: CASE.left, right: CASE.right, below: CASE.bottom, above: CASE.top };
  const divided = divide(piece, context, { start, clear: inside, neighbours, setback: piece.panels.shelves.setback });
  const made = interiorMembers(piece, workshop, divided);
  const cut = caseMembers(piece, envelope, woods);
  const hanging = hangingOf(piece, envelope, workshop);
  const sided = notchedForCleat(piece, cut.members, hanging.members);
  const shell = { ...cut, members: withCableHoles(piece, following(piece, sided, made.members), divided.spaces.values()) };
  const lidded = liddedOf(piece, shell.members);
  const onBottom = new Set(made.joints.flatMap((j) => (j.carrier === CASE.bottom ? [j.carried] : [])));
  const standing = made.members.filter((m) => m.role === 'divider' && onBottom.has(m.id));
  const carried = bearers(piece, envelope, woods, standing);
  const studs = studsBehind(piece, workshop);
  const held = heldToBack(
    piece,
    made.members,
    shell.members.find((m) => m.id === CASE.back),
    start.z.value,
    studs,
  );
  const barred = accessBar(piece, divided.spaces, workshop);
  const blocks = cornerBlocks(piece, envelope, workshop);
  const joints: Joint[] = [
    ...hanging.joints,
    ...barred.joints,
    ...withBlocks(piece, shell.joints, blocks),
    ...carried.joints,
    ...made.joints,
    ...held.joints,
  ];
  const own = [...shell.members, ...carried.members, ...hanging.members, ...barred.members, ...blocks];
  const told = [...hanging.facts, ...outlineFacts(shell.members), ...lidded.facts];
  return assembled(
    divided,
    {
      ...made,
      members: [
        ...shell.members,
        ...notchedForRail(made.members, shell.members),
        ...carried.members,
        ...hanging.members,
        ...barred.members,
        ...blocks,
      ],
      joints,
      bodies: [...made.bodies, ...lidded.bodies, ...barred.bodies],
      bought: [...made.bought, ...hanging.bought, ...lidded.bought, ...barred.bought],
      facts: told.length > 0 ? [...made.facts, { space: piece.interior.id, facts: told }] : made.facts,
    },
    { overall, assumed, caseHeight, diagonal, outside: { ...outsideOf(piece, envelope, own), studs } },
    [
      ...envelope.problems,
      ...hanging.problems,
      ...barred.problems,
      ...blockProblems(piece),
      ...bottomOverToe(piece),
      ...cornerProblems(piece, woods),
      ...overhangProblems(piece),
      ...backSlips(piece),
      ...backTooShort(piece, envelope),
      ...held.problems,
      ...outlineProblems(piece, [...shell.members, ...made.members], envelope),
      ...lidProblems(piece, joints),
      ...cableProblems(piece, shell.members, divided.spaces.values()),
    ],
  );
}

export const panelCase: ShellKind<PanelCase> = {
  kind: 'panel-case',
  inside: 'Inside the case',
  fields: panelCaseFields,
  uses: (piece) => stockUses('stock', piece.stock, (stock) => ({ stock })),
  names: ({ hung, lid, bar, blocks }) => [
    ...stockNames(blocks ? [blocks.stock] : []).map((n) => ({ ...n, where: 'blocks' })),
    ...stockNames(boardsOf(hung)).map((n) => ({ ...n, where: 'hung' })),
    ...stockNames(bar ? [bar.stock] : []).map((n) => ({ ...n, where: 'bar' })),
    ...stockNames(lid ? [lid.ledge.stock, ...(lid.packed ? [lid.packed.stock] : [])] : []).map((n) => ({ ...n, where: 'lid' })),
  ],
  placed: () => [],
  shape,
  racking: (piece, shape, carried, workshop) =>
    piece.hung ? hungChecks(piece, shape, carried, workshop) : caseRacking(piece, shape, carried, workshop),
  checks: lidChecks,
  withStock: caseStock,
  remedies: caseRemedies,
};
