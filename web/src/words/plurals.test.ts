import { describe, expect, it } from 'vitest';
import { words } from '.';
import { student } from './student';

/** Every sentence that is put together from numbers alone, with this number for each. */
function said(tree: unknown, n: number, path = ''): [string, string][] {
  if (typeof tree === 'function') {
    try {
      const text: unknown = (tree as (...values: number[]) => unknown)(...Array<number>(tree.length).fill(n));
      return typeof text === 'string' ? [[path, text]] : [];
    } catch {
      return []; // it wants more than numbers
    }
  }
  if (typeof tree !== 'object' || tree === null) return [];
  return Object.entries(tree).flatMap(([key, part]) => said(part, n, `${path}.${key}`));
}

const many = 'students|groups|rooms|copies|seats|tables|minutes|seconds|segments|rounds|goals|rules|lessons|pages';

describe('numbers in sentences', () => {
  it('are many enough to be worth looking at', () => {
    expect(said(words, 2).length + said(student, 2).length).toBeGreaterThan(50);
  });

  it.each([...said(words, 1), ...said(student, 1)])('one is one: %s', (_, text) => {
    expect(text).not.toMatch(new RegExp(`\\b1 (${many})\\b(?! of)`));
    expect(text).not.toMatch(/\b1 (student|group|room|copy|seat) (stay|are|have|were|sit|come|go|work)\b/);
  });

  it.each([...said(words, 0), ...said(student, 0)])('nothing is not counted: %s', (_, text) => {
    expect(text).not.toMatch(/(^|[ ,])0 (changed|added|ready|refused|failed|copied|left over)\b/);
  });
});
