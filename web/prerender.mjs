// Puts into the pages what can be used before their scripts are here.
import { mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createServer } from 'vite';

const language = process.env.FH_LANGUAGE ?? 'en';
const dist = join(import.meta.dirname, language === 'en' ? 'dist' : `dist-${language}`);
const server = await createServer({
  root: import.meta.dirname,
  configFile: join(import.meta.dirname, 'vite.config.ts'),
  appType: 'custom',
  logLevel: 'error',
  server: { middlewareMode: true, hmr: false, ws: false },
  optimizeDeps: { noDiscovery: true },
});
/** The page without contents: the server renders them into it (firstViews.mjs). */
const shell = readFileSync(join(dist, 'index.html'), 'utf8');
const { pages } = await server.ssrLoadModule('/src/prerender.tsx');
for (const [name, html] of Object.entries(pages)) {
  const file = join(dist, name);
  const page = readFileSync(file, 'utf8');
  if (!page.includes('<div id="page"></div>')) throw new Error(`${name} has no place for it.`);
  writeFileSync(
    file,
    page.replace('<div id="page"></div>', () => `<div id="page">${html}</div>`),
  );
}
await server.close();

// Every page preloads what it needs. The files of a lesson's and of a class's page are listed in attributes, and
// index.html preloads them when one is opened.
const assets = readdirSync(join(dist, 'assets'));
function chunk(name) {
  const [found, other] = assets.filter((file) => new RegExp(`^${name}-[^.]*\\.js$`).test(file));
  if (other !== undefined) throw new Error(`${name}: two files of the pages have this name.`);
  return found;
}
/** A chunk and everything it imports. */
function needed(first, seen = new Set()) {
  if (seen.has(first)) return seen;
  seen.add(first);
  for (const [, next] of readFileSync(join(dist, 'assets', first), 'utf8').matchAll(
    /(?:from|import)\s*"\.\/([^"]+\.js)"/g,
  ))
    needed(next, seen);
  return seen;
}
const asked = new Set([...shell.matchAll(/\/assets\/([^"]+\.js)"/g)].map(([, name]) => name));
// The largest first: what is small finds room beside it.
const size = (name) => statSync(join(dist, 'assets', name)).size;
const filesOf = (page) =>
  [...new Set([chunk('staff'), chunk(page)].flatMap((name) => [...needed(name)]))]
    .filter((name) => !asked.has(name))
    .sort((a, b) => size(b) - size(a))
    .map((name) => `/assets/${name}`)
    .join(' ');
const type = assets.find((file) => /^ourType-[^.]*\.css$/.test(file));
const withType = (page) => page.replace('data-type=""', `data-type="/assets/${type}"`);
const withFiles = (page) =>
  withType(page)
    .replace('data-lesson=""', `data-lesson="${filesOf('LessonPage')}"`)
    .replace('data-class=""', `data-class="${filesOf('ClassPage')}"`)
    .replace('</head>', `  <link rel="modulepreload" crossorigin href="/assets/${chunk('react')}">\n  </head>`);
const index = join(dist, 'index.html');
writeFileSync(index, withFiles(readFileSync(index, 'utf8')));
const student = join(dist, 'student.html');
writeFileSync(student, withType(readFileSync(student, 'utf8')));
const ofServer = join(import.meta.dirname, `dist-server-${language}`);
mkdirSync(ofServer, { recursive: true });
writeFileSync(join(ofServer, 'page.html'), withFiles(shell));
