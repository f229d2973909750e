// Renders the first view of the teacher's pages: node web/firstViews.mjs SOCKET APPLICATION_PORT
// nginx asks here for a page and takes the plain one where there is no answer: who isn't signed in, a page that isn't
// rendered here, any failure. The data comes from the application, requested with the user's own cookies.
import { chmodSync, existsSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { Agent, createServer, request } from 'node:http';
import { join } from 'node:path';

const [socket, port] = process.argv.slice(2);
/** What is not rendered in this time is not worth waiting for; milliseconds. */
const patience = 2_000;
/** So many wait for their turn; the others get the plain page at once. */
const longestQueue = 30;

const pages = new Map();
for (const folder of readdirSync(import.meta.dirname).filter((name) => name.startsWith('dist-server-'))) {
  const at = join(import.meta.dirname, folder);
  const language = folder.slice('dist-server-'.length);
  const file = join(at, 'page.html');
  if (!existsSync(file)) continue; // it is being built
  pages.set(language === 'en' ? 'web/dist' : `web/dist-${language}`, {
    language,
    file,
    built: statSync(file).mtimeMs,
    template: readFileSync(file, 'utf8'),
    ...(await import(join(at, 'firstView.js'))),
  });
}

// The pages are not built yet. The supervisor restarts this program, which then checks again.
if (pages.size === 0) setTimeout(() => process.exit(1), patience);

/**
 * A page of an older build refers to deleted files. The supervisor restarts this program, which then uses the new
 * build.
 */
function isCurrent({ file, built }) {
  const now = statSync(file, { throwIfNoEntry: false })?.mtimeMs;
  if (now !== undefined && now !== built) setTimeout(() => process.exit(0), 100);
  return now === built;
}

const agent = new Agent({ keepAlive: true });

/** @returns the answer as an object; null: anything but 200 */
const ask = (path, headers) =>
  new Promise((resolve, reject) => {
    const asked = request({ agent, host: '127.0.0.1', port, path, headers, timeout: patience }, (answer) => {
      const parts = [];
      answer.on('data', (part) => parts.push(part));
      answer.on('error', reject);
      answer.on('end', () => {
        try {
          resolve(answer.statusCode === 200 ? JSON.parse(Buffer.concat(parts).toString('utf8')) : null);
        } catch (error) {
          reject(error);
        }
      });
    });
    asked.on('timeout', () => asked.destroy(new Error('The application did not answer in time.')));
    asked.on('error', reject);
    asked.end();
  });

// One page at a time: the time, place and address of a render are global.
let waiting = 0;
let last = Promise.resolve();
const enqueue = (act) => {
  waiting += 1;
  const done = last.then(() => withTimeout(act)).finally(() => (waiting -= 1));
  last = done.catch(() => undefined);
  return done;
};

/** A render that never ends, for example because a new build has removed a file, would block all others. */
async function withTimeout(act) {
  const stuck = setTimeout(() => {
    console.error('A page was not rendered in time. Starting again.');
    process.exit(1);
  }, patience);
  try {
    return await act();
  } finally {
    clearTimeout(stuck);
  }
}

/** @returns the page; null: the plain one is to be taken */
async function page(asked) {
  const cookies = asked.headers.cookie ?? '';
  const of = pages.get(asked.headers['x-pages']);
  const origin = `${asked.headers['x-forwarded-proto'] ?? 'http'}://${asked.headers.host}`;
  if (of === undefined || !cookies.includes('fh_staff=') || asked.url.includes('?') || !isCurrent(of)) return null;
  const url = new URL(asked.url, origin);
  const questions = of.firstQuestions(url.pathname);
  const place = of.placeIn(cookies);
  if (questions === null || place === null || waiting >= longestQueue) return null;
  const headers = {
    Cookie: cookies,
    Host: asked.headers.host,
    'X-Early': '1',
    'X-Forwarded-For': asked.headers['x-forwarded-for'] ?? '',
    'X-Forwarded-Proto': asked.headers['x-forwarded-proto'] ?? 'http',
  };
  const answersTo = (asked) =>
    Promise.all(asked.map(async ({ key, path }) => ({ key, data: await ask(path, headers) })));
  const answers = await answersTo(questions);
  const lesson = answers.find(({ key }) => key[0] === 'lesson')?.data;
  if (lesson) answers.push(...(await answersTo(of.furtherQuestions(lesson))));
  if (answers.some(({ data }) => data === null)) return null;
  const first = { now: lesson?.serverNow ?? Date.now(), answers };
  const room = of.floorRoomIn(cookies);
  const { head, body, texts } = await enqueue(() => of.render(url, first, place, room, of.language));
  return of.template
    .replace('<html', `<html data-first${room === null ? '' : ` data-floor="${of.roomText(room)}"`}`)
    .replace(/<title>[^<]*<\/title>/, () => head + of.wholeAtOnce)
    .replace('<div id="page"></div>', () => `<div id="page">${body}</div>${of.firstDataHtml({ ...first, texts })}`);
}

rmSync(socket, { force: true });
createServer((asked, answer) => {
  page(asked).then(
    (html) => {
      if (html === null) answer.writeHead(404).end();
      else answer.writeHead(200, { 'Content-Type': 'text/html; charset=utf-8', 'Cache-Control': 'no-store' }).end(html);
    },
    (error) => {
      console.error(error instanceof Error ? error.stack : error);
      answer.writeHead(503).end();
    },
  );
}).listen(socket, () => chmodSync(socket, 0o666));
