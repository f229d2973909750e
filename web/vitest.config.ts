import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** What needs a browser: components, and rules that ask one for something. All else does without, which saves a second a file. */
const pages = [
  'src/**/*.test.tsx',
  'src/api/{client,early,firstData,stream}.test.ts',
  'src/areas/grouping/desk/goalName.test.ts',
  'src/areas/live/{Log,Today}.test.ts',
  'src/areas/live/student/useMoved.test.ts',
  'src/areas/live/walk/rows.test.ts',
  'src/areas/materials/HandOutGrid.test.ts',
  'src/areas/materials/student/slotSync.test.ts',
  'src/words/place.test.ts',
  'src/ui/{speech,useKept,useSettled}.test.ts',
];

export default defineConfig({
  plugins: [react()],
  resolve: { alias: { '#messages': fileURLToPath(new URL('./src/messages/en/all.js', import.meta.url)) } },
  test: {
    restoreMocks: true,
    testTimeout: 20_000,
    projects: [
      {
        extends: true,
        test: { name: 'pages', include: pages, environment: 'jsdom', setupFiles: ['./vitest.setup.ts'] },
      },
      { extends: true, test: { name: 'rules', include: ['src/**/*.test.ts'], exclude: pages, environment: 'node' } },
    ],
  },
});
