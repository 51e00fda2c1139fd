import type { BendingAnswer } from './bend.js';
import { edgesBeside, type Beside, type PanelSpec } from './panel.js';
import { allLoaded } from './patterns.js';
import type { Bending } from './verdict.js';

/** How thick a plain board of the same stiffness along its span would be, mm; the panel alone where a strip is a beam along its edge. */
function thicknessOf({ section, builtUp }: BendingAnswer): number {
  if (builtUp?.oneSided) return builtUp.oneSided.thickness;
  const { EI, properties, width, thickness } = section;
  return EI === undefined ? thickness : Math.cbrt((12 * EI) / (properties.elastic * 1000 * width));
}

/** A member that bends as a panel under all of its load, today. @param held how it is held beside its span, if not as it is */
export function panelSpecOf(answer: BendingAnswer, held: Beside = answer.beside): PanelSpec {
  const { loads, builtUp } = answer;
  const section: Bending = { ...answer.section, thickness: thicknessOf(answer) };
  return {
    beam: allLoaded(loads),
    section,
    edges: edgesBeside(held),
    beams: builtUp?.oneSided ? [builtUp.oneSided.now] : [],
  };
}
