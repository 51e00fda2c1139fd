import { getAwayWith, loadPatterns, wouldBe } from '../core/carry/index.js';
import { workshopOf } from '../core/formats/index.js';
import { solve } from '../core/solution/index.js';
import { PRINT_SHED } from './print-shed.js';

/** Members over so many supports that most ways to load them are left out where they are only halved towards a limit. */
const members = Object.entries(PRINT_SHED.pieces).flatMap(([id, { piece, letters }]) => {
  const { carried, workshop } = solve(piece, workshopOf(PRINT_SHED), letters);
  return [...carried.members].flatMap(([member, verdict]) => {
    const { bending } = verdict;
    const isMany = bending && bending.beside !== 'both' && loadPatterns(bending.loads).length >= 24;
    return isMany ? [{ name: `${id} ${member}`, bending, settings: workshop.settings }] : [];
  });
});

test('there are such members in the shed', () => {
  expect(members.length).toBeGreaterThan(0);
});

test('what a member over many supports may be at most holds under every way to load it, and a hundredth more does not', () => {
  for (const { name, bending, settings } of members) {
    const passes = (times: object) => {
      const { mm, allowed, used } = wouldBe(bending, settings, times);
      return mm <= allowed && (used === null || used <= 1);
    };
    const most = getAwayWith(bending, settings);
    if (most.load !== null && most.load < 999)
      expect([name, passes({ load: most.load }), passes({ load: most.load * 1.01 })]).toEqual([name, true, false]);
    if (most.thickness !== null) {
      const thin = most.thickness / bending.section.thickness;
      expect([name, passes({ thickness: thin })]).toEqual([name, true]);
      if (thin > 1 / 19) expect([name, passes({ thickness: thin * 0.99 })]).toEqual([name, false]);
    }
    if (most.span !== null && most.span !== Infinity) {
      const times = most.span / bending.span;
      expect([name, passes({ span: times }), passes({ span: times * 1.01 })]).toEqual([name, true, false]);
    }
  }
});
