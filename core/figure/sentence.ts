import { asKg, type Kilograms, type Megapascals, type Newtons } from '../measures/index.js';
import { writeMoney } from './money.js';
import { atTerms, isTerm, inTerms } from './terms.js';
import { exactText, formatLength, formatSold, mm, UNITS_PER, type Length, type Precision } from '../length/index.js';

/** A quantity inside a sentence, written only when it is known which units the reader uses. */
export type Quantity =
  | { readonly kind: 'length'; readonly length: Length }
  /** The size of something that is sold, which stays what it is called. */
  | { readonly kind: 'sold'; readonly length: Length }
  /** A deflection in mm, written finer than the shop precision. */
  | { readonly kind: 'fine'; readonly mm: number; readonly digits?: number }
  | { readonly kind: 'mass'; readonly kg: Kilograms }
  | { readonly kind: 'force'; readonly newtons: Newtons }
  | { readonly kind: 'stress'; readonly mpa: Megapascals }
  | { readonly kind: 'money'; readonly amount: number }
  /** A word that shops which work in inches have another for. */
  | { readonly kind: 'term'; readonly word: string }
  /** In m², litres and °C. */
  | { readonly kind: 'area' | 'volume' | 'temperature'; readonly amount: number };

/** One plain sentence with its figures kept as quantities. */
export type Sentence = readonly (string | Quantity)[];

type Slot = string | number | Quantity | Sentence;

/** A length for use in a sentence. @example len(mm(3)) // { kind: 'length', length: mm(3) } */
export const len = (length: Length): Quantity => ({ kind: 'length', length });
/** The size of something that is sold, for use in a sentence. @example sold(mm(5)) // { kind: 'sold', length: mm(5) } */
export const sold = (length: Length): Quantity => ({ kind: 'sold', length });
/** A deflection in mm for use in a sentence. @example fine(0.25, 2) // { kind: 'fine', mm: 0.25, digits: 2 } */
export const fine = (millimetres: number, digits?: number): Quantity => ({
  kind: 'fine',
  mm: millimetres,
  ...(digits === undefined ? {} : { digits }),
});
/** A mass in kg for use in a sentence. @example mass(asKg(2)) // { kind: 'mass', kg: 2 } */
export const mass = (kg: Kilograms): Quantity => ({ kind: 'mass', kg });
/** A force in N for use in a sentence. @example force(asNewtons(40)) // { kind: 'force', newtons: 40 } */
export const force = (newtons: Newtons): Quantity => ({ kind: 'force', newtons });

/** A stress in MPa for use in a sentence. @example stress(asMPa(5.7)) // { kind: 'stress', mpa: 5.7 } */
export const stress = (mpa: Megapascals): Quantity => ({ kind: 'stress', mpa });

/** An area in m² for use in a sentence. @example area(2) // { kind: 'area', amount: 2 } */
export const area = (amount: number): Quantity => ({ kind: 'area', amount });
/** A volume in litres for use in a sentence. @example volume(0.5) // { kind: 'volume', amount: 0.5 } */
export const volume = (amount: number): Quantity => ({ kind: 'volume', amount });
/** An amount of the project's money for use in a sentence. @example money(2) // { kind: 'money', amount: 2 } */
export const money = (amount: number): Quantity => ({ kind: 'money', amount });
/** A temperature in °C for use in a sentence. @example temperature(20) // { kind: 'temperature', amount: 20 } */
export const temperature = (amount: number): Quantity => ({ kind: 'temperature', amount });

function isSentence(slot: Slot): slot is Sentence {
  return Array.isArray(slot);
}

/** What is written in a template, by template: its words of the trade apart from the rest. */
const written = new WeakMap<TemplateStringsArray, readonly Sentence[]>();

function writtenIn(strings: TemplateStringsArray): readonly Sentence[] {
  const known = written.get(strings);
  if (known) return known;
  const apart = strings.map((text) =>
    atTerms(text).flatMap((part, i): Sentence => (part === '' ? [] : [i % 2 === 1 ? { kind: 'term', word: part } : part])),
  );
  written.set(strings, apart);
  return apart;
}

/**
 * Builds a sentence from a template. Words of the trade that are written in it follow the shop's unit; what is put in stays as it is, unless it is one of
 * them and nothing more.
 * @example say`The shelf is ${len(mm(587.1))} long.`
 */
export function say(strings: TemplateStringsArray, ...slots: readonly Slot[]): Sentence {
  const parts: (string | Quantity)[] = [];
  writtenIn(strings).forEach((texts, i) => {
    texts.forEach((text) => parts.push(text));
    const slot = slots[i];
    if (slot === undefined) return;
    if (isSentence(slot)) slot.forEach((part) => parts.push(part));
    else if (typeof slot === 'string' && isTerm(slot)) parts.push({ kind: 'term', word: slot });
    else parts.push(typeof slot === 'number' ? `${slot}` : slot);
  });
  return parts;
}

/** Kilograms to the pound. */
export const KG_PER_POUND = 0.45359237;
/** Pounds on a foot to the kg on a metre. */
export const POUNDS_ON_A_FOOT = 0.3048 / KG_PER_POUND;
const NEWTONS_PER_POUND = 4.4482216152605;

/** Rounds to so many significant digits, without an exponent for the sizes met in a workshop. */
function significant(value: number, digits: number): string {
  return `${Number(value.toPrecision(digits))}`;
}

/**
 * A deflection written for reading: mm to 0.01 (or so many digits), inches to one digit more; a tenth of that from 10 mm on.
 * @example writeFine(16.769, 'mm') // '16.8 mm'
 */
export function writeFine(millimetres: number, unit: Precision['unit'], digits = 2): string {
  if (unit === 'mm') return `${Number(millimetres.toFixed(Math.abs(millimetres) < 10 ? digits : Math.max(0, digits - 1)))} mm`;
  return `${((millimetres * UNITS_PER.mm) / UNITS_PER.in).toFixed(digits + 1)} in`;
}

/** A mass written in kg or lb to three digits. @example writeMass(asKg(2.5), 'mm') // '2.5 kg' */
export function writeMass(kg: Kilograms, unit: Precision['unit']): string {
  return unit === 'mm' ? `${significant(kg, 3)} kg` : `${significant(kg / KG_PER_POUND, 3)} lb`;
}

/** A force written in N or lbf to three digits. @example writeForce(asNewtons(372.8), 'mm') // '373 N' */
export function writeForce(newtons: Newtons, unit: Precision['unit']): string {
  return unit === 'mm' ? `${significant(newtons, 3)} N` : `${significant(newtons / NEWTONS_PER_POUND, 3)} lbf`;
}

/** Standard gravity as builders' tables round it, N/kg. */
export const GRAVITY = 9.81;

/**
 * A force as the weight that pulls as much, which is what a builder knows how to lift.
 * @example writeWeight(asNewtons(98.1), 'mm') // '10 kg'
 */
export function writeWeight(newtons: Newtons, unit: Precision['unit']): string {
  return writeMass(asKg(newtons / GRAVITY), unit);
}

/** Pounds per square inch to the MPa. */
const PSI_PER_MPA = 145.037738;

/** A stress in MPa, or psi for those who work in inches, to three digits. @example writeStress(1, 'in') // '145 psi' */
export function writeStress(mpa: number, unit: Precision['unit']): string {
  return unit === 'mm' ? `${Number(mpa.toFixed(mpa < 3 ? 2 : 1))} MPa` : `${significant(mpa * PSI_PER_MPA, 3)} psi`;
}

/**
 * A modulus of elasticity in GPa, or in millions of psi, as timber is stamped, for those who work in inches.
 * @example writeStiffness(9.5, 'mm') // '9.5 GPa'
 */
export function writeStiffness(gpa: number, unit: Precision['unit']): string {
  return unit === 'mm' ? `${Number(gpa.toFixed(2))} GPa` : `${significant((gpa * PSI_PER_MPA) / 1000, 3)} million psi`;
}

const to = (value: number, digits: number): string => `${Number(value.toFixed(digits))}`;

const SQUARE_FEET_PER_M2 = 10.7639104;
/** US quarts to the litre. */
export const QUARTS_PER_LITRE = 1.05668821;

/** An area in m², or square feet for those who work in inches. @example writeArea(2, 'in') // '21.5 sq ft' */
export function writeArea(m2: number, unit: Precision['unit'], digits = 1): string {
  return unit === 'mm' ? `${to(m2, digits)} m²` : `${to(m2 * SQUARE_FEET_PER_M2, Math.max(1, digits - 1))} sq ft`;
}

/** A volume in litres, or US quarts for those who work in inches. @example writeVolume(0.5, 'in') // '0.53 qt' */
export function writeVolume(litres: number, unit: Precision['unit']): string {
  return unit === 'mm' ? `${to(litres, 2)} l` : `${to(litres * QUARTS_PER_LITRE, 2)} qt`;
}

/** °F of °C. @example inFahrenheit(20) // 68 */
export const inFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
/** °C of °F. @example fromFahrenheit(68) // 20 */
export const fromFahrenheit = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

/** A temperature in °C, or °F for those who work in inches. @example writeTemperature(20, 'in') // '68 °F' */
export function writeTemperature(celsius: number, unit: Precision['unit']): string {
  return unit === 'mm' ? `${significant(celsius, 3)} °C` : `${Math.round(inFahrenheit(celsius))} °F`;
}

/** The size of something that is sold, with its unit. @example writeSold(mm(5), { unit: 'in', step: inch(1 / 32) }) // '5 mm' */
export function writeSold(length: Length, precision: Precision): string {
  const text = formatSold(length, precision);
  return /[a-z]$/.test(text) ? text : `${text} ${precision.unit}`;
}

function writeQuantity(quantity: Quantity, precision: Precision): string {
  switch (quantity.kind) {
    case 'length':
      return `${formatLength(quantity.length, precision)} ${precision.unit}`;
    case 'sold':
      return writeSold(quantity.length, precision);
    case 'fine':
      return writeFine(quantity.mm, precision.unit, quantity.digits);
    case 'mass':
      return writeMass(quantity.kg, precision.unit);
    case 'force':
      return writeWeight(quantity.newtons, precision.unit);
    case 'stress':
      return writeStress(quantity.mpa, precision.unit);
    case 'area':
      return writeArea(quantity.amount, precision.unit);
    case 'volume':
      return writeVolume(quantity.amount, precision.unit);
    case 'temperature':
      return writeTemperature(quantity.amount, precision.unit);
    case 'money':
      return writeMoney(quantity.amount, precision);
    case 'term':
      return inTerms(quantity.word, precision.terms ?? precision.unit);
  }
}

/**
 * Writes a sentence in the reader's units, forces as weights.
 * @example writeSentence(['long: ', { kind: 'length', length: mm(12.54) }], { unit: 'mm', step: mm(0.1) }) // 'long: ≈12.5 mm'
 */
export function writeSentence(sentence: Sentence, precision: Precision): string {
  return sentence.map((part) => (typeof part === 'string' ? part : writeQuantity(part, precision))).join('');
}

/**
 * Writes a sentence with every length exact and forces in N, for files and the terminal.
 * @example writeExactly(['long: ', { kind: 'length', length: mm(12.5) }]) // 'long: 12.5 mm'
 */
export function writeExactly(sentence: Sentence): string {
  return sentence
    .map((part) => {
      if (typeof part === 'string') return part;
      if (part.kind === 'length' || part.kind === 'sold') return `${exactText(part.length, 'mm')} mm`;
      if (part.kind === 'force') return writeForce(part.newtons, 'mm');
      return writeQuantity(part, { unit: 'mm', step: mm(0.1) });
    })
    .join('');
}
