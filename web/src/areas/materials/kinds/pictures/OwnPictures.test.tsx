import 'fake-indexeddb/auto';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ApiProblem } from '../../../../api/problem';
import { MediaContext } from '../../media';
import type { Block } from '../../blocks';
import OwnPictures from './OwnPictures';
import { waitingAt } from './waitingPictures';

const block = { id: 'own', kind: 'ownPictures', text: 'Draw it.' } as Block;
const put = vi.fn<(content: string) => Promise<{ id: string }>>();
const noLine = () => Promise.reject(new ApiProblem(0, 'You’re offline.'));
let sheet = 0;
let value = '';

function Sheet({ at }: { at: string }) {
  const [held, setHeld] = useState('');
  useEffect(() => {
    value = held;
  });
  return (
    <MediaContext value={{ at: (id) => `/${id}`, sheet: at, put: put as never }}>
      <OwnPictures block={block} value={held} onChange={setHeld} />
    </MediaContext>
  );
}

const choose = (...names: string[]) => {
  fireEvent.change(screen.getByLabelText('Add a picture'), {
    target: { files: names.map((name) => new File([name], `${name}.png`, { type: 'image/png' })) },
  });
};
const held = () =>
  Object.values(JSON.parse(value === '' ? '{}' : value) as Record<string, { media: string; place: number }>)
    .sort((a, b) => a.place - b.place)
    .map((picture) => picture.media);
const lineIsBack = () => fireEvent(window, new Event('online'));

describe('pictures of one’s own', () => {
  beforeEach(() => {
    sheet++;
    value = '';
    put.mockReset();
    put.mockImplementation((content) => Promise.resolve({ id: `kept-${atob(content)}` }));
  });

  it('stand on the sheet once the server has them', async () => {
    render(<Sheet at={`s${sheet}`} />);
    choose('a', 'b');
    await waitFor(() => expect(held()).toEqual(['kept-a', 'kept-b']));
    expect(screen.queryByAltText('A picture that is still being sent')).not.toBeInTheDocument();
    expect(await waitingAt(`s${sheet}.own`)).toEqual([]);
  });

  it('wait on the device with no line, say so, and go in order by themselves', async () => {
    put.mockImplementation(noLine);
    render(<Sheet at={`s${sheet}`} />);
    choose('a', 'b');
    expect(await screen.findByText(/Your 2 pictures are kept on this device/)).toBeInTheDocument();
    expect(screen.getAllByAltText('A picture that is still being sent')).toHaveLength(2);
    expect(held()).toEqual([]);
    put.mockImplementation((content) => Promise.resolve({ id: `kept-${atob(content)}` }));
    lineIsBack();
    await waitFor(() => expect(held()).toEqual(['kept-a', 'kept-b']));
  });

  it('are all there, even where the sheet is slow to take them in', async () => {
    function SlowSheet() {
      const [now, setNow] = useState('');
      const [, again] = useState(0);
      useEffect(() => {
        value = now;
      });
      return (
        <MediaContext value={{ at: (id) => `/${id}`, sheet: `s${sheet}`, put: put as never }}>
          <OwnPictures
            block={block}
            value={now}
            onChange={(next) => {
              again((times) => times + 1); // drawn anew with what was there before
              setTimeout(() => setNow(next), 60);
            }}
          />
        </MediaContext>
      );
    }
    render(<SlowSheet />);
    choose('a', 'b', 'c');
    await waitFor(() => expect(held()).toEqual(['kept-a', 'kept-b', 'kept-c']));
  });

  it('go after a reload too', async () => {
    put.mockImplementation(noLine);
    render(<Sheet at={`s${sheet}`} />);
    choose('a');
    await screen.findByText(/Your picture is kept on this device/);
    cleanup();
    put.mockImplementation((content) => Promise.resolve({ id: `kept-${atob(content)}` }));
    render(<Sheet at={`s${sheet}`} />);
    await waitFor(() => expect(held()).toEqual(['kept-a']));
    expect(await waitingAt(`s${sheet}.own`)).toEqual([]);
  });

  it('are on the sheet once where two windows send the same', async () => {
    put.mockImplementation(noLine);
    render(<Sheet at={`s${sheet}`} />);
    choose('a');
    await screen.findByText(/Your picture is kept/);
    render(<Sheet at={`s${sheet}`} />);
    put.mockImplementation((content) => Promise.resolve({ id: `kept-${atob(content)}` }));
    lineIsBack();
    await waitFor(() => expect(held()).toEqual(['kept-a']));
  });

  it('are given up with the reason where the server will not have them, and the next one goes', async () => {
    put.mockImplementationOnce(() => Promise.reject(new ApiProblem(422, 'This picture cannot be drawn.')));
    render(<Sheet at={`s${sheet}`} />);
    choose('a', 'b');
    expect(await screen.findByRole('alert')).toHaveTextContent('This picture cannot be drawn.');
    await waitFor(() => expect(held()).toEqual(['kept-b']));
    expect(await waitingAt(`s${sheet}.own`)).toEqual([]);
  });
});
