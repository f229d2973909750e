import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { betweenPresses } from './betweenPresses';

beforeEach(() => vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  document.body.replaceChildren();
});

const pointer = (kind: string) => window.dispatchEvent(new MouseEvent(kind));

it('waits for nothing while nothing is pressed', async () => {
  await expect(betweenPresses()).resolves.toBeUndefined();
});

it.each(['pointerup', 'pointercancel', 'blur'])(
  'waits until the press is over and its click has come: %s',
  async (end) => {
    const went = vi.fn();
    pointer('pointerdown');
    void betweenPresses().then(went);
    await vi.advanceTimersByTimeAsync(5_000);
    expect(went).not.toHaveBeenCalled();
    pointer(end);
    expect(went).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(1);
    expect(went).toHaveBeenCalledOnce();
  },
);

it('waits on where the next press follows at once', async () => {
  const went = vi.fn();
  pointer('pointerdown');
  void betweenPresses().then(went);
  pointer('pointerup');
  pointer('pointerdown');
  await vi.advanceTimersByTimeAsync(10);
  expect(went).not.toHaveBeenCalled();
  pointer('pointerup');
  await vi.advanceTimersByTimeAsync(10);
  expect(went).toHaveBeenCalledOnce();
});

const button = (says: string, press: () => void) => {
  const made = document.createElement('button');
  made.textContent = says;
  made.addEventListener('click', press);
  document.body.append(made);
  return made;
};
const at = (element: Element, kind: string, clientX = 0) =>
  element.dispatchEvent(new MouseEvent(kind, { bubbles: true, clientX }));

it.each([
  ['Groups', 1],
  ['Delete', 0],
])('clicks what has come into the place of what was pressed, where it says the same: %s', async (says, times) => {
  const press = vi.fn();
  const was = button('Groups', press);
  at(was, 'pointerdown');
  was.remove();
  at(button(says, press), 'pointerup');
  await vi.advanceTimersByTimeAsync(1);
  expect(press).toHaveBeenCalledTimes(times);
});

it('leaves a press on what has stayed to the browser', async () => {
  const press = vi.fn();
  const stays = button('Groups', press);
  at(stays, 'pointerdown');
  at(stays, 'pointerup');
  await vi.advanceTimersByTimeAsync(1);
  expect(press).not.toHaveBeenCalled();
});

it('takes what was dragged for no press', async () => {
  const press = vi.fn();
  const was = button('Ada', press);
  at(was, 'pointerdown');
  was.remove();
  at(button('Ada', press), 'pointerup', 60);
  await vi.advanceTimersByTimeAsync(1);
  expect(press).not.toHaveBeenCalled();
});
