import { act, render } from '@testing-library/react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { afterEach, describe, expect, it } from 'vitest';
import { letTimePass, setRenderedAt } from '../../api/clock';
import { Code } from './Code';

const drawing = (of: ParentNode) => ({
  box: of.querySelector('svg')?.getAttribute('viewBox'),
  path: of.querySelector('path')?.getAttribute('d'),
});

describe('the square code', () => {
  afterEach(letTimePass);

  it('stays as the server has drawn it, and is drawn anew for another text', async () => {
    const text = 'https://huddle.example/a';
    const place = document.createElement('div');
    place.innerHTML = renderToString(<Code text={text} />);
    const drawn = drawing(place);
    expect(drawn.path?.length).toBeGreaterThan(1_000);

    setRenderedAt(0);
    // eslint-disable-next-line @typescript-eslint/require-await -- React asks for a promise here
    const root = await act(async () => hydrateRoot(place, <Code text={text} />));
    letTimePass();
    expect(drawing(place)).toEqual(drawn);
    act(() => root.render(<Code text={text} className="w-10" />));
    expect(drawing(place)).toEqual(drawn);

    act(() => root.render(<Code text="https://huddle.example/another-page" />));
    const other = render(<Code text="https://huddle.example/another-page" />);
    expect(drawing(place)).toEqual(drawing(other.container));
    act(() => root.unmount());
  });
});
