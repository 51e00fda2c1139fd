import { toMm, mm } from '../core/length/index.js';
import { boxOf, type Member } from '../core/piece/index.js';
import { solved } from './solved.js';

const s = solved('exposure-unit');
const member = (id: string) => s.shape.members.find((m) => m.id === id) as Member;
const fact = (space: string, name: string) => toMm(s.shape.facts.get(space)?.find((f) => f.name === name)?.figure?.value ?? mm(0));

test('an exposure unit: the lamp box wants 552 inside, the packs 510, overall 588; all cross panels are 552', () => {
  expect([fact('lamp', 'needed across'), fact('power', 'needed across')]).toEqual([552, 510]);
  expect(toMm(s.shape.overall.width.value)).toBe(588);
  expect(['case/top/1', 'case/bottom/1', 'lamp-panel/shelf/1'].map((id) => toMm(member(id).length.value))).toEqual([552, 552, 552]);
});

test('its controls take 34 under their panel, and the back stops 80 over the bottom', () => {
  expect(fact('lamp', 'clear under what it stands on')).toBe(34);
  expect(toMm(boxOf(member('case/back/1')).y0) - toMm(boxOf(member('case/bottom/1')).y1)).toBe(80);
  expect(s.checks.filter((c) => c.severity === 'stop')).toEqual([]);
});
