import { describe, expect, it } from 'vitest';
import { cutText } from './cutText';

describe('a long text in parts', () => {
  it('is cut at the marks the teacher set, and at nothing else', () => {
    expect(cutText('One\n\n# A heading\n---\nTwo\n ----- \n\n\nThree').map((part) => part.text)).toEqual([
      'One\n\n# A heading',
      'Two',
      'Three',
    ]);
  });

  it('or at its highest headings; what stands before the first belongs to it', () => {
    expect(cutText('Before\n## Quayside\nwater\n### deep\n## Millbrook ##\nmore')).toEqual([
      { title: 'Quayside', text: 'Before\n## Quayside\nwater\n### deep' },
      { title: 'Millbrook', text: '## Millbrook ##\nmore' },
    ]);
  });

  it('or not at all', () => {
    expect(cutText('One line\nand another')).toEqual([{ title: '', text: 'One line\nand another' }]);
    expect(cutText(' \n')).toEqual([]);
  });
});
