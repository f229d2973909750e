import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

/**
 * What needs a browser: components, and rules that ask one for something. All else does without, which saves a second a
 * file.
 */
const pages = [
  'src/**/*.test.tsx',
  'src/api/{client,early,firstData,stream/stream}.test.ts',
  'src/areas/grouping/floor/layout/floorRoom.test.ts',
  'src/areas/grouping/desk/goals/goalName.test.ts',
  'src/areas/live/{Log,Today}.test.ts',
  'src/areas/live/student/useMoved.test.ts',
  'src/areas/live/walk/rows.test.ts',
  'src/areas/materials/plan/HandOutGrid.test.ts',
  'src/areas/materials/student/slotSync.test.ts',
  'src/words/place.test.ts',
  'src/ui/{speech,useKept,useSettled}.test.ts',
];

/** Of those, the ones that put something in the place of a module: each needs modules of its own. */
const mocking = readdirSync(join(import.meta.dirname, 'src'), { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.test\.tsx?$/.test(file))
  .map((file) => join('src', file))
  .filter((file) => readFileSync(join(import.meta.dirname, file), 'utf8').includes('vi.mock('));
const inPage = { environment: 'jsdom' as const, setupFiles: ['./vitest.setup.ts'] };

export default defineConfig({
  plugins: [react()],
  resolve: { alias: { '#messages': fileURLToPath(new URL('./src/messages/en/all.js', import.meta.url)) } },
  test: {
    restoreMocks: true,
    testTimeout: 20_000,
    hookTimeout: 30_000,
    // All others share theirs, which saves three seconds a file.
    projects: [
      { extends: true, test: { name: 'mocking', include: mocking, ...inPage } },
      { extends: true, test: { name: 'pages', include: pages, exclude: mocking, isolate: false, ...inPage } },
      {
        extends: true,
        test: {
          name: 'rules',
          include: ['src/**/*.test.ts'],
          exclude: [...pages, ...mocking],
          isolate: false,
          environment: 'node',
        },
      },
    ],
  },
});
