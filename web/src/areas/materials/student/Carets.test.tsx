import { render, renderHook, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../../api/client';
import { Carets, useCarets } from './Carets';

const answer = (more: Partial<Schema['AnswerView']>): Schema['AnswerView'] => ({
  slot: 's',
  owner: 'c',
  text: 'The 🌊 comes',
  revision: 1,
  author: 'ben',
  at: 1_000,
  caret: 5,
  ...more,
});
const names: Record<string, string> = { ben: 'Ben', chi: 'Chi' };

describe('where others write', () => {
  it('the last of each is kept, counted in whole signs, and nothing of oneself', () => {
    const { result, rerender } = renderHook(({ now }) => useCarets(now, 'ada'), {
      initialProps: { now: answer({ caret: null }) },
    });
    expect(result.current).toEqual({});
    rerender({ now: answer({ revision: 2 }) });
    rerender({ now: answer({ revision: 3, author: 'chi', caret: 0 }) });
    rerender({ now: answer({ revision: 4, author: 'ada', caret: 1 }) });
    expect(Object.entries(result.current).map(([who, one]) => [who, one.caret])).toEqual([
      ['ben', 6],
      ['chi', 0],
    ]);
  });

  it('a name stands there for a moment, and moves with what is typed in front of it', () => {
    const carets = { ben: { at: 1_000, text: 'wall', caret: 4 }, gone: { at: 1_000, text: 'wall', caret: 0 } };
    const show = (now: number) => <Carets carets={carets} text="The wall" now={now} nameOf={(id) => names[id]} />;
    const { rerender, container } = render(show(2_000));
    expect(screen.getByText('Ben')).toBeInTheDocument();
    expect(container.querySelector('[data-before]')?.getAttribute('data-before')).toBe('The wall');
    rerender(show(6_000));
    expect(screen.queryByText('Ben')).toBeNull();
  });
});
