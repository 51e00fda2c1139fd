import { fine, force, len, mass, say, sold } from '../figure/index.js';
import { ZERO, mm, type Length } from '../length/index.js';
import { alike, keepsThings, limitName, type CarriedMember, type Carried } from '../carry/index.js';
import { PIN, keptOf, pinsThrough } from '../joints/index.js';
import { hangs, type Letters, type Member, type Piece, type Shape } from '../piece/index.js';
import { withPanels } from '../interiors/index.js';
import type { Workshop } from '../project/index.js';
import { pieceFix, type Check } from '../finding/index.js';
import { holdChecks } from './holds.js';
import { capital, nameOf } from './names.js';
import { asKg, asNewtons } from '../measures/index.js';

/** What machining leaves of each member. Less than a third is weak; nothing at all stops the build. */
function machining(piece: Piece, shape: Shape, letters: Letters): Check[] {
  return shape.members.flatMap((member): Check[] => {
    const worst = keptOf(member);
    if (!worst || worst.left * 3 >= member.thickness.value) return [];
    const through = worst.left <= ZERO;
    const looser = pieceFix(say`Make the shelves loose, on pins`, {
      kind: 'piece',
      patch: withPanels(piece, { shelves: { ...piece.panels.shelves, fix: 'loose' } }),
    });
    const third = Math.floor(member.thickness.value / 3 / mm(0.5)) * mm(0.5);
    const shallower = pieceFix(say`House them ${len(third as Length)} deep`, {
      kind: 'piece',
      patch: withPanels(piece, { shelves: { ...piece.panels.shelves, housing: third as Length } }),
    });
    return [
      {
        id: `machining-${member.id}`,
        severity: through ? 'stop' : 'look',
        state: through ? 'fails' : 'close',
        about: { kind: 'member', id: member.id },
        sentence: through
          ? say`${capital(nameOf(member, letters))} is cut right through where it is machined${worst.both ? ' from both sides' : ''}.`
          : say`${capital(nameOf(member, letters))} keeps ${len(worst.left)} of its ${len(member.thickness.value)} where it is machined${worst.both ? ' from both sides' : ''}.`,
        fixes:
          piece.panels.shelves.fix === 'housed' && shape.members.some((m) => m.id === worst.mate && m.role === 'shelf')
            ? [shallower, looser]
            : [],
      },
    ];
  });
}

/** Pins whose holes come through a member, or into each other. */
function pinChecks(piece: Piece, shape: Shape, letters: Letters): Check[] {
  return shape.members.flatMap((member): Check[] => {
    const through = pinsThrough(member);
    if (!through) return [];
    const name = capital(nameOf(member, letters));
    const butted = pieceFix(say`Screw the shelves instead`, {
      kind: 'piece',
      patch: withPanels(piece, { shelves: { ...piece.panels.shelves, fix: 'butted' } }),
    });
    return [
      {
        id: `pins-${member.id}`,
        severity: 'stop',
        state: 'fails',
        about: { kind: 'member', id: member.id },
        sentence:
          through.kind === 'pierce'
            ? say`Pins ${sold(PIN.depth)} deep go right through ${nameOf(member, letters)}, which is ${len(member.thickness.value)} thick.`
            : say`${name} has ${through.count} pin holes that meet others from its other face: set one of the shelves higher or lower.`,
        fixes: piece.panels.shelves.fix === 'loose' ? [butted] : [],
      },
    ];
  });
}

function sagCheck(equal: readonly CarriedMember[], letters: Letters, workshop: Workshop): Check[] {
  const [carried] = equal;
  if (!carried) return [];
  const { member, bending } = carried;
  // What is not checked is told with all others that are not.
  const state = carried.state === 'not checked' ? 'not checked' : bending?.verdict.state;
  if (!bending || state === undefined || state === 'fine' || state === 'not checked') return [];
  const { verdict } = bending;
  const kg = carried.standing.reduce((sum, s) => sum + s.kg, 0);
  const handed = carried.handed.reduce((sum, h) => sum + h.newtons, 0);
  const stands = say`${mass(asKg(kg))}${carried.standing.every((s) => s.assumed) ? ' assumed' : ''}`;
  const load =
    kg > 0 && handed > 0
      ? say`${stands} and ${force(asNewtons(handed))} from above`
      : kg > 0
        ? stands
        : handed > 0
          ? say`${force(asNewtons(handed))} from above`
          : say`its own weight`;
  const others = equal.length - 1;
  const name = `${capital(nameOf(member, letters))}${others > 0 ? ` and ${others} like it` : ''}`;
  const limit = bending.room === null ? limitName(workshop.settings.limit) : 'the room under it';
  const later = verdict.later ? say` and ${fine(verdict.later.mm)} in the long term` : say`, and later is not checked`;
  return [
    {
      id: `sag-${member.id}`,
      // What merely shows is for a look; what breaks or falls stops the build.
      severity: 'look',
      state,
      about: { kind: 'member', id: member.id },
      sentence: say`${name} ${others > 0 ? 'sag' : 'sags'} ${fine(verdict.today.mm)} today${later} under ${load}; ${limit} allows ${fine(verdict.allowed)}.`,
      fixes: [],
      remedyFor: member.id,
    },
  ];
}

/** Parts larger than the stock they are of; equal ones are told together. */
function largerThanStock(members: readonly Member[], letters: Letters): Check[] {
  const groups = new Map<string, Member[]>();
  for (const m of members) {
    if (m.length.value <= m.stock.length && m.width.value <= m.stock.width) continue;
    const key = `${m.role} ${m.stockId} ${m.length.value} ${m.width.value}`;
    groups.set(key, [...(groups.get(key) ?? []), m]);
  }
  return [...groups.values()].map((equal): Check => {
    const member = equal[0] as Member;
    const { stock } = member;
    const others = equal.length > 1 ? say` and ${equal.length - 1} like it` : [];
    return {
      id: `stock-${member.id}`,
      severity: 'stop',
      state: 'fails',
      about: { kind: 'member', id: member.id },
      sentence: say`${capital(nameOf(member, letters))}${others} is ${len(member.length.value)} by ${len(member.width.value)}, larger than ${stock.name}, ${len(stock.length)} by ${len(stock.width)}.`,
      fixes: [],
    };
  });
}

/** Free-standing storage that a child pulls over is told to be fixed to the wall regardless of its sums; tables, stools and benches are not. */
function tipping(piece: Piece, shape: Shape): Check[] {
  // What hangs there is on the wall as it is.
  if (!keepsThings(shape) || piece.fixedToWall || hangs(shape)) return [];
  return [
    {
      id: 'fix-to-wall',
      severity: 'look',
      state: 'close',
      about: { kind: 'piece' },
      sentence: say`Stands ${len(shape.overall.height.value)} tall: fix it to the wall, into studs or masonry, so that it cannot be pulled over. Local codes have the last word.`,
      fixes: [pieceFix(say`It will be fixed to the wall`, { kind: 'piece', patch: { fixedToWall: true } })],
    },
  ];
}

/** Whether members sag, equal ones together. @example memberSags(SOLVED.carried, {}, SHOP) // [] */
export const memberSags = ({ members }: Carried, letters: Letters, workshop: Workshop): Check[] =>
  alike([...members.values()]).flatMap((group) => sagCheck(group, letters, workshop));

/** Every check of the members themselves: machining, sag, stock size, tipping. */
export function memberChecks(piece: Piece, shape: Shape, carried: Carried, letters: Letters, workshop: Workshop): Check[] {
  const each = [...carried.members.values()];
  const sags = memberSags(carried, letters, workshop);
  const judged = each.filter((c) => c.bending && c.state === 'fine' && !c.empty).length;
  const good: Check[] =
    judged > 0
      ? [
          {
            id: 'sags-fine',
            severity: 'good',
            state: 'fine',
            about: { kind: 'piece' },
            sentence: say`${judged === 1 ? '1 loaded member stays' : `${judged} loaded members stay`} well inside ${limitName(workshop.settings.limit)}, in the long term too.`,
            fixes: [],
          },
        ]
      : [];
  return [
    ...sags,
    ...holdChecks(piece, carried, letters, workshop),
    ...machining(piece, shape, letters),
    ...pinChecks(piece, shape, letters),
    ...largerThanStock(shape.members, letters),
    ...tipping(piece, shape),
    ...good,
  ];
}
