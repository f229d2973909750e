// Builds the pages: node web/build.mjs [LANGUAGE...]
// Without arguments: in every language that has a catalogue (web/messages/*.json). Each language has its own build:
// English in web/dist, French in web/dist-fr.
import { execFileSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';

const catalogues = readdirSync(join(import.meta.dirname, 'messages'))
  .filter((file) => file.endsWith('.json'))
  .map((file) => file.slice(0, -'.json'.length));
const asked = process.argv.slice(2);
for (const language of asked.length > 0 ? asked : catalogues) {
  const run = (...command) =>
    execFileSync(command[0], command.slice(1), {
      cwd: join(import.meta.dirname, '..'),
      env: { ...process.env, FH_LANGUAGE: language },
      stdio: 'inherit',
    });
  run('node', 'web/messages/compile.mjs');
  run('npx', 'vite', 'build', 'web');
  run('npx', 'vite', 'build', 'web', '--ssr', 'src/firstView.tsx', '--outDir', `dist-server-${language}`);
  run('node', 'web/prerender.mjs');
  run('node', 'web/compress.mjs');
}
