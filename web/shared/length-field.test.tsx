import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ZERO, inch, mm, type Length } from '../../core/length/index.js';
import { LengthField, entryText } from './length-field.js';

function setUp(extra: Partial<Parameters<typeof LengthField>[0]> = {}) {
  const onCommit = jest.fn<void, [Length | null]>();
  const onDraft = jest.fn<void, [Length | null]>();
  render(
    <LengthField
      label="Size"
      value={mm(381.35)}
      precision={{ unit: 'mm', step: mm(0.5) }}
      onCommit={onCommit}
      onDraft={onDraft}
      {...extra}
    />,
  );
  return { onCommit, onDraft, field: screen.getByLabelText<HTMLInputElement>(extra.label ?? 'Size'), user: userEvent.setup() };
}

test('a length that is not exact at the precision stands exactly in its field', () => {
  expect(entryText(mm(381.35), { unit: 'mm', step: mm(0.5) })).toBe('381.35');
  expect(entryText(inch(12.375), { unit: 'in', step: inch(1 / 32) })).toBe('12 3/8');
  expect(entryText(null, { unit: 'mm', step: mm(1) })).toBe('');
});

test('typing is tried at every key, echoed, and kept on Enter', async () => {
  const { onCommit, onDraft, field, user } = setUp();
  await user.clear(field);
  await user.type(field, '1in');
  expect(onDraft).toHaveBeenLastCalledWith(inch(1));
  expect(screen.getByText('25.4 mm')).toBeTruthy();
  await user.keyboard('{Enter}');
  expect(onCommit).toHaveBeenCalledWith(inch(1));
});

test('leaving keeps it too, once', async () => {
  const { onCommit, field, user } = setUp();
  await user.clear(field);
  await user.type(field, '400');
  fireEvent.blur(field);
  expect(onCommit.mock.calls).toEqual([[mm(400)]]);
});

test('what cannot be read is refused in place, and the text stays', async () => {
  const { onCommit, field, user } = setUp();
  await user.clear(field);
  await user.type(field, 'tall{Enter}');
  expect(screen.getByRole('alert').textContent).toContain('"tall" was not understood. Accepted: 851');
  expect([onCommit.mock.calls.length, field.value]).toEqual([0, 'tall']);
});

test('Escape brings the old size back', async () => {
  const { onCommit, onDraft, field, user } = setUp();
  await user.clear(field);
  await user.type(field, '400{Escape}');
  expect([onCommit.mock.calls.length, field.value, onDraft.mock.lastCall]).toEqual([0, '381.35', [null]]);
});

test('an untouched field commits nothing, and an optional one may be emptied', async () => {
  const { onCommit, field, user } = setUp({ optional: true });
  await user.click(field);
  fireEvent.blur(field);
  expect(onCommit).not.toHaveBeenCalled();
  await user.clear(field);
  await user.keyboard('{Enter}');
  expect(onCommit).toHaveBeenCalledWith(null);
});

test('a size must be more than 0 unless the place takes 0', async () => {
  const { field, user } = setUp();
  await user.clear(field);
  await user.type(field, '0');
  expect(screen.getByRole('alert').textContent).toContain('more than 0');
  const zero = setUp({ label: 'Slack', least: ZERO });
  const slack = screen.getByLabelText('Slack');
  await zero.user.clear(slack);
  await zero.user.type(slack, '0{Enter}');
  expect(zero.onCommit).toHaveBeenCalledWith(ZERO);
});

test('what is being typed stays when another value comes from elsewhere, and counts when it is left', async () => {
  const onCommit = jest.fn<void, [Length | null]>();
  const field = (value: Length) => (
    <LengthField label="Other" value={value} precision={{ unit: 'mm', step: mm(0.5) }} onCommit={onCommit} />
  );
  const { rerender } = render(field(mm(100)));
  const user = userEvent.setup();
  const box = screen.getByLabelText<HTMLInputElement>('Other');
  await user.clear(box);
  await user.type(box, '1207');
  rerender(field(mm(1206)));
  expect(box.value).toBe('1207');
  await user.tab();
  expect(onCommit).toHaveBeenCalledWith(mm(1207));
  // What nobody types in shows what comes.
  rerender(field(mm(300)));
  expect(box.value).toBe('300');
});
