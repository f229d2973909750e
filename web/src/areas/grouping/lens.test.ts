import { describe, expect, it } from 'vitest';
import { lenses, through, type Seen } from './lens';

const ada: Seen = {
  id: 'ada',
  table: 'Window',
  attributes: [{ name: 'Level', value: '3' }],
  tags: ['lead', 'calm'],
  met: 2,
};
const ben: Seen = { id: 'ben', table: null, attributes: [], tags: [] };

describe('the lens', () => {
  it('shows what the list says, one thing at a time', () => {
    expect(through('attribute:Level', ada)).toBe('3');
    expect(through('tags', ada)).toBe('lead, calm');
    expect(through('table', ada)).toBe('Window');
    expect(through('met', ada)).toBe('2 met before');
    expect(through('', ada)).toBe('');
  });

  it('shows nothing of who has nothing', () => {
    for (const lens of ['attribute:Level', 'tags', 'table', 'met']) expect(through(lens, ben)).toBe('');
    expect(through('table', undefined)).toBe('');
  });

  it('offers only what would show something', () => {
    expect(lenses([ben]).map((one) => one.value)).toEqual(['']);
    expect(lenses([ada, ben]).map((one) => one.value)).toEqual(['', 'attribute:Level', 'tags', 'table', 'met']);
  });
});
