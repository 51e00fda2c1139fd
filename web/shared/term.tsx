import { useTerms } from '../data/project.js';

/** A text of the program's own, such as what a part is, in the shop's terms. */
export const Term = ({ children }: { readonly children: string }) => useTerms()(children);
