// What has to come before a page can be used: scripts, compressed, under so many bytes. node web/weigh.mjs PAGE LIMIT
// [CHUNK] With a chunk: what the page loads by itself, and that chunk with all it needs.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

const [page, limit, chunk] = process.argv.slice(2);
const dist = join(import.meta.dirname, 'dist');
const html = readFileSync(join(dist, page), 'utf8');
const wanted = [...html.matchAll(/(?:src|href)="\/assets\/([^"]+\.js)"/g)].map(([, name]) => name);
if (chunk !== undefined)
  wanted.push(readdirSync(join(dist, 'assets')).find((name) => name.startsWith(`${chunk}-`) && name.endsWith('.js')));
const seen = new Set();
while (wanted.length > 0) {
  const name = wanted.pop();
  if (seen.has(name)) continue;
  seen.add(name);
  const code = readFileSync(join(dist, 'assets', name), 'utf8');
  for (const [, needed] of code.matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) wanted.push(needed);
}
const weight = [...seen].reduce((sum, name) => sum + statSync(join(dist, 'assets', `${name}.br`)).size, 0);
console.log(
  `${page}${chunk === undefined ? '' : ` with ${chunk}`} loads ${weight} bytes of script in ${seen.size} files, compressed.`,
);
if (seen.size === 0 || weight >= Number(limit)) process.exitCode = 1;
