import type { LengthUnit } from '../length/index.js';

/** Whose words a shop uses: those of shops that work in mm, or in inches. */
export type Terms = LengthUnit;

/** Whose words a shop uses: those chosen, or those of its unit. @example termsOf({ unit: 'in' }) // 'in' */
export const termsOf = ({ unit, terms = unit }: { readonly unit: LengthUnit; readonly terms?: Terms | undefined }): Terms => terms;

/** What is called one thing in a shop that works in mm, and another in one that works in inches. */
const IN_INCHES: Readonly<Record<string, string>> = {
  housing: 'dado',
  housings: 'dados',
  house: 'dado',
  houses: 'dadoes',
  housed: 'dadoed',
  rebate: 'rabbet',
  rebates: 'rabbets',
  rebated: 'rabbeted',
  'toe board': 'toe kick',
  'toe boards': 'toe kicks',
  castor: 'caster',
  castors: 'casters',
  aluminium: 'aluminum',
  colour: 'color',
  colours: 'colors',
  grey: 'gray',
  metre: 'meter',
  metres: 'meters',
};

const WORDS = new RegExp(`\\b(${Object.keys(IN_INCHES).join('|')})\\b`, 'iu');
const EVERY = new RegExp(WORDS, 'giu');

/** Whether a text is a word of the trade that shops call otherwise, and nothing more. @example isTerm('housing') // true */
export const isTerm = (text: string): boolean => Object.hasOwn(IN_INCHES, text);

/** A word of the trade in a shop's own terms, its first letter kept large. @example inTerms('Housing', 'in') // 'Dado' */
const termFor = (word: string): string => {
  const term = IN_INCHES[word.toLowerCase()] ?? word;
  return word.charAt(0) === word.charAt(0).toLowerCase() ? term : `${term.charAt(0).toUpperCase()}${term.slice(1)}`;
};

/**
 * A text of the program's own in a shop's terms; never for what was typed.
 * @example inTerms('Housing depth', 'in') // 'Dado depth'
 */
export const inTerms = (text: string, terms: Terms): string => (terms === 'mm' ? text : text.replace(EVERY, termFor));

/** A text taken apart into its terms, at the odd places, and what is between them. @example atTerms('a rebate.') // ['a ', 'rebate', '.'] */
export const atTerms = (text: string): readonly string[] => text.split(new RegExp(WORDS, 'giu'));
