import { createContext, useContext } from 'react';
import { sourceKey, type Source } from '../../core/figure/index.js';

/** Goes to the field that a figure comes from; null where nothing leads there. */
export type LeadsTo = (source: Source) => (() => void) | null;

const Leads = createContext<LeadsTo>(() => null);
export const LeadsProvider = Leads.Provider;

/** How one goes from a figure to the field that it comes from, on this page. */
export const useLeads = (): LeadsTo => useContext(Leads);

/** What marks a field as the one that a figure comes from. */
export const fieldOf = (source: Source | undefined) => (source ? { 'data-field-of': sourceKey(source) } : {});

/** A screen may still be on its way for so long, ms. */
const PATIENCE = 4000;

const FOCUSABLE = 'input, button, [tabindex="0"]';

/** Brings the field of a source into view and into focus, as soon as it is there. */
export function focusField(source: Source): void {
  const until = performance.now() + PATIENCE;
  const look = () => {
    const found = document.querySelector<HTMLElement>(`[data-field-of="${CSS.escape(sourceKey(source))}"]`);
    const field = found?.matches(FOCUSABLE) ? found : found?.querySelector<HTMLElement>(FOCUSABLE);
    if (!field) {
      if (performance.now() < until) requestAnimationFrame(look);
      return;
    }
    for (let fold = field.closest('details'); fold; fold = fold.parentElement?.closest('details') ?? null) fold.open = true;
    void field.scrollIntoView?.({ block: 'center' });
    field.focus();
    if (field instanceof HTMLInputElement) field.select();
  };
  look();
}
