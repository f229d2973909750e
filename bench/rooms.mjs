// Rooms of our own: how soon one hears and is heard, and what talking costs the server. People made by a script talk in
// one browser; what the media server takes is read from its process.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { base, comeIn, command, figures, lessonOf, must, signedIn, wait } from './support.mjs';

const run = process.env.FH_RUN;
const seconds = Number(process.env.FH_SECONDS ?? 20);
const sizes = (process.env.FH_SIZES ?? '28x6,120x30').split(',').map((one) => one.split('x').map(Number));

const media = () =>
  Number(execFileSync('supervisorctl', ['-s', `unix://${run}/supervisor.sock`, 'pid', 'media'], { encoding: 'utf8' }));
const ticks = Number(execFileSync('getconf', ['CLK_TCK'], { encoding: 'utf8' }));
/** Seconds of processor so far, and bytes of memory. */
function cost(pid) {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
  const resident = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1];
  return { cpu: (Number(stat[11]) + Number(stat[12])) / ticks, memory: Number(resident) * 1024 };
}

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu', '--autoplay-policy=no-user-gesture-required', '--mute-audio'],
});
const page = await (await browser.newContext()).newPage();
page.on('pageerror', (problem) => console.error(problem.message));
await page.goto(new URL('/student', base).href);
await page.evaluate(readFileSync(new URL('rooms/speakers.js', import.meta.url), 'utf8'));

const staff = await signedIn();

/** A lesson whose students are signed in, by group. */
async function people(students, groups) {
  const lesson = await lessonOf(staff, `Rooms ${students} in ${groups}`, students, {
    size: Math.ceil(students / groups),
    rooms: 'ownRooms',
  });
  const floor = (await must('GET', `/api/staff/lessons/${lesson.id}`, staff)).json.floor;
  const all = new Map();
  for (const [i, one] of lesson.students.entries()) all.set(one.id, { ...one, ...(await comeIn(lesson, one.name, i)) });
  return { lesson, groups: floor.groups.map((group) => group.students.map((id) => all.get(id))) };
}

const ticketOf = async ({ cookie }) => (await must('POST', '/api/student/room', { cookie })).json;
const say = (what, value, aim = '') => console.log(`  ${what.padEnd(46)} ${value}${aim === '' ? '' : ` (aim ${aim})`}`);

/** From the press until somebody hears all others of a group of five, who talk. */
async function hearing() {
  const { lesson, groups } = await people(5, 1);
  const [group] = groups;
  await command(staff, lesson, { kind: 'sendOut' });
  for (const one of group)
    await page.evaluate(([id, ticket]) => window.enterRoom(id, ticket), [one.id, await ticketOf(one)]);
  const times = [];
  for (let i = 0; i < 40; i++) {
    const one = group[i % group.length];
    const began = performance.now();
    const ticket = await ticketOf(one);
    const asked = performance.now() - began;
    const took = await page.evaluate(([id, t]) => window.enterAndHear(id, t, 4), [one.id, ticket]);
    if (took === null) throw new Error('Somebody did not hear the others within 10 s.');
    times.push(asked + took);
  }
  say('press to hearing, group of 5', figures(times), '99th 1,500');
  await page.evaluate(() => window.leaveAll());
}

/** All of a class come back to the main session at once. */
async function callBack() {
  const { lesson, groups } = await people(28, 6);
  const all = groups.flat();
  await command(staff, lesson, { kind: 'sendOut' });
  for (const one of all)
    await page.evaluate(([id, ticket]) => window.enterRoom(id, ticket), [one.id, await ticketOf(one)]);
  await command(staff, lesson, { kind: 'callBack', seconds: 0 });
  const began = performance.now();
  await Promise.all(
    all.map(async (one) =>
      page.evaluate(([id, ticket]) => window.enterRoom(id, ticket), [one.id, await ticketOf(one)]),
    ),
  );
  say('called back, 28: all in the main session', `${(performance.now() - began).toFixed(0)} ms`, '3,000');
  await page.evaluate(() => window.leaveAll());
}

/** What so many cost while `talking` of each group talk. */
async function load(students, count, talking) {
  const { lesson, groups } = await people(students, count);
  await command(staff, lesson, { kind: 'sendOut' });
  const quiet = cost(media()).memory;
  for (const one of groups.flat())
    await page.evaluate(([id, ticket]) => window.enterRoom(id, ticket), [one.id, await ticketOf(one)]);
  await page.evaluate(({ silent }) => silent.forEach((id) => window.talk(id, false)), {
    silent: groups.flatMap((group) => group.slice(talking).map((one) => one.id)),
  });
  await wait(4_000);
  const pid = media();
  const [before, first] = [cost(pid), await page.evaluate(() => window.allStats())];
  const began = performance.now();
  await wait(seconds * 1_000);
  const [after, last] = [cost(pid), await page.evaluate(() => window.allStats())];
  const took = (performance.now() - began) / 1_000;
  const kbit = (bytes) => ((8 * bytes) / 1_000 / took / students).toFixed(0);
  console.log(`${students} in ${count} rooms, ${talking} talking in each`);
  say(
    'processor of the media server',
    `${((100 * (after.cpu - before.cpu)) / took).toFixed(0)} % of a core`,
    'under 100',
  );
  say(
    'memory',
    `${((after.memory - quiet) / 1e6 / students).toFixed(2)} MB for each student, ${(after.memory / 1e6).toFixed(0)} MB in all`,
  );
  say(
    'for each student',
    `${kbit(last.sentBytes - first.sentBytes)} kbit/s up, ${kbit(last.receivedBytes - first.receivedBytes)} down`,
  );
  say(
    'streams that arrive',
    `${last.streams}; packets ${last.received - first.received}, lost ${last.lost - first.lost}`,
    'lost 0',
  );
  await page.evaluate(() => window.leaveAll());
  await wait(1_000);
}

await hearing();
await callBack();
for (const [students, count] of sizes) await load(students, count, students === 28 ? Math.ceil(students / count) : 1);
for (const [students, count] of sizes.filter(([many]) => many > 28)) await load(students, count, 2);
await browser.close();
process.exit(0);
