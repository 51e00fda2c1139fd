import { STATIONS, stationAhead } from './index.js';

test('all that a station shows is fetched ahead, and nothing where there is no such station', () => {
  const begun: string[] = [];
  for (const station of STATIONS)
    for (const part of ['Sheet', 'Stage', 'Answers'] as const)
      jest.spyOn(station[part], 'ahead').mockImplementation(() => void begun.push(`${station.id} ${part}`));
  stationAhead('carry');
  expect(begun).toEqual(['carry Sheet', 'carry Stage', 'carry Answers']);
  stationAhead('nowhere');
  stationAhead(undefined);
  expect(begun).toHaveLength(3);
});
