// No folder holds more than twenty files side by side: a stranger sees at one look what is in it. Folders that hold one
// file for each of many kinds are named here.
import { execFileSync } from 'node:child_process';
import { dirname } from 'node:path';

const most = 20;
const oneFileAKind = [
  'core/src/Ready/Check', // a check each
  'web/src/areas/materials/kinds', // a kind of block each
  'e2e', // a way through the product each
  'app/migrations', // a change of the database each
  'docs/decisions', // a decision each
];
const isTest = (file) => /\.test\.tsx?$/.test(file);

const counts = new Map();
for (const file of execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' }).split('\n')) {
  if (!/^(app|core|web|e2e|bench|standins|ops|bin|docs)\//.test(file) || isTest(file)) continue;
  const folder = dirname(file);
  counts.set(folder, (counts.get(folder) ?? 0) + 1);
}
for (const [folder, count] of [...counts].sort(([a], [b]) => (a < b ? -1 : 1))) {
  if (count <= most || oneFileAKind.includes(folder)) continue;
  console.log(`${folder}: ${count} files side by side; at most ${most}`);
  process.exitCode = 1;
}
