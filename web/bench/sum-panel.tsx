import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Figure } from '../../core/figure/index.js';
import { inTerms, sourcesOf, termsOf, writeSentence } from '../../core/figure/index.js';
import { exactText } from '../../core/length/index.js';
import { keptOf } from '../../core/joints/index.js';
import type { Member, PlacedSpace } from '../../core/piece/index.js';
import { marksOf } from '../../core/run/index.js';
import { shellOf } from '../../core/shells/index.js';
import { usePrecision, useTerms } from '../data/project.js';
import { LengthText } from '../shared/length-text.js';
import { Sum } from '../shared/sum.js';
import { Faint } from '../shared/ui.js';
import { useBench } from './bench.js';
import { Laid } from '../shared/laid.js';

interface Chosen {
  readonly title: string;
  readonly note: string;
  readonly figures: readonly { readonly name: string; readonly figure: Figure }[];
}

const RULE_TEXT = {
  fixed: 'A size that was given.',
  fit: 'As high or wide as what stands in it.',
  share: 'Shares what is left.',
  graded: 'A step larger or smaller than the one before.',
  grid: 'On a hole or groove pitch.',
} as const;

/** A part with something round its inside: its own size in the run first, then what is clear inside it. */
function partOfRun(space: PlacedSpace, size: Figure): Chosen {
  const { width, height, depth } = space.clear;
  return {
    title: space.label,
    note: RULE_TEXT[space.space.rule.kind],
    figures: [
      { name: { up: 'high', across: 'wide', deep: 'deep' }[space.within?.axis ?? 'up'], figure: size },
      { name: 'wide, clear inside', figure: width },
      { name: 'high, clear inside', figure: height },
      { name: 'deep, clear inside', figure: depth },
    ],
  };
}

function useChosen(): Chosen | null {
  const { solution, selection } = useBench();
  const space = solution.shape.spaces.get(selection);
  if (space) {
    const { width, height, depth } = space.clear;
    if (space.insets && space.within) return partOfRun(space, space.within.line.size);
    const all = {
      up: { name: 'high, clear', figure: height },
      across: { name: 'wide, clear', figure: width },
      deep: { name: 'deep, clear', figure: depth },
    };
    const axis = space.within?.axis ?? 'up';
    const others = (['up', 'across', 'deep'] as const).filter((a) => a !== axis).map((a) => all[a]);
    return {
      title: space.label !== 'inside' ? space.label : shellOf(solution.piece).inside,
      note: space.within ? RULE_TEXT[space.space.rule.kind] : 'What the outside leaves.',
      figures: [all[axis], ...others],
    };
  }
  const part = solution.parts.find((p) => p.id === selection);
  if (!part) return null;
  return {
    title: `${inTerms(part.member.role, termsOf(solution.workshop.settings))} ${part.letter}`,
    note: part.member.stock.name,
    figures: [
      { name: 'long', figure: part.length },
      { name: 'wide', figure: part.width },
    ],
  };
}

const DATUM = { up: 'bottom of the run', across: 'left end of the run', deep: 'rear end of the run' } as const;

/** Where the marks of a selected shelf or divider are, from the datum of its run. */
function MarksOfMember() {
  const { solution, selection, piece, workshop } = useBench();
  const precision = usePrecision();
  const node = solution.shape.members.find((m) => m.id === selection)?.node;
  for (const run of solution.shape.runs.values()) {
    const grid = (piece.rounding ?? workshop.settings.rounding).grid;
    const mark = marksOf(run.run, grid).find((m) => m.member === node);
    if (!mark) continue;
    return (
      <Laid.p $above={8} $size={13}>
        Mark at{' '}
        <strong>
          <LengthText value={mark.near.value} precision={precision} />
        </strong>{' '}
        and{' '}
        <strong>
          <LengthText value={mark.far.value} precision={precision} />
        </strong>{' '}
        from the {DATUM[run.axis]}, from one datum.{' '}
        <Faint>
          Chained from gap to gap it could be <LengthText value={mark.chainedError} precision={precision} /> off.
        </Faint>
      </Laid.p>
    );
  }
  return null;
}

/** A further figure, whose sum opens under it. */
function Opening({ name, figure, children }: { name: string; figure: Figure; children?: ReactNode }) {
  const precision = usePrecision();
  return (
    <Laid.details $above={6}>
      <summary>
        <strong>
          <LengthText value={figure.value} precision={precision} />
        </strong>{' '}
        {name}
      </summary>
      <Sum figure={figure} precision={precision} answer={name} />
      {children}
    </Laid.details>
  );
}

/** What else follows for the selected space: the sizes of its drawer, its slats, its cells, and how they are made. */
function FactsOf() {
  const { solution, selection, piece } = useBench();
  const precision = usePrecision();
  const t = useTerms();
  const { facts: all, outside } = solution.shape;
  // What is told of the whole piece is told where a member of its shell is selected.
  const facts = all.get(selection) ?? (outside.members.has(selection) ? all.get(piece.interior.id) : undefined) ?? [];
  return facts.map(({ name: own, figure, count, remark }) => {
    const name = t(own);
    if (count) {
      return (
        <Laid.details key={name} $above={6}>
          <summary>
            <strong>{count.amount}</strong> {name}
          </summary>
          <Sum figure={count} precision={precision} answer={name} />
        </Laid.details>
      );
    }
    if (!figure) {
      return (
        <Laid.p key={name} $above={6} $size={13}>
          {remark ? writeSentence(remark, precision) : name}
        </Laid.p>
      );
    }
    return (
      <Opening key={name} name={name} figure={figure}>
        {remark ? <Faint>{writeSentence(remark, precision)}</Faint> : null}
      </Opening>
    );
  });
}

/** What is left of a selected part where it is machined. */
function KeptBy({ member }: { member: Member }) {
  const precision = usePrecision();
  const kept = keptOf(member);
  if (!kept) return null;
  return (
    <Laid.p $above={6} $size={13}>
      Keeps <LengthText value={kept.left} precision={precision} /> of its thickness where it is machined
      {kept.both ? ', from both faces' : ''}.
    </Laid.p>
  );
}

/** The sum of whatever is selected, set out as builders write it. */
export function SumPanel() {
  const { solution, selection } = useBench();
  const precision = usePrecision();
  const { project } = useParams();
  const chosen = useChosen();
  if (!chosen) return null;
  const [first, ...rest] = chosen.figures;
  if (!first) return null;
  const part = solution.parts.find((p) => p.id === selection);
  const stock = sourcesOf(first.figure).some((s) => s.in === 'stock');
  const residue = [...solution.shape.runs.values()]
    .flatMap((r) => r.run.residues)
    .find((r) => solution.shape.spaces.get(r.gap)?.label === chosen.title);
  return (
    <Laid.section aria-label="The sum of what is selected" $below={16}>
      <h2>{chosen.title.charAt(0).toUpperCase() + chosen.title.slice(1)}</h2>
      <Laid.p $size={28} $weight={700} $line={1.2}>
        <LengthText value={first.figure.value} precision={precision} stacked /> <Laid.span $size={19}>{first.name}</Laid.span>
      </Laid.p>
      <Faint>
        {chosen.note} Exactly {exactText(first.figure.value, precision.unit)} {precision.unit}.
      </Faint>
      <Sum figure={first.figure} precision={precision} answer={first.name} />
      {residue ? (
        <Faint>
          Holds <LengthText value={residue.amount} precision={precision} /> that is smaller than a step, so that everything adds up.
        </Faint>
      ) : null}
      <MarksOfMember />
      <FactsOf />
      {part ? <KeptBy member={part.member} /> : null}
      {rest.map(({ name, figure }) => (
        <Opening key={name} name={name} figure={figure} />
      ))}
      {stock ? (
        <Laid.p $above={6} $size={12}>
          Thickness as measured in the <Link to={`/p/${project}/stock`}>stockroom</Link>.
        </Laid.p>
      ) : null}
    </Laid.section>
  );
}
