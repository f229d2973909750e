// Rooms of our own: how soon one hears and is heard, and what talking costs the server. People made by a script talk;
// what the media server takes is read from its process.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { address, bareServer } from './rooms/bare.mjs';
import { studentsPage } from './rooms/page.mjs';
import { Speaker } from './rooms/speaker.mjs';
import { comeIn, command, figures, lessonOf, must, signedIn, wait } from './support.mjs';

const run = process.env.FH_RUN;
const seconds = Number(process.env.FH_SECONDS ?? 20);
/** So long everybody may need to get into rooms of the bare server. Milliseconds. */
const bareWithin = 120_000;
const sizes = (process.env.FH_SIZES ?? '28x6,120x30').split(',').map((one) => one.split('x').map(Number));

const pidOf = (program) =>
  Number(execFileSync('supervisorctl', ['-s', `unix://${run}/supervisor.sock`, 'pid', program], { encoding: 'utf8' }));
const ticks = Number(execFileSync('getconf', ['CLK_TCK'], { encoding: 'utf8' }));
/** Seconds of processor so far, and bytes of memory. */
function cost(pid) {
  const stat = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
  const resident = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1];
  return { cpu: (Number(stat[11]) + Number(stat[12])) / ticks, memory: Number(resident) * 1024 };
}

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
/** Who is in a room, by their id. */
const speakers = new Map();

async function enter(id, ticket, options) {
  await speakers.get(id)?.leave();
  const speaker = new Speaker(ticket, options);
  speakers.set(id, speaker);
  await speaker.enter();
  return speaker;
}

async function empty() {
  await Promise.all([...speakers.values()].map((speaker) => speaker.leave()));
  speakers.clear();
  await wait(1_000);
}

const say = (what, value, aim = '') => console.log(`  ${what.padEnd(46)} ${value}${aim === '' ? '' : ` (aim ${aim})`}`);

/** From asking to be let in until all `mates` are heard. */
async function untilHeard(one, mates, options) {
  const speaker = await enter(one.id, await ticketOf(one), options);
  for (const began = performance.now(); speaker.heard < mates; await wait(5))
    if (performance.now() - began > 10_000) throw new Error('Somebody did not hear the others within 10 s.');
}

/** From the press on a student's page until it hears the other four of its group, who talk. */
async function hearing() {
  const { lesson, groups } = await people(5, 1);
  const [[one, ...others]] = groups;
  await command(staff, lesson, { kind: 'sendOut' });
  for (const other of others) await enter(other.id, await ticketOf(other));
  const page = await studentsPage(one.cookie);
  const times = [];
  for (let i = 0; i < 40; i++) times.push(await page.joins(others.length));
  say('press to hearing, group of 5', figures(times), '99th 1,500');
  await page.close();
  await empty();
}

/** From the teacher's press that moves somebody until their page hears the others of the other group, who talk. */
async function moves() {
  const { lesson, groups } = await people(10, 2);
  await command(staff, lesson, { kind: 'sendOut' });
  const [one, ...others] = groups.flat();
  for (const other of others) await enter(other.id, await ticketOf(other));
  const page = await studentsPage(one.cookie);
  const times = [];
  for (let i = 0; i < 40; i++) {
    const floor = (await must('GET', `/api/staff/lessons/${lesson.id}`, staff)).json.floor;
    const to = floor.groups.find((group) => !group.students.includes(one.id));
    const heard = page.hearsAnew(to.students.length);
    await must('POST', `/api/staff/groupings/${floor.id}/edits`, {
      ...staff,
      body: { kind: 'seat', student: one.id, group: to.id, basedOn: floor.step },
    });
    times.push(await heard);
    await wait(300);
  }
  say('moved, the press to hearing the other group', figures(times), '99th 1,000');
  await page.close();
  await empty();
}

/** All of a class come back to the main session at once, microphones off, and hear their teacher. */
async function callBack(students, count) {
  const { lesson, groups } = await people(students, count);
  const all = groups.flat();
  await command(staff, lesson, { kind: 'sendOut' });
  for (const one of all) (await enter(one.id, await ticketOf(one))).talk(false);
  const teacher = (await must('POST', `/api/staff/lessons/${lesson.id}/rooms/main/enter`, { ...staff, body: {} })).json;
  await enter('teacher', teacher);
  await command(staff, lesson, { kind: 'callBack', seconds: 0 });
  const began = performance.now();
  const heard = await Promise.all(
    all.map(async (one) => {
      await untilHeard(one, 1, { isSilent: true });
      return performance.now() - began;
    }),
  );
  say(`called back, ${students}: all hear their teacher`, figures(heard), 'most 3,000');
  await empty();
}

const stats = () =>
  [...speakers.values()]
    .map((speaker) => speaker.stats())
    .reduce((sum, one) => Object.fromEntries(Object.entries(one).map(([name, value]) => [name, value + sum[name]])));

/** What those who are in its rooms cost a media server. */
async function measured(name, pid, quiet, groups) {
  const students = groups.flat().length;
  await wait(5_000);
  const gatePid = pidOf('gate');
  const [before, gate, first] = [cost(pid), cost(gatePid), stats()];
  const began = performance.now();
  await wait(seconds * 1_000);
  const [after, gateAfter, last] = [cost(pid), cost(gatePid), stats()];
  const took = (performance.now() - began) / 1_000;
  const core = (from, to) => `${((100 * (to.cpu - from.cpu)) / took).toFixed(0)} %`;
  const kbit = (what) => ((8 * (last[what] - first[what])) / 1_000 / took / students).toFixed(0);
  const isOurs = name === 'here';
  say(
    `${name}: processor`,
    `${core(before, after)} of a core${isOurs ? `, and ${core(gate, gateAfter)} for the gate` : ''}`,
    isOurs ? 'under 100' : '',
  );
  say(
    '  memory',
    `${((after.memory - quiet.memory) / 1e3 / students).toFixed(0)} kB for each, ${(after.memory / 1e6).toFixed(0)} MB in all`,
  );
  say('  for each', `${kbit('sentBytes')} kbit/s up, ${kbit('receivedBytes')} down`);
  say(
    '  streams that arrive',
    `${last.streams}; ${last.received - first.received} packets of ${last.sent - first.sent} sent, lost ${last.lost - first.lost}`,
    isOurs ? 'lost 0' : '',
  );
}

async function load(students, count, talking) {
  console.log(`${students} in ${count} rooms, ${talking === null ? 'all talk' : `${talking} in each talk`}`);
  const { lesson, groups } = await people(students, count);
  const ids = groups.map((group) => group.map((one) => one.id));
  await command(staff, lesson, { kind: 'sendOut' });
  const pid = pidOf('media');
  const quiet = cost(pid);
  // Whoever is not to talk is silent from the beginning: the speakers' own processor is not without end.
  const most = talking ?? students;
  for (const group of groups)
    for (const [i, one] of group.entries()) (await enter(one.id, await ticketOf(one))).talk(i < most);
  await measured('here', pid, quiet, ids);
  await empty();
  for (const isMixed of [false, true]) {
    const server = await bareServer(run);
    const empties = cost(server.pid);
    const name = isMixed ? 'bare, mixed' : 'bare, handed on';
    const until = performance.now() + bareWithin;
    let inRooms = 0;
    for (const [number, group] of ids.entries()) {
      const room = `bare-${number}`;
      if (!(await server.makeRoom(room, isMixed))) break;
      for (const [i, id] of group.entries()) {
        if (performance.now() > until) break;
        const entered = enter(id, { address, room }, { isMixed });
        const isThere = await Promise.race([entered.then(() => true), wait(until - performance.now())]);
        if (isThere !== true) break;
        (await entered).talk(i < most);
        inRooms++;
      }
    }
    if (inRooms < students) {
      const { cpu } = cost(server.pid);
      await wait(5_000);
      const share = ((cost(server.pid).cpu - cpu) / 5) * 100;
      say(
        `${name}: does not fit`,
        `${inRooms} were in after ${bareWithin / 1_000} s, with ${share.toFixed(0)} % of a core`,
      );
      await Promise.race([empty(), wait(5_000)]);
      server.stop();
      continue;
    }
    await measured(name, server.pid, empties, ids);
    await empty();
    server.stop();
    await wait(500);
  }
}

const only = process.env.FH_ONLY?.split(',');
const wanted = (part) => only?.includes(part) ?? true;

if (wanted('hearing')) await hearing();
if (wanted('moves')) await moves();
if (wanted('callBack')) await callBack(28, 6);
const sizesOf = (talking) => (wanted(talking) ? sizes : []);
for (const [students, count] of sizesOf('all')) await load(students, count, students > 28 ? 1 : null);
for (const [students, count] of sizesOf('two').filter(([many]) => many > 28)) await load(students, count, 2);
process.exit(0);
