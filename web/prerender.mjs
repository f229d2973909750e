// Puts into the pages what can be used before their scripts are here.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
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

// The largest thing every page needs is asked for with the page, not when a script has named it.
const react = readdirSync(join(dist, 'assets')).find((name) => /^react-.*\.js$/.test(name));
const index = join(dist, 'index.html');
writeFileSync(
  index,
  readFileSync(index, 'utf8').replace(
    '</head>',
    `  <link rel="modulepreload" crossorigin href="/assets/${react}">\n  </head>`,
  ),
);
