// A lesson that is on: how long from the teacher's press until it stands on the students' pages; for 200 and for 1,000
// students of one lesson, and for 40 lessons of 28 at once; idle, and while all write. Beside each, in the same run,
// the bare stream server with the same listeners.
import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import http from 'node:http';
import {
  Pace,
  ask,
  at,
  base,
  comeIn,
  command,
  done,
  lessonOf,
  listen,
  must,
  paceOf,
  signedIn,
  wait,
} from './support.mjs';

const sizes = (process.env.FH_SIZES ?? '1x200,1x1000,40x28').split(',').map((one) => one.split('x').map(Number));
const presses = Number(process.env.FH_ROUNDS ?? 12);
/** A student saves once in so long while all write; milliseconds. */
const saveEvery = Number(process.env.FH_SAVE_EVERY ?? 4_000);
const channelsAPost = 200;

const staff = await signedIn();
const of = (values) => {
  const sorted = [...values].sort((a, b) => a - b);
  return { n: sorted.length, median: at(sorted, 0.5), p99: at(sorted, 0.99), most: at(sorted, 1) };
};
const ms = ({ n, median, p99, most }) =>
  n === 0 ? 'nothing heard' : `${median.toFixed(0)} / ${p99.toFixed(0)} ms (most ${most.toFixed(0)}, ${n} heard)`;

/** What the processes of the product have used and hold: processor seconds, and memory of their own in MB. */
function used() {
  let seconds = 0;
  let memory = 0;
  for (const pid of readdirSync('/proc').filter((one) => /^\d+$/.test(one))) {
    try {
      const name = readFileSync(`/proc/${pid}/comm`, 'utf8').trim();
      if (!/^(nginx|php|php-fpm8\.2|postgres|redis-server)$/.test(name)) continue;
      const stat = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ');
      seconds += (Number(stat[11]) + Number(stat[12])) / 100;
      memory += Number(/Pss:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8'))?.[1] ?? 0) / 1024;
    } catch {
      // It has gone meanwhile.
    }
  }
  return { seconds, memory };
}

/** Lets somebody in; where too many come at once it is asked again, as their page does. */
async function patiently(lesson, name, n) {
  for (let tries = 0; ; tries++) {
    try {
      return await comeIn(lesson, name, n);
    } catch (problem) {
      if (tries > 40 || !String(problem).includes('429')) throw problem;
      await wait(300);
    }
  }
}

const publish = new http.Agent({ keepAlive: true, maxSockets: 10 });
function post(channels, text) {
  return new Promise((did, fail) => {
    const request = http.request(
      {
        host: '127.0.0.1',
        port: Number(base.port) + 3,
        path: `/publish?c=${channels.join(',')}`,
        method: 'POST',
        agent: publish,
      },
      (response) => response.resume().on('end', did),
    );
    request.on('error', fail);
    request.end(text);
  });
}

async function measure(lessons, each) {
  const all = lessons * each;
  const classes = [];
  for (let i = 0; i < lessons; i++) {
    const lesson = await lessonOf(staff, `Bench ${i}`, each);
    await command(staff, lesson, { kind: 'sendOut' });
    classes.push({ lesson, people: [] });
  }
  let pressed = 0;
  let delays = [];
  let isNews = () => false;
  const before = used();
  let n = 0;
  for (const one of classes) {
    for (const { id, name } of one.lesson.students) {
      const person = await patiently(one.lesson, name, n++);
      const heard = (message) => isNews(message, id) && delays.push(performance.now() - pressed);
      one.people.push({ ...person, id, stream: await listen(person.address, person.cookie, heard) });
    }
  }
  const people = classes.flatMap((one) => one.people);
  const joined = used();
  const per = (value) => ((1_000 * value) / all).toFixed(1);
  console.log(
    `\n${lessons === 1 ? 'One lesson' : `${lessons} lessons`} of ${each} students, ${Math.ceil(each / 4)} groups each.`,
  );
  console.log(`  coming in: ${per(joined.seconds - before.seconds)} s of processor for each 1,000 students`);

  // As the page does (useCommand.ts): it asks for the lesson once its press has been answered.
  const pressAndLook = async (lesson, body) => {
    await command(staff, lesson, body);
    await must('GET', `/api/staff/lessons/${lesson.id}`, staff);
  };
  const press = async (body, what, times = presses) => {
    delays = [];
    isNews = what;
    for (let i = 0; i < times; i++) {
      pressed = performance.now();
      // All lessons at once.
      await Promise.all(classes.map(({ lesson }) => pressAndLook(lesson, body(i))));
      await wait(600);
      if (body(i).kind === 'callBack') {
        const is = isNews;
        isNews = () => false;
        await Promise.all(classes.map(({ lesson }) => command(staff, lesson, { kind: 'keepWorking' })));
        await wait(600);
        isNews = is;
      }
    }
    return of(delays);
  };
  const bare = async () => {
    delays = [];
    isNews = (message) => message.kind === 'bench';
    const channels = people.map(({ address }) => address.split('/').pop().split('?')[0]);
    for (let i = 0; i < presses; i++) {
      pressed = performance.now();
      const posts = [];
      for (let from = 0; from < channels.length; from += channelsAPost)
        posts.push(post(channels.slice(from, from + channelsAPost), '{"kind":"bench"}'));
      await Promise.all(posts);
      await wait(400);
    }
    return of(delays);
  };
  /** A student is moved: until their own page knows its new group, asked for as the page asks. */
  const moves = async () => {
    const [{ lesson, people: here }] = classes;
    const took = [];
    for (let i = 0; i < presses; i++) {
      const floor = (await must('GET', `/api/staff/lessons/${lesson.id}`, staff)).json.floor;
      const who = here[(7 * i) % here.length];
      const to = floor.groups.find((group) => !group.students.includes(who.id) && group.students.length > 0);
      isNews = () => false;
      const told = new Promise((did) => {
        isNews = (message, id) => {
          if (message.kind === 'refresh' && id === who.id) did();
          return false;
        };
      });
      const began = performance.now();
      await must('POST', `/api/staff/groupings/${floor.id}/edits`, {
        ...staff,
        body: { kind: 'seat', student: who.id, group: to.id, basedOn: floor.step },
      });
      await told;
      const now = (await must('GET', '/api/student/now', { cookie: who.cookie })).json;
      await must('GET', `/api/student/copies/${now.group.copies[0].id}`, { cookie: who.cookie });
      if (now.group.id !== to.id) throw new Error('The page does not know its new group.');
      took.push(performance.now() - began);
      await wait(150);
    }
    return of(took);
  };

  const table = async (title) => {
    console.log(`  ${title}`);
    const stream = await bare();
    console.log(`    the bare stream server    ${ms(stream)}`);
    const back = await press(
      () => ({ kind: 'callBack', seconds: 120 }),
      (message) => message.kind === 'round' && message.moments.backAt !== null,
    );
    console.log(
      `    call back, press to page  ${ms(back)}; ${(back.p99 / stream.p99).toFixed(1)} times the bare stream`,
    );
    const notice = await press(
      (i) => ({ kind: 'say', text: `Two minutes. ${i}` }),
      (message) => message.kind === 'notice',
    );
    console.log(
      `    notice, press to page     ${ms(notice)}; ${(notice.p99 / stream.p99).toFixed(1)} times the bare stream`,
    );
    console.log(`    move, press to the new group and its copy on the page  ${ms(await moves())}`);
    isNews = () => false;
  };
  /** Work is shown to everybody and taken down again: until it stands on the last page. */
  const holdUps = async () => {
    delays = [];
    isNews = (message) => message.kind === 'debriefNow' && message.debrief.shown !== null;
    const shown = ({ lesson }) => `/api/staff/lessons/${lesson.id}/debrief/shown`;
    for (let i = 0; i < presses; i++) {
      pressed = performance.now();
      const show = (one) =>
        must('POST', shown(one), { ...staff, body: { copy: one.people[(5 * i) % one.people.length].copy } });
      await Promise.all(classes.map(show));
      await wait(600);
      await Promise.all(classes.map((one) => must('DELETE', shown(one), staff)));
      await wait(200);
    }
    return of(delays);
  };
  await table('nobody writes:');
  console.log(`    show to everyone, press to page  ${ms(await holdUps())}`);
  isNews = () => false;
  const idle = used();
  await wait(5_000);
  const after = used();
  console.log(
    `    at rest: ${per((after.seconds - idle.seconds) / 5)} % … of a processor, in hundredths, and ${per(after.memory)} MB for each 1,000 students`.replace(
      /: ([\d.]+) % … of a processor, in hundredths,/,
      (_, share) => `: ${(100 * Number(share)).toFixed(0)} % of a processor`,
    ),
  );

  let writing = true;
  let saves = 0;
  let failed = 0;
  let turnedAway = 0;
  const took = [];
  // As the page does (slotSync.ts): it types on meanwhile, and sends as often as the server lets it.
  const write = async (person, first) => {
    const pace = new Pace();
    await wait(first);
    while (writing) {
      const began = performance.now();
      const text = `${person.text.slice(-400)}word `;
      const answer = await ask('PUT', `/api/student/copies/${person.copy}/slots/each`, {
        cookie: person.cookie,
        body: { save: crypto.randomUUID(), base: person.text, text },
      }).catch(() => ({ status: 0, headers: {} }));
      const needed = performance.now() - began;
      pace.note(paceOf(answer));
      took.push(needed);
      if (answer.status === 200) {
        person.text = answer.json.text;
        saves++;
      } else if (answer.status === 503) turnedAway++;
      else failed++;
      await wait(Math.max(0, pace.wait(saveEvery) - needed));
    }
  };
  const writers = people
    .filter((person) => person.copy !== undefined)
    .map((person, i) => write(person, (i * saveEvery) / people.length));
  await wait(3_000);
  const [from, since, load] = [saves, performance.now(), used()];
  await table(`while each wants to save once in ${saveEvery / 1_000} seconds:`);
  const seconds = (performance.now() - since) / 1_000;
  const rate = (saves - from) / seconds;
  const busy = used();
  writing = false;
  await Promise.all(writers);
  console.log(
    `    ${rate.toFixed(0)} saves a second, each ${ms(of(took))}; ${turnedAway} told to come again, ${failed} failed; ${(100 * per((busy.seconds - load.seconds) / seconds)).toFixed(0)} % of a processor and ${per(busy.memory)} MB for each 1,000 students`,
  );
  for (const { stream } of people) stream.destroy();
  for (const { lesson } of classes) await command(staff, lesson, { kind: 'callBack', seconds: 0 });
}

/** In rooms of the meeting service: from the press until the room a student is in is told where to go. */
async function inRooms(each) {
  const lesson = await lessonOf(staff, 'Bench in rooms', each);
  await must('POST', `/api/staff/rounds/${lesson.round.id}/rooms`, { ...staff, body: {} });
  const made = async () =>
    (await must('GET', `/api/staff/lessons/${lesson.id}`, staff)).json.rooms.every((room) => room.state === 'made');
  while (!(await made())) await wait(300);
  await command(staff, lesson, { kind: 'sendOut' });
  const people = [];
  for (const [n, { id, name }] of lesson.students.entries()) {
    const person = await patiently(lesson, name, n);
    let [cookies, link] = ['', '/api/student/room'];
    for (let hops = 0; hops < 5; hops++) {
      const answer = await ask('GET', link, { cookie: hops === 0 ? person.cookie : cookies });
      if (hops > 0 && answer.cookies !== '') cookies = answer.cookies;
      if (answer.status !== 302 && answer.status !== 303) break;
      link = new URL(answer.headers.location, new URL(link, base)).href;
    }
    link = link.split('?')[0];
    await must('POST', `${link}/here`, { cookie: cookies });
    people.push({ ...person, id, cookies, link });
  }
  const took = [];
  for (let i = 0; i < presses; i++) {
    const who = people[(5 * i) % people.length];
    const floor = (await must('GET', `/api/staff/lessons/${lesson.id}`, staff)).json.floor;
    const to = floor.groups.find((group) => !group.students.includes(who.id));
    const began = performance.now();
    await must('POST', `/api/staff/groupings/${floor.id}/edits`, {
      ...staff,
      body: { kind: 'seat', student: who.id, group: to.id, basedOn: floor.step },
    });
    for (;;) {
      const { json } = await ask('POST', `${who.link}/here`, { cookie: who.cookies });
      if (json?.go !== undefined) break;
      if (performance.now() - began > 15_000) throw new Error('The room was never told.');
      await wait(40);
    }
    took.push(performance.now() - began);
    people.splice(people.indexOf(who), 1); // they are in another room now
  }
  console.log(`\nIn rooms, ${each} students: move, press to the room telling where to go  ${ms(of(took))}`);
}

console.log(
  `Median / 99th percentile, on ${execFileSync('nproc').toString().trim()} processors that this program shares.`,
);
await inRooms(28);
for (const [lessons, each] of sizes) await measure(lessons, each);
publish.destroy();
done();
