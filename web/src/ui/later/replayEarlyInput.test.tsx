import { render } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, it, vi } from 'vitest';
import { replayEarlyInput } from './replayEarlyInput';

afterEach(() => delete window.early);

function Form({ onPress }: { onPress: (text: string) => void }) {
  const [text, setText] = useState('');
  return (
    <>
      <input aria-label="Name" value={text} onChange={(event) => setText(event.target.value)} />
      <textarea aria-label="Note" defaultValue="kept" />
      <button type="button" onClick={() => onPress(text)}>
        Go
      </button>
    </>
  );
}

it('takes what was typed for typed and presses what was pressed, once', () => {
  const press = vi.fn();
  const { getByLabelText, getByRole } = render(<Form onPress={press} />);
  const name = getByLabelText('Name');
  const note = getByLabelText('Note');
  const hear = { input: vi.fn(), click: vi.fn() };
  for (const [kind, listener] of Object.entries(hear)) window.addEventListener(kind, listener, true);
  window.early = {
    at: 0,
    answers: {},
    hear,
    pressed: getByRole('button'),
    typed: new Map([
      [name, 'Ada'],
      [note, 'kept, and more'],
    ]),
  };
  replayEarlyInput();
  replayEarlyInput();
  expect(press).toHaveBeenCalledTimes(1);
  expect(press).toHaveBeenCalledWith('Ada');
  expect(name).toHaveValue('Ada');
  expect(note).toHaveValue('kept, and more');
  expect(hear.input).not.toHaveBeenCalled();
  expect(hear.click).not.toHaveBeenCalled();
});

it('tells of a file that was chosen, which nobody but the user can put in', () => {
  const chosen = vi.fn();
  const { getByLabelText } = render(<input type="file" aria-label="File" onChange={chosen} />);
  window.early = { at: 0, answers: {}, typed: new Map([[getByLabelText('File'), 'C:\\fakepath\\list.csv']]) };
  replayEarlyInput();
  expect(chosen).toHaveBeenCalledTimes(1);
});

it('presses a key once, with what was held down', () => {
  const heard: string[] = [];
  const hear = (event: KeyboardEvent) => heard.push(`${event.ctrlKey ? 'Ctrl ' : ''}${event.key}`);
  document.addEventListener('keydown', hear);
  window.early = { at: 0, answers: {}, key: new KeyboardEvent('keydown', { key: 'z', ctrlKey: true }) };
  replayEarlyInput();
  replayEarlyInput();
  document.removeEventListener('keydown', hear);
  expect(heard).toEqual(['Ctrl z']);
});

it('leaves alone what is not in the page any more', () => {
  const press = vi.fn();
  const { getByRole, unmount } = render(<Form onPress={press} />);
  window.early = { at: 0, answers: {}, pressed: getByRole('button') };
  unmount();
  replayEarlyInput();
  expect(press).not.toHaveBeenCalled();
});
