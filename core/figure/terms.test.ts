import { inch, mm } from '../length/index.js';
import { inTerms, len, say, writeExactly, writeMoney, writeSentence } from './index.js';

const metric = { unit: 'mm', step: mm(0.1) } as const;
const inches = { unit: 'in', step: inch(1 / 32) } as const;

test('a sentence names things by the words of the unit; what was put into it keeps its own', () => {
  const told = say`House ${'Housing rack'} in rebates ${len(mm(6))} deep.`;
  expect(writeSentence(told, metric)).toBe('House Housing rack in rebates 6 mm deep.');
  expect(writeSentence(told, { ...inches, step: inch(1 / 64) })).toMatch(/^Dado Housing rack in rabbets ≈15\/64 in deep\.$/);
  expect(writeExactly(told)).toBe('House Housing rack in rebates 6 mm deep.');
});

test('the other words can be chosen, whatever the unit', () => {
  const told = say`A housing on castors.`;
  expect(writeSentence(told, { ...metric, terms: 'in' })).toBe('A dado on casters.');
  expect(writeSentence(told, { ...inches, terms: 'mm' })).toBe('A housing on castors.');
});

test('whole words alone, large letters kept', () => {
  expect(inTerms('Household housings, rebated; Toe board', 'in')).toBe('Household dados, rabbeted; Toe kick');
  expect(inTerms('Housing', 'mm')).toBe('Housing');
});

test('money by the currency and the marks of the place', () => {
  expect([writeMoney(49, {}), writeMoney(12.5, {}), writeMoney(0.1 + 0.2, {})]).toEqual(['49', '12.50', '0.30']);
  expect(writeMoney(12.5, { currency: 'EUR' })).toBe(new Intl.NumberFormat(undefined, { style: 'currency', currency: 'EUR' }).format(12.5));
  expect(writeMoney(1234, { currency: 'USD' })).not.toMatch(/00$/);
});
