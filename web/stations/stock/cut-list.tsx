import { Fragment } from 'react';
import styled from 'styled-components';
import { cutsOf, inOrder, type Setting } from '../../../core/cutting/cuts.js';
import { leftOn } from '../../../core/cutting/laid.js';
import { fallsText } from '../../../core/layout/falls.js';
import { beforeCuts } from '../../../core/layout/run-first.js';
import { restsOf } from '../../../core/layout/sums.js';
import { toolFor, type ToolChoice } from '../../../core/layout/tools.js';
import { formatLength, type Length } from '../../../core/length/index.js';
import { usePrecision, useProject } from '../../data/project.js';
import { Button, Faint, Fault, Row, Table, Tick } from '../../shared/ui.js';
import { amber } from '../../theme/tokens.js';
import { booked, cutMade, isDone, spoiled, stockAfter } from './edits.js';
import { sheetName } from './words.js';
import type { ShownSheet, StockToCut } from './use-cutting.js';
import type { Cutting } from '../../../core/layout/spec.js';
import { useFocusKept } from '../../shared/use-focus-kept.js';
import { Laid } from '../../shared/laid.js';

const Caution = styled.span`
  color: ${amber};
  font-size: 12px;
  font-weight: 600;
`;

const TOOL: Readonly<Record<ToolChoice, string>> = {
  'table saw': 'table saw',
  'mitre saw': 'mitre saw',
  guide: 'hand saw along a guide',
  shop: 'the shop cuts it',
  none: 'no saw here makes this cut',
  unknown: '',
};

interface CutListProps {
  readonly stock: StockToCut;
  readonly sheets: readonly ShownSheet[];
  readonly marks: ReadonlyMap<string, string>;
  readonly cutting: Cutting;
  readonly change: (next: Partial<Cutting>, label: string) => void;
}

/** One setting of the fence or the stop, with the cuts that are made with it. */
function SettingRows({
  setting,
  nth,
  from,
  numbers,
  done,
  names,
  withSaws,
  before,
  props,
}: {
  setting: Setting;
  nth: number;
  from: number;
  numbers: ReadonlyMap<string, number>;
  done: ReadonlySet<string>;
  names: ReadonlyMap<string, string>;
  withSaws: boolean;
  before: ReadonlyMap<string, string>;
  props: CutListProps;
}) {
  const precision = usePrecision();
  const { bench } = useProject();
  const { stock, marks, cutting, change } = props;
  const write = (l: Length) => formatLength(l, precision);
  return (
    <tbody>
      <tr>
        <th colSpan={6} scope="rowgroup">
          Setting {nth}: {setting.way === 'rip' ? 'rip, fence at' : 'crosscut, stop at'} {write(setting.at)} {precision.unit}
          {setting.cuts.length > 1 ? `, ${setting.cuts.length} cuts` : ''}
        </th>
      </tr>
      {setting.cuts.map((cut, i) => {
        const tool = toolFor(cut, bench.project.settings.tools, stock.stock.form);
        const waits = cut.after !== null && !done.has(cut.after);
        const made = done.has(cut.key);
        const first = before.get(cut.key);
        return (
          <Fragment key={cut.key}>
            {first ? (
              <tr>
                <td />
                <td colSpan={5}>
                  <strong>{first}</strong>
                </td>
              </tr>
            ) : null}
            <tr>
              <td>
                <Tick
                  id={`cut-${cut.key.replaceAll(' ', '-')}`}
                  isSelected={made}
                  isDisabled={waits}
                  onChange={(to) =>
                    change(
                      cutMade(cutting, stock.id, cut.sheet, cut.key, to),
                      `${to ? 'Made' : 'Took back'} cut ${from + i} of ${stock.stock.name}`.slice(0, 150),
                    )
                  }
                  aria-label={`Cut ${from + i} is made`}
                >
                  {`${from + i}`}
                </Tick>
              </td>
              <td>{names.get(`${cut.sheet.sheet} ${cut.sheet.copy}`)}</td>
              <td>{cut.after === null ? 'the whole' : `of cut ${numbers.get(cut.after)}`}</td>
              <td>{fallsText(cut.of.near, marks, write)}</td>
              <td>{fallsText(cut.of.far, marks, write)}</td>
              {withSaws ? (
                <td>
                  {TOOL[tool.by]}
                  {tool.caution ? (
                    <>
                      {TOOL[tool.by] ? <br /> : null}
                      <Caution>{tool.caution}</Caution>
                    </>
                  ) : null}
                </td>
              ) : null}
            </tr>
          </Fragment>
        );
      })}
    </tbody>
  );
}

/** A sheet that was begun: what went wrong on it, and what is done with its rests. */
function BegunSheet({ sheet, name, props }: { sheet: ShownSheet; name: string; props: CutListProps }) {
  const { bench, saver } = useProject();
  const { stock, cutting, change } = props;
  const { begun, laid } = sheet;
  if (!begun || begun.booked || !isDone(begun, laid)) return null;
  const rests = restsOf([laid], bench.project.settings.tools);
  const record = bench.records.stock.find((s) => s.id === stock.id);
  const book = () => {
    if (record) {
      saver.save(
        'stock',
        stock.id,
        stockAfter(record.data, begun, rests),
        `Took ${name} off ${record.data.name}`.slice(0, 150),
        record.data,
      );
    }
    change(booked(cutting, begun), `${name} of ${stock.stock.name} is used up`.slice(0, 150));
  };
  const small = leftOn(laid).length - rests.length;
  return (
    <Row $above={6}>
      <Button onPress={book}>
        Take {name.toLowerCase()} off what is on hand, keep {rests.length} {rests.length === 1 ? 'offcut' : 'offcuts'}
      </Button>
      {small > 0 ? <Faint>{small} smaller left over</Faint> : null}
    </Row>
  );
}

/** The order of the cuts of one stock, by settings, to be ticked off and to print. */
export function CutList(props: CutListProps) {
  const { stock, sheets } = props;
  const precision = usePrecision();
  // A cut may come to another setting when what is left is laid out anew: the focus goes with it.
  const kept = useFocusKept(sheets);
  const open = sheets.filter((s) => !s.begun?.booked);
  const settings = inOrder(cutsOf(open.map((s) => s.laid)));
  const done = new Set(open.flatMap((s) => s.begun?.done ?? []));
  const names = new Map(sheets.map((s, i) => [`${s.laid.sheet} ${s.laid.copy}`, sheetName(stock, s, i).split(',')[0] as string]));
  const numbers = new Map<string, number>();
  for (const { cuts } of settings) for (const cut of cuts) numbers.set(cut.key, numbers.size + 1);
  const { tools } = useProject().bench.project.settings;
  const before = beforeCuts(
    open.map((s) => s.laid),
    stock.blanks,
    props.marks,
    precision,
  );
  const withSaws = settings.some(({ cuts }) =>
    cuts.some((c) => {
      const { by, caution } = toolFor(c, tools, stock.stock.form);
      return by !== 'unknown' || caution !== null;
    }),
  );
  const { trimEnds, trimEdges } = tools ?? {};
  const trims = [
    ...(trimEnds ? [`${formatLength(trimEnds, precision)} off each end`] : []),
    ...(trimEdges && stock.stock.form === 'sheet' ? [`${formatLength(trimEdges, precision)} off each edge`] : []),
  ];
  if (settings.length === 0) return <Faint>Nothing to saw: every part is as large as what it comes from.</Faint>;
  return (
    <>
      <Laid.p $below={8}>
        <Faint>
          Mark the two edges that you measure from on every {stock.stock.form} first, and keep to them.
          {trims.length > 0 ? ` Take ${trims.join(' and ')} first, so that they are true.` : ''} Every figure is what the part between the
          fence or stop and the blade keeps. The first cut that you tick fixes its {stock.stock.form} as it is laid out.
        </Faint>
      </Laid.p>
      <Table {...kept} aria-label={`Order of cuts of ${stock.stock.name}`}>
        <thead>
          <tr>
            <th>Cut</th>
            <th>{stock.stock.form === 'sheet' ? 'Sheet' : 'Board'}</th>
            <th>From</th>
            <th>At the fence or stop</th>
            <th>Beyond the blade</th>
            {withSaws ? <th>Saw</th> : null}
          </tr>
        </thead>
        {settings.map((setting, i) => {
          const [first] = setting.cuts;
          return (
            <SettingRows
              key={`${i} ${setting.way} ${setting.at}`}
              setting={setting}
              nth={i + 1}
              from={first ? (numbers.get(first.key) ?? 1) : 1}
              numbers={numbers}
              done={done}
              names={names}
              withSaws={withSaws}
              before={before}
              props={props}
            />
          );
        })}
      </Table>
      {sheets.map((s, i) => (
        <BegunSheet
          key={`${s.laid.sheet} ${s.laid.copy} ${i}`}
          sheet={s}
          name={names.get(`${s.laid.sheet} ${s.laid.copy}`) ?? ''}
          props={props}
        />
      ))}
    </>
  );
}

/** What a part on a sheet that was begun can become. */
export function WentWrong({
  begun,
  partKey,
  mark,
  props,
}: {
  begun: NonNullable<ShownSheet['begun']>;
  partKey: string;
  mark: string;
  props: CutListProps;
}) {
  const { cutting, change } = props;
  if (begun.spoiled?.includes(partKey)) return <Fault>{mark} went wrong here; it is cut again from something else.</Fault>;
  return (
    <Button onPress={() => change(spoiled(cutting, begun, partKey), `${mark} went wrong, and is cut again`)}>
      It went wrong: cut {mark} again
    </Button>
  );
}
