import { useEffect, useMemo, useState } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import {
  cheaperSizes,
  presentSize,
  shelvedIn,
  sizeEdit,
  sizeLabel,
  type Measure,
  type Reach,
  type SizeTried,
} from '../../../core/layout/sizes.js';
import { writeMoney } from '../../../core/figure/index.js';
import { formatLength, toInches, toMm, type Length, type Precision } from '../../../core/length/index.js';
import { useBench } from '../../bench/bench.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Fold } from '../../shared/fold.js';
import { Button, Faint, Fault, Row, Select, Table } from '../../shared/ui.js';
import { ink, lineFaint, red } from '../../theme/tokens.js';
import type { SizesAsked, SizesSaid } from './sizes.worker.js';
import { useCutting } from './use-cutting.js';
import { Laid } from '../../shared/laid.js';

const REACHES: readonly { readonly id: Reach; readonly label: string }[] = [
  { id: 'depth', label: 'Depth' },
  { id: 'width', label: 'Width' },
  { id: 'height', label: 'Height' },
];

/** Sizes tried one after the other in a worker, until they are all tried or it is stopped. */
function useSizes(asked: SizesAsked) {
  const [said, setSaid] = useState<{ readonly for: SizesAsked; readonly said: SizesSaid } | null>(null);
  const [ended, setEnded] = useState<{ readonly for: SizesAsked; readonly how: 'stopped' | 'failed' } | null>(null);
  const isEnded = ended?.for === asked;
  useEffect(() => {
    if (isEnded) return;
    const worker = new Worker(new URL('./sizes.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<SizesSaid>) => setSaid({ for: asked, said: data });
    worker.onerror = () => setEnded({ for: asked, how: 'failed' });
    worker.postMessage(asked);
    return () => worker.terminate();
  }, [asked, isEnded]);
  const now = said?.for === asked ? said.said : null;
  return {
    tried: now?.tried ?? [],
    done: now?.done ?? false,
    ended: isEnded ? ended.how : null,
    stop: () => setEnded({ for: asked, how: 'stopped' }),
  };
}

/** Less than this is no difference to speak of. */
const SAME = 0.005;

/** What a size is like beside the present one: the room in it, how far its shelves sag, how its front looks. */
function likenessText(t: SizeTried, now: SizeTried): readonly string[] {
  const percent = (part: number) => `${Math.round(part * 100)} %`;
  const room = now.room > 0 ? t.room / now.room - 1 : 0;
  const front = (f: number) => (f >= 1 ? `1 to ${f.toFixed(2)}` : `${(1 / f).toFixed(2)} to 1`);
  return [
    ...(Math.abs(room) > SAME ? [`${percent(Math.abs(room))} ${room < 0 ? 'less' : 'more'} room`] : []),
    ...(Math.abs(t.sag - now.sag) > SAME ? [`the worst shelf sags to ${percent(t.sag)} of what is allowed, now ${percent(now.sag)}`] : []),
    ...(Math.abs(t.front / now.front - 1) > SAME ? [`a front of ${front(t.front)}, now ${front(now.front)}`] : []),
  ];
}

const shelves = (n: number) => `${n} ${n === 1 ? 'shelf' : 'shelves'}`;

/** How a size differs from the present one. */
function byText(t: SizeTried, now: SizeTried, measure: Measure, precision: Precision): string {
  const by = t.size - now.size;
  const much = typeof measure === 'string' ? `${formatLength(Math.abs(by) as Length, precision)} ${precision.unit}` : shelves(Math.abs(by));
  return `${much} ${by < 0 ? 'less' : 'more'}${typeof measure === 'string' ? ' of it' : ''}`;
}

/** What a size gains and loses beside the present one. */
function sizeText(t: SizeTried, now: SizeTried, measure: Measure, precision: Precision): string {
  const fewer = now.opened - t.opened;
  return [
    ...(now.money > t.money ? [`saves ${writeMoney(now.money - t.money, precision)}`] : []),
    ...(fewer > 0 ? [`opens ${fewer} fewer`] : fewer < 0 ? [`opens ${-fewer} more`] : []),
    byText(t, now, measure, precision),
    t.looks > now.looks
      ? `${t.looks - now.looks} more to look at`
      : t.looks < now.looks
        ? `${now.looks - t.looks} fewer to look at`
        : 'checks as now',
    ...likenessText(t, now),
  ].join(', ');
}

/** Money and sheets against one size of the piece, with the nearest sizes that cost less. */
export default function Sizes() {
  const { piece, pieceId, settled, commit } = useBench();
  const { bench, workshopOf } = useProject();
  const { cutting } = useCutting();
  const precision = usePrecision();
  const [what, setWhat] = useState<string>('depth');
  const shelved = useMemo(() => shelvedIn(settled.piece), [settled]);
  const choices = [
    ...REACHES,
    ...shelved.map(({ space }) => {
      const label = settled.shape.spaces.get(space.id)?.label ?? 'inside';
      return { id: `shelves ${space.id}`, label: shelved.length === 1 ? 'Number of shelves' : `Number of shelves, ${label}` };
    }),
  ];
  const inSpace = shelved.find(({ space }) => what === `shelves ${space.id}`)?.space.id;
  const reach = REACHES.find((r) => r.id === what)?.id ?? 'depth';
  const measure = useMemo<Measure>(() => (inSpace === undefined ? reach : { shelves: inSpace }), [inSpace, reach]);
  const told = inSpace === undefined ? reach : 'number of shelves';
  const asked = useMemo<SizesAsked>(
    () => ({
      about: pieceId,
      measure,
      cutting,
      pieces: bench.records.pieces
        .filter((p) => cutting.pieces.includes(p.id))
        .map((p) => ({ id: p.id, piece: p.data.piece, letters: p.data.letters, workshop: workshopOf(p.id) })),
    }),
    [bench, workshopOf, cutting, pieceId, measure],
  );
  const { tried, done, ended, stop } = useSizes(asked);
  const present = presentSize(settled, measure) ?? 0;
  const now = tried.find((t) => t.size === present);
  const cheaper = done && now ? cheaperSizes(tried, present) : [];
  const inUnit = precision.unit === 'mm' ? toMm : toInches;
  const at = (size: number) => (inSpace === undefined ? inUnit(size as Length) : size);
  const places = inSpace === undefined && precision.unit === 'in' ? 1 : 0;
  const write = (size: number) => (inSpace === undefined ? `${formatLength(size as Length, precision)} ${precision.unit}` : shelves(size));
  const fits = tried.filter((t) => t.stops <= (now?.stops ?? Infinity) && t.missing <= (now?.missing ?? Infinity));
  const rows = tried.map((t) => ({
    size: at(t.size),
    money: fits.includes(t) ? t.money : null,
    opened: fits.includes(t) ? t.opened : null,
  }));
  const line = { type: 'stepAfter' as const, dot: false, isAnimationActive: false, strokeWidth: 2, connectNulls: false };
  return (
    <section aria-label="Sizes that waste less">
      <Row $spread $below={8} $align="end">
        <h2>Sizes that waste less</h2>
        <Laid.div $least={150}>
          <Select label="What may change" value={inSpace === undefined ? reach : what} choices={choices} onChange={setWhat} />
        </Laid.div>
      </Row>
      {done || ended ? null : (
        <Row>
          <Faint role="status">Trying sizes: {tried.length} so far.</Faint>
          <Button onPress={stop}>Stop</Button>
        </Row>
      )}
      {ended === 'failed' ? <Fault role="alert">The sizes could not be tried. Take the page anew; nothing is lost.</Fault> : null}
      {tried.length > 1 ? (
        <figure aria-label={`Money and sheets against the ${told}`}>
          <Laid.figcaption $weight={650} $size={13} $pad="4px 0">
            Wood to buy (solid, left) and sheets and boards opened (dashed, right) against the {told}
            {inSpace === undefined ? `, ${precision.unit}` : ''}; the upright line is the size as it is. Sizes with more checks that stop
            the build are left out.
          </Laid.figcaption>
          <Laid.div $high={260} aria-hidden>
            <ResponsiveContainer width="100%" height="100%">
              <LineChart accessibilityLayer={false} data={rows} margin={{ top: 8, right: 8, bottom: 0, left: 0 }}>
                <CartesianGrid stroke={lineFaint} />
                <XAxis
                  dataKey="size"
                  type="number"
                  domain={['dataMin', 'dataMax']}
                  fontSize={12}
                  allowDecimals={inSpace === undefined}
                  tickFormatter={(v: number) => v.toFixed(places)}
                />
                <YAxis yAxisId="money" fontSize={12} width={52} domain={[0, 'auto']} />
                <YAxis yAxisId="opened" orientation="right" fontSize={12} width={36} allowDecimals={false} domain={[0, 'auto']} />
                <Tooltip
                  labelFormatter={(v) =>
                    inSpace === undefined ? `${reach} ${Number(v).toFixed(1)} ${precision.unit}` : shelves(Number(v))
                  }
                />
                <ReferenceLine yAxisId="money" x={at(present)} stroke={red} strokeWidth={1.5} />
                <Line {...line} yAxisId="money" dataKey="money" name="to buy" stroke={ink} />
                <Line {...line} yAxisId="opened" dataKey="opened" name="opened" stroke={ink} strokeDasharray="5 4" />
              </LineChart>
            </ResponsiveContainer>
          </Laid.div>
        </figure>
      ) : null}
      {done && now && cheaper.length === 0 ? <p>No size near this one costs less and passes as many checks.</p> : null}
      {now && cheaper.length > 0 ? (
        <Laid.ul $display="grid" $gap={8} $above={8}>
          {cheaper.map((t) => (
            <li key={t.size}>
              <Row>
                <Button onPress={() => commit(sizeEdit(piece, measure, t.size), sizeLabel(measure, t.size, precision.unit))}>
                  Make it {write(t.size)}
                </Button>
                <span>{sizeText(t, now, measure, precision)}</span>
              </Row>
            </li>
          ))}
        </Laid.ul>
      ) : null}
      {tried.length > 1 ? (
        <Laid.div $above={10}>
          <Fold summary="The same as a table">
            {() => (
              <Table aria-label={`What each ${told} comes to`}>
                <thead>
                  <tr>
                    <th className="figure">{inSpace === undefined ? 'Size' : 'Shelves'}</th>
                    <th className="figure">To buy</th>
                    <th className="figure">Money</th>
                    <th className="figure">Opened</th>
                    <th className="figure">Stop the build</th>
                  </tr>
                </thead>
                <tbody>
                  {tried.map((t) => (
                    <tr key={t.size} aria-selected={t.size === present}>
                      <td className="figure">{inSpace === undefined ? formatLength(t.size as Length, precision) : t.size}</td>
                      <td className="figure">{t.bought}</td>
                      <td className="figure">{writeMoney(t.money, precision)}</td>
                      <td className="figure">{t.opened}</td>
                      <td className="figure">{t.stops}</td>
                    </tr>
                  ))}
                </tbody>
              </Table>
            )}
          </Fold>
        </Laid.div>
      ) : null}
    </section>
  );
}
