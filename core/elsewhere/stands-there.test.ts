import { standsThere } from './index.js';

const check = (id: string) => ({ id, severity: 'look', state: 'fails', about: { kind: 'piece' }, sentence: [], fixes: [] }) as never;

test('what is found of the place and of the person is picked out, and what neither was named for is told', () => {
  const checks = ['fits-width', 'sag', 'stands-up', 'uses-knees', 'passes-door', 'pins-side', 'people', 'people-of-it'].map(check);
  const there = standsThere({ piece: { opening: 'alcove' }, checks } as never);
  expect(there.checks.map((c) => c.id)).toEqual(['fits-width', 'stands-up', 'uses-knees', 'passes-door', 'people']);
  expect(there.missing).toEqual(['person']);
  expect(standsThere({ piece: { usedBy: { person: 'wren' } }, checks: [] } as never)).toEqual({ checks: [], missing: ['place'] });
});
