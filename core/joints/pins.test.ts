import { mm, toMm } from '../length/index.js';
import type { Face, Feature, Member } from '../piece/index.js';
import { PIN, pinsApart, pinsThrough } from './index.js';

const pin = (face: Face, u: number, v: number, mate: string, spare = false): Feature => ({
  kind: 'hole',
  face,
  at: { u: mm(u), v: mm(v) },
  diameter: PIN.diameter,
  depth: PIN.depth,
  mate,
  ...(spare ? { spare: true as const } : {}),
});
const member = (features: readonly Feature[]) =>
  ({ features, thickness: { value: mm(18) }, width: { value: mm(300) } }) as unknown as Member;
const places = ({ features }: Member) => features.map((f) => (f.kind === 'hole' ? `${f.mate} ${toMm(f.at.u)} ${toMm(f.at.v)}` : ''));

test('a hole that nothing is in gives way to one that is used, and to one of another row before it', () => {
  const all = [
    pin('up', 100, 37, 'low'),
    pin('up', 132, 37, 'low', true),
    pin('up', 140, 37, 'high'),
    pin('up', 108, 37, 'high', true),
    pin('up', 172, 37, 'high', true),
  ];
  // 132 is 8 from the pin at 140, 108 is 8 from that at 100: less than two diameters of 5.
  expect(places(pinsApart(member(all)))).toEqual(['low 100 37', 'high 140 37', 'high 172 37']);
});

test('where one hole of a row meets one from the other face the whole row goes aside, so that it stays straight', () => {
  const left = [100, 132].map((u) => pin('up', u, 37, 'left', u !== 100));
  const right = [132, 164].map((u) => pin('down', u, 37, 'right', u !== 164));
  const apart = pinsApart(member([...left, ...right]));
  expect(places(apart)).toEqual(['left 100 37', 'left 132 37', 'right 132 47', 'right 164 47']);
  expect(pinsThrough(apart)).toBeNull();
});

test('nothing is changed where nothing meets', () => {
  const as = member([pin('up', 100, 37, 'a'), pin('up', 110, 37, 'b')]);
  expect(pinsApart(as)).toBe(as);
});
