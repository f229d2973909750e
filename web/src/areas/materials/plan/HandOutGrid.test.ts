import { describe, expect, it } from 'vitest';
import { withWay } from './HandOutGrid';

describe('what everybody gets', () => {
  const cut = {
    original: 'o',
    way: 'together' as const,
    variant: '',
    cells: [
      { group: 'g', way: 'together' as const, variant: 'part-1' },
      { group: 'h', way: 'together' as const, variant: 'part-2' },
    ],
  };

  it('changes for groups, too, that each have a part of a text that was cut', () => {
    expect(withWay(cut, 'each')).toEqual({
      ...cut,
      way: 'each',
      cells: [
        { group: 'g', way: 'each', variant: 'part-1' },
        { group: 'h', way: 'each', variant: 'part-2' },
      ],
    });
  });

  it('is one copy where it is the class that has it', () => {
    expect(withWay(cut, 'all')).toEqual({ ...cut, way: 'all', cells: [] });
  });
});
