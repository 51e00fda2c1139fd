/** One of some. @throws RangeError where there is none */
export function oneOf<T>(all: readonly T[], random: () => number): T {
  const item = all[Math.floor(random() * all.length)];
  if (item === undefined) throw new RangeError('there is nothing to choose from');
  return item;
}

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** A place in a document: what holds it, and under which name. */
interface Place {
  readonly holder: Json[] | { [key: string]: Json };
  readonly key: string | number;
}

const NUMBERS = [
  0,
  -1,
  1,
  2,
  0.5,
  1e-9,
  -1e-9,
  1e9,
  1e12,
  1e15,
  1e300,
  -1e300,
  2 ** 31,
  2 ** 53,
  5e-324,
  79_999,
  80_000,
  1_440_000,
  8_000_000_000,
  3,
  20,
  1000,
];
const TEXTS = [
  '',
  ' ',
  '__proto__',
  'constructor',
  'toString',
  'hasOwnProperty',
  'Bad Thing',
  'a'.repeat(300),
  '\u0000',
  '\ud800',
  '=1+1',
  '<script>',
  'ply',
  '0',
  'é',
];

function placesIn(document: Json): readonly Place[] {
  const found: Place[] = [];
  const waiting: Json[] = [document];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    if (next === null || typeof next !== 'object') continue;
    const holder = next;
    const keys = Array.isArray(holder) ? holder.map((_, i) => i) : Object.keys(holder);
    for (const key of keys) {
      found.push({ holder, key });
      waiting.push((holder as Record<string, Json>)[key] as Json);
    }
  }
  return found;
}

const at = ({ holder, key }: Place): Json => (holder as Record<string | number, Json>)[key] as Json;

function put({ holder, key }: Place, value: Json): void {
  // Set as a field of its own, whatever it is called.
  Object.defineProperty(holder, key, { value, enumerable: true, configurable: true, writable: true });
}

const copy = (value: Json): Json => JSON.parse(JSON.stringify(value)) as Json;

/** One change of the kinds that hands, programs and strangers make. */
function changeOne(document: Json, random: () => number): void {
  const places = placesIn(document);
  // Numbers more often than anything else: what they make is read, and worked out.
  const numbers = random() < 0.6 ? places.filter((p) => typeof at(p) === 'number') : [];
  const place = oneOf(numbers.length > 0 ? numbers : places, random);
  const value = at(place);
  const like = () => {
    // What stands under the same name elsewhere fits the format and seldom the sense.
    const same = places.filter((p) => p.key === place.key && p !== place);
    return copy(at(oneOf(same.length > 0 ? same : places, random)));
  };
  const kind = random();
  if (numbers.length === 0 && kind < 0.12) {
    if (Array.isArray(place.holder)) place.holder.splice(place.key as number, 1);
    else delete place.holder[place.key as string];
  } else if (kind < 0.2 && !Array.isArray(place.holder)) {
    const name = oneOf(TEXTS, random);
    put({ holder: place.holder, key: name }, value);
  } else if (kind < 0.28 && Array.isArray(value)) {
    if (random() < 0.5) value.length = 0;
    else value.push(...value.map(copy));
  } else if (kind < 0.45) put(place, like());
  else if (typeof value === 'number') {
    const by = random();
    if (by < 0.6) put(place, oneOf(NUMBERS, random));
    else
      put(
        place,
        Number.isInteger(value)
          ? Math.round(value * oneOf([-1, 0.001, 0.1, 0.5, 2, 10, 1000], random))
          : value * oneOf([-1, 1e-6, 1e6], random),
      );
  } else if (typeof value === 'string') put(place, oneOf(TEXTS, random));
  else if (typeof value === 'boolean') put(place, !value);
  else put(place, oneOf<Json>([null, 0, '', [], {}, true], random));
}

/** A document with one to three things in it changed; the same random numbers change the same. */
export function mutated(document: unknown, random: () => number): unknown {
  const changed = copy(document as Json);
  const times = oneOf([1, 1, 1, 2, 3], random);
  for (let i = 0; i < times; i += 1) changeOne(changed, random);
  return changed;
}
