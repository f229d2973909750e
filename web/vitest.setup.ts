// What all tests of the pages begin with.
import { configure } from '@testing-library/react';
import '@testing-library/jest-dom/vitest';
import { cleanup } from '@testing-library/react';
import { afterEach, beforeAll } from 'vitest';
import { headless } from './src/ui/later/headlessLater';

afterEach(cleanup);

// What opens is there from the first moment.
beforeAll(headless.load);

// A machine that does other things meanwhile is no reason to fail.
configure({ asyncUtilTimeout: 8_000 });

// jsdom draws nothing, so nothing ever changes its size.
globalThis.ResizeObserver = class {
  observe(): void {
    /* nothing */
  }
  unobserve(): void {
    /* nothing */
  }
  disconnect(): void {
    /* nothing */
  }
};
