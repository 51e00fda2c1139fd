import type { BendingAnswer } from './bend.js';
import { edgesBeside, type Beside, type PanelSpec } from './panel.js';
import type { Bending } from './verdict.js';

/** How thick a plain board of the same stiffness along its span would be, mm; the panel with its layers alone where strips are beams along its edges. */
function thicknessOf({ section, builtUp }: BendingAnswer): number {
  if (builtUp && (builtUp.oneSided || builtUp.panel.now.length === 0)) return builtUp.panel.thickness;
  const { EI, properties, width, thickness } = section;
  return EI === undefined ? thickness : Math.cbrt((12 * EI) / (properties.elastic * 1000 * width));
}

/**
 * A member that bends as a panel under the load it sags most under, today. @param held how it is held beside its span, if not as it is
 * @example panelSpecOf(CARRIED.bending).beam.length // 960
 */
export function panelSpecOf(answer: BendingAnswer, held: Beside = answer.beside): PanelSpec {
  const { builtUp } = answer;
  const section: Bending = { ...answer.section, thickness: thicknessOf(answer) };
  return {
    beam: answer.heaviest,
    section,
    edges: edgesBeside(held),
    beams: builtUp?.oneSided ? builtUp.panel.now : [],
    lines: answer.lines,
  };
}
