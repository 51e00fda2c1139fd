import { mm, inch, toMm } from '../../core/length/index.js';
import { solve, tapeThrough } from '../../core/solution/index.js';
import { divided, piece, space, workshop } from '../../core/testing/samples.js';
import {
  TAPE_START,
  keyAction,
  tapeStep,
  type TapeAction,
  type TapeContext,
  type TapeEffect,
  type TapeState,
  type Way,
} from './tape-state.js';

// 20 bottom, 640 gap, 20 shelf, 640 gap, 20 shelf, 640 gap, 20 top.
const solution = solve(piece(divided('in', 'up', 3)), workshop(), {});

const context: TapeContext = {
  axis: 'up',
  lines: tapeThrough(solution, 'in-1', 'up').lines,
  precision: { unit: 'mm', step: mm(0.5) },
  freshIds: () => ({ member: 'new', first: 'near', beyond: 'far' }),
};

/** Does things to a tape one after another. */
function play(actions: readonly TapeAction[], start: TapeState = TAPE_START, on = context) {
  const effects: TapeEffect[] = [];
  const state = actions.reduce((now, action) => {
    const step = tapeStep(now, action, on);
    effects.push(...step.effects);
    return step.state;
  }, start);
  return { state, effects, commits: effects.filter((e) => e.kind === 'commit'), drafts: effects.filter((e) => e.kind === 'draft') };
}

const atGap: TapeState = { focus: 1, mode: { kind: 'walk' } };
const atShelf: TapeState = { focus: 2, mode: { kind: 'walk' } };
const type = (text: string): TapeAction => ({ kind: 'change', text });
const enter: TapeAction = { kind: 'enter' };

describe('walking', () => {
  test('arrows go from line to line and stop at the ends, selecting as they go', () => {
    const { state, effects } = play([
      { kind: 'step', by: 1 },
      { kind: 'step', by: 1 },
      { kind: 'step', by: -1 },
    ]);
    expect(state.focus).toBe(1);
    expect(effects).toEqual([
      { kind: 'select', id: 'in-1' },
      { kind: 'select', id: 'in-m1/shelf/1' },
      { kind: 'select', id: 'in-1' },
    ]);
    expect(play([{ kind: 'step', by: -1 }]).state.focus).toBe(0);
    expect(
      play([
        { kind: 'edge', end: 'last' },
        { kind: 'step', by: 1 },
      ]).state.focus,
    ).toBe(6);
  });

  test('a click takes the line and selects it', () => {
    expect(play([{ kind: 'focus', index: 3 }])).toMatchObject({ state: { focus: 3 }, effects: [{ kind: 'select', id: 'in-2' }] });
  });
});

describe('typing', () => {
  test('Enter opens the field with the size there is; typed text is tried at every key and committed by Enter', () => {
    const { state, drafts, commits } = play([enter, type('4'), type('40'), type('400'), enter], atGap);
    expect(state.mode.kind).toBe('walk');
    expect(
      drafts.map((d) => d.kind === 'draft' && d.edit && d.edit.kind === 'rule' && d.edit.rule.kind === 'fixed' && toMm(d.edit.rule.size)),
    ).toEqual([4, 40, 400]);
    expect(commits).toEqual([
      { kind: 'commit', label: 'Sized space 1', edit: { kind: 'rule', space: 'in-1', rule: { kind: 'fixed', size: mm(400) } } },
    ]);
  });

  test('a digit begins typing at once', () => {
    expect(play([{ kind: 'type', text: '3' }], atGap).state.mode).toMatchObject({ kind: 'type', text: '3', from: '640', echo: '3 mm' });
  });

  test('sums and other units are read as builders write them', () => {
    const { commits } = play([enter, type('2ft - 9.6'), enter], atGap);
    expect(commits[0]).toMatchObject({ edit: { rule: { size: mm(600) } } });
  });

  test('what cannot be read is said, and Enter does not commit it', () => {
    const { state, commits } = play([enter, type('tall'), enter], atGap);
    expect(state.mode).toMatchObject({ kind: 'type', text: 'tall', problem: expect.stringContaining('was not understood') as string });
    expect(commits).toEqual([]);
  });

  test('Escape leaves everything as it was', () => {
    const { state, commits, drafts } = play([enter, type('400'), { kind: 'escape' }], atGap);
    expect([state.mode.kind, commits.length, drafts.at(-1)]).toEqual(['walk', 0, { kind: 'draft', edit: null }]);
  });

  test('leaving the field keeps a good size and drops a bad one', () => {
    expect(play([enter, type('400'), { kind: 'leave' }], atGap).commits).toHaveLength(1);
    const bad = play([enter, type('tall'), { kind: 'leave' }], atGap);
    expect([bad.commits.length, bad.state.mode.kind, bad.drafts.at(-1)]).toEqual([0, 'walk', { kind: 'draft', edit: null }]);
  });

  test('an untouched field commits nothing', () => {
    expect(play([enter, enter], atGap).commits).toEqual([]);
  });

  test('the size is committed even while the draft shows it already', () => {
    const opened = play([enter, type('400')], atGap).state;
    expect(
      play([enter], opened, {
        ...context,
        lines: context.lines.map((l) => (l.id === 'in-1' ? { ...l, size: l.size.setTo(mm(400), 'typed') } : l)),
      }).commits,
    ).toHaveLength(1);
  });

  test('on a shelf the place of its underside is typed', () => {
    expect(play([enter], atShelf).state.mode).toMatchObject({ text: '660' });
    expect(play([enter, type('700'), enter], atShelf).commits[0]).toMatchObject({
      label: 'Moved shelf 1',
      edit: { kind: 'pin', member: 'in-m1', at: mm(700) },
    });
  });

  test('wood of the case itself cannot be typed on', () => {
    expect(play([enter]).state.mode.kind).toBe('walk');
  });

  test('in inches a bare number is inches', () => {
    const imperial = { ...context, precision: { unit: 'in' as const, step: inch(1 / 32) } };
    expect(play([enter, type('12 3/8'), enter], atGap, imperial).commits[0]).toMatchObject({ edit: { rule: { size: inch(12.375) } } });
  });
});

describe('moving', () => {
  test('nudges add up by the step and are committed by Enter', () => {
    const { commits } = play([{ kind: 'nudge', steps: 1 }, { kind: 'nudge', steps: 10 }, { kind: 'nudge', steps: -1 }, enter], atShelf);
    expect(commits).toEqual([{ kind: 'commit', label: 'Moved shelf 1', edit: { kind: 'pin', member: 'in-m1', at: mm(665) } }]);
  });

  test('walking on commits the move; Escape takes it back', () => {
    expect(
      play(
        [
          { kind: 'nudge', steps: 2 },
          { kind: 'step', by: 1 },
        ],
        atShelf,
      ).commits,
    ).toHaveLength(1);
    expect(play([{ kind: 'nudge', steps: 2 }, { kind: 'escape' }], atShelf).commits).toHaveLength(0);
  });

  test('a drag snaps to the step, shows itself, and is committed once when dropped', () => {
    const { commits, drafts } = play([
      { kind: 'drag', index: 2, at: mm(700.3) },
      { kind: 'drag', index: 2, at: mm(750.2) },
      { kind: 'drop' },
    ]);
    expect(drafts).toHaveLength(2);
    expect(commits).toEqual([{ kind: 'commit', label: 'Moved shelf 1', edit: { kind: 'pin', member: 'in-m1', at: mm(750) } }]);
  });

  test('gaps and the wood of the case do not move', () => {
    expect(play([{ kind: 'nudge', steps: 1 }], atGap).effects).toEqual([]);
    expect(play([{ kind: 'drag', index: 0, at: mm(50) }]).effects).toEqual([]);
    expect(play([{ kind: 'drag', index: 99, at: mm(50) }]).effects).toEqual([]);
    expect(play([{ kind: 'drag', index: 2, at: mm(-5) }]).effects).toEqual([]);
  });
});

describe('members and rules', () => {
  test('a member is added after the gap, or after the gap before a shelf', () => {
    const edit = { kind: 'add', space: 'in-1', member: 'new', beyond: 'far' };
    expect(play([{ kind: 'add' }], atGap).commits[0]).toMatchObject({ edit });
    expect(play([{ kind: 'add' }], atShelf).commits[0]).toMatchObject({ edit });
    expect(play([{ kind: 'add' }]).commits).toEqual([]);
  });

  test('an open inside is divided by its first member', () => {
    const open = solve(piece(space('in')), workshop(), {});
    const lines = tapeThrough(open, 'in', 'up').lines;
    expect(play([{ kind: 'add' }], atGap, { ...context, lines }).commits[0]).toMatchObject({
      edit: { kind: 'split', space: 'in', axis: 'up', members: ['new'], spaces: ['near', 'far'] },
    });
    expect(play([{ kind: 'add' }], atGap, { ...context, lines, axis: 'deep' }).commits).toEqual([]);
  });

  test('what is selected after Delete is the space before the shelf', () => {
    expect(play([{ kind: 'remove' }], atShelf).effects.at(-1)).toEqual({ kind: 'select', id: 'in-1' });
  });

  test('Delete takes a shelf out and stays on the tape; a gap is not taken out', () => {
    expect(play([{ kind: 'remove' }], atShelf)).toMatchObject({
      state: { focus: 1 },
      commits: [{ edit: { kind: 'drop', member: 'in-m1' } }],
    });
    expect(play([{ kind: 'remove' }], atGap).commits).toEqual([]);
  });

  test('rules are asked for on a gap only', () => {
    expect(play([{ kind: 'rules' }], atGap).effects).toMatchObject([{ kind: 'rules', line: { id: 'in-1' } }]);
    expect(play([{ kind: 'rules' }], atShelf).effects).toEqual([]);
  });
});

test.each<[string, Way, boolean, boolean, TapeAction | null]>([
  ['ArrowUp', 'up', false, false, { kind: 'step', by: 1 }],
  ['ArrowDown', 'up', false, false, { kind: 'step', by: -1 }],
  ['ArrowRight', 'across', false, false, { kind: 'step', by: 1 }],
  ['ArrowUp', 'across', false, false, null],
  ['ArrowUp', 'up', true, false, { kind: 'nudge', steps: 1 }],
  ['ArrowLeft', 'across', true, true, { kind: 'nudge', steps: -10 }],
  ['ArrowDown', 'down', false, false, { kind: 'step', by: 1 }],
  ['ArrowUp', 'down', true, false, { kind: 'nudge', steps: -1 }],
  ['Home', 'up', false, false, { kind: 'edge', end: 'first' }],
  ['Enter', 'up', false, false, { kind: 'enter' }],
  ['Delete', 'up', false, false, { kind: 'remove' }],
  ['+', 'up', true, false, { kind: 'add' }],
  ['R', 'up', true, false, { kind: 'rules' }],
  ['7', 'up', false, false, { kind: 'type', text: '7' }],
  ['Tab', 'up', false, false, null],
])('key %s (tape %s, shift %s, ctrl %s)', (key, way, shift, fast, action) => {
  expect(keyAction(key, way, shift, fast)).toEqual(action);
});

test('a part that stands by itself, such as a drawer, is taken out like a shelf; an open gap is not', () => {
  const drawer = { ...context, lines: context.lines.map((l, i) => (i === 1 ? ({ ...l, part: true } as const) : l)) };
  expect(play([{ kind: 'remove' }], atGap, drawer).commits).toEqual([
    { kind: 'commit', edit: { kind: 'drop-part', space: 'in-1' }, label: expect.stringContaining('Took out') },
  ]);
  expect(play([{ kind: 'remove' }], atGap).commits).toEqual([]);
});
