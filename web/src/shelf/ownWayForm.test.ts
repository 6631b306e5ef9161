import { basePhases, checkOwnWay, METHODS, ownWay, type OwnPhase } from '@pace-bend/core/method';
import { arranged, moved, phasesOf, rowsOf, typedNumbers, valuesOf, wayFields, wayForm, withAdded, wrongIn } from './ownWayForm.ts';

const LIGHT = METHODS.find((method) => method.id === 'cr-light')!;
const HOLD = METHODS.find((method) => method.id === 'static-hold')!;
const PHASES: readonly OwnPhase[] = [
  { of: 3, text: 'Stay a while' },
  { of: 0 },
  { of: 1 },
  { adds: 'rest', seconds: 8, detail: 'a sip of water' },
  { of: 2 },
];

test('every way of working goes through the form and comes out as itself, its round left to the one it is made from', () => {
  for (const method of METHODS) {
    const form = wayForm(method, method, undefined, `${method.name}, ours`);
    expect([method.id, wrongIn(form, method, [])]).toEqual([method.id, {}]);
    const fields = wayFields(form, method);
    expect(fields.phases).toBeUndefined();
    expect(checkOwnWay(fields)).toEqual([]);
    expect(ownWay('x', fields)).toMatchObject({
      numbers: method.numbers,
      choices: method.choices,
      lists: method.lists,
      round: method.round,
    });
  }
});

test('a round of its own goes through the form and comes back as it was', () => {
  expect(phasesOf(rowsOf(PHASES))).toEqual(PHASES);
  const form = wayForm(LIGHT, LIGHT, PHASES, 'Ours');
  expect(wayFields(form, LIGHT).phases).toEqual(PHASES);
  const made = ownWay('x', wayFields(form, LIGHT));
  expect(wayFields(wayForm(made, LIGHT, PHASES, 'Ours'), LIGHT)).toEqual(wayFields(form, LIGHT));
});

test('a row keeps its key wherever it goes; a new one has its own, with the usual seconds', () => {
  const rows = rowsOf(basePhases(LIGHT));
  expect(moved(rows, 0, 3).map((row) => row.key)).toEqual([1, 2, 3, 0]);
  expect(moved(rows, 3, 0).map((row) => row.key)).toEqual([3, 0, 1, 2]);
  expect(moved(rows, 1, 1)).toEqual(rows);
  const more = withAdded(withAdded(rows.slice(0, 2), 'hold'), 'rest');
  expect(more.map((row) => row.key)).toEqual([0, 1, 2, 3]);
  expect(more.slice(2).map((row) => row.seconds)).toEqual([10, 5]);
  expect(withAdded([], 'rest')[0]!.key).toBe(0);
});

test('numbers a new phase asks for are offered with their usual values, kept when typed, and left out once nothing asks', () => {
  const form = wayForm(
    HOLD,
    HOLD,
    [...basePhases(HOLD).slice(0, 3), { adds: 'contract', seconds: 6 }, { adds: 'relax', seconds: 3 }, ...basePhases(HOLD).slice(3)],
    'Ours',
  );
  const effort = typedNumbers(arranged(form, HOLD)).find((spec) => spec.id === 'effort')!;
  expect(valuesOf(form, effort)).toEqual([20]);
  form.numbers.effort = [35];
  expect(wayFields(form, HOLD).numbers.effort).toEqual([35]);
  // Seconds of added phases are said once, beside the phase.
  expect(Object.keys(wayFields(form, HOLD).numbers)).not.toEqual(expect.arrayContaining(['own4']));
  expect(checkOwnWay(wayFields(form, HOLD))).toEqual([]);
  const without = { ...form, phases: form.phases.filter((row) => row.adds === undefined) };
  expect(wayFields(without, HOLD).numbers).not.toHaveProperty('effort');
  expect(wayFields(without, HOLD).phases).toBeUndefined();
});

test('what is wrong is told at its phase by its key, so that it stays there when the phase is moved', () => {
  const form = wayForm(LIGHT, LIGHT, [{ of: 0 }, { of: 2 }, { of: 1 }], 'Ours');
  expect(Object.keys(wrongIn(form, LIGHT, []))).toEqual(['phase.0']);
  expect(Object.keys(wrongIn({ ...form, phases: moved(form.phases, 1, 0) }, LIGHT, []))).toEqual([]);
  const unread = {
    ...form,
    phases: withAdded(rowsOf(basePhases(LIGHT)), 'rest').map((row) => (row.adds ? { ...row, seconds: NaN } : row)),
  };
  expect(wrongIn(unread, LIGHT, [])).toEqual({ 'phase.4': expect.stringContaining('1 to 60 s') });
  expect(arranged(unread, LIGHT).numbers.find((spec) => spec.id === 'own5')!.default).toEqual([5]);
  expect(wrongIn({ ...form, phases: [] }, LIGHT, [])).toHaveProperty('phases');
});

test('a name is needed and is not taken, rounds are whole, numbers inside their bounds', () => {
  const form = wayForm(LIGHT, LIGHT, undefined, ' ');
  expect(wrongIn(form, LIGHT, [])).toEqual({ name: 'It needs a name.' });
  form.name = ' OURS ';
  expect(wrongIn(form, LIGHT, ['Ours'])).toEqual({ name: 'A way of working is called that already.' });
  expect(wrongIn({ ...form, rounds: 1.5, numbers: { ...form.numbers, contract: [99] } }, LIGHT, [])).toEqual({
    rounds: 'Rounds are whole, 1 to 12.',
    contract: 'Contract is 2 to 20 s.',
  });
});
