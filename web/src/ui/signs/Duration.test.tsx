import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Duration } from './Duration';

const text = (seconds: number) => render(<Duration seconds={seconds} />).container.textContent;

describe('a length of time', () => {
  it('has its units beside its numbers', () => {
    expect([0, 9, 60, 75, 1123, 3600, 4500].map(text)).toEqual([
      '0 s',
      '9 s',
      '1 min 0 s',
      '1 min 15 s',
      '18 min 43 s',
      '1 h 0 min',
      '1 h 15 min',
    ]);
  });
});
