import { begun, changed, doneAgain, MOST_BACK, takenBack } from './history';

describe('a history', () => {
  it('takes back what was typed in one field at once, and what was done apart apart', () => {
    const typed = ['a', 'ab', 'abc'].reduce((all, text) => changed(all, () => text, 'name'), begun(''));
    expect(takenBack(typed).now).toBe('');
    const apart = ['a', 'ab'].reduce((all, text) => changed(all, () => text), begun(''));
    expect(takenBack(apart).now).toBe('a');
    // Once something was taken back, typing on in the same field is a change of its own.
    const again = changed(takenBack(changed(typed, () => 'x')), () => 'abcd', 'name');
    expect(takenBack(again).now).toBe('abc');
  });

  it('forgets what was taken back as soon as something else is done', () => {
    const other = changed(takenBack(changed(begun(1), () => 2)), () => 3);
    expect(doneAgain(other)).toBe(other);
    expect(takenBack(other).now).toBe(1);
  });

  it('counts no change that changes nothing, and has an end on both sides', () => {
    const start = begun(1);
    expect(changed(start, (now) => now)).toBe(start);
    expect(takenBack(start)).toBe(start);
    expect(doneAgain(start)).toBe(start);
  });

  it('holds so many changes and no more', () => {
    let history = begun(0);
    for (let value = 1; value <= MOST_BACK + 5; value += 1) history = changed(history, () => value);
    expect(history.past).toHaveLength(MOST_BACK);
    expect(history.past[0]).toBe(5);
  });
});
