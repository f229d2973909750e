// What a request costs: processor and wall milliseconds of a sign of life, `now`, a save and the teacher's lesson, one
// by one; and how many saves go through while many students write at once.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Pace, ask, at, comeIn, command, done, figures, lessonOf, must, paceOf, signedIn, wait } from './support.mjs';

const students = Number(process.env.FH_STUDENTS ?? 400);
const times = Number(process.env.FH_TIMES ?? 300);
const loadFor = Number(process.env.FH_SECONDS ?? 20) * 1_000;
const run = process.env.FH_RUN ?? '';
const ticks = Number(execFileSync('getconf', ['CLK_TCK'], { encoding: 'utf8' }));

const pid = (program) =>
  execFileSync('supervisorctl', ['-s', `unix://${run}/supervisor.sock`, 'pid', program], { encoding: 'utf8' }).trim();
const family = (parent) => {
  try {
    return execFileSync('pgrep', ['-P', parent], { encoding: 'utf8' }).trim().split('\n');
  } catch {
    return [];
  }
};
/** Processor milliseconds that a program's processes have used so far, those that have ended included. */
function used(program) {
  const parent = pid(program);
  let sum = 0;
  for (const process of [parent, ...family(parent)]) {
    try {
      const stat = readFileSync(`/proc/${process}/stat`, 'utf8')
        .replace(/^.*\) /, '')
        .split(' ');
      const [user, system, childUser, childSystem] = stat.slice(11, 15).map(Number);
      sum += user + system + (process === parent ? childUser + childSystem : 0);
    } catch {
      // it has ended: its parent has its time
    }
  }
  return (1_000 * sum) / ticks;
}

const staff = await signedIn();
const lesson = await lessonOf(staff, 'Request', students);
await command(staff, lesson, { kind: 'sendOut' });
const people = [];
for (const { name } of lesson.students) people.push(await comeIn(lesson, name, people.length));
await wait(1_500);

const save = (person) => {
  const text = `${person.text}word `.slice(-4_000);
  const body = { save: crypto.randomUUID(), base: person.text, text };
  person.text = text;
  return ask('PUT', `/api/student/copies/${person.copy}/slots/each`, { cookie: person.cookie, body });
};
const one = (i) => people[i % people.length];
const kinds = {
  'a sign of life': (i) => ask('POST', '/api/student/sign', { cookie: one(i).cookie, body: {} }),
  now: (i) => ask('GET', '/api/student/now', { cookie: one(i).cookie }),
  'a save': (i) => save(one(i)),
  'the teacher’s lesson': () => ask('GET', `/api/staff/lessons/${lesson.id}`, staff),
};
console.log(`One by one, ${times} times each, a class of ${students} out in fours.\n`);
console.log('| | PHP, processor ms | PostgreSQL, processor ms | wall, median | wall, 99th |\n|---|---|---|---|---|');
for (const [name, request] of Object.entries(kinds)) {
  for (let i = 0; i < 20; i++) await request(i);
  const walls = [];
  const before = [used('application'), used('postgres')];
  for (let i = 0; i < times; i++) {
    const began = performance.now();
    const answer = await request(i);
    if (answer.status >= 300) throw new Error(`${name}: ${answer.status} ${JSON.stringify(answer.json)}`);
    walls.push(performance.now() - began);
  }
  const [php, postgres] = [used('application') - before[0], used('postgres') - before[1]].map((ms) =>
    (ms / times).toFixed(1),
  );
  walls.sort((a, b) => a - b);
  console.log(`| ${name} | ${php} | ${postgres} | ${at(walls, 0.5).toFixed(1)} | ${at(walls, 0.99).toFixed(1)} |`);
}

// Everybody writes: each about every two seconds whatever the server does, and then as a page does
// (web/src/api/pace.ts), which sends as often as the server lets it.
async function everybodyWrites(minds) {
  let failed = 0;
  const saves = [];
  let going = true;
  const writer = async (person) => {
    const pace = new Pace();
    await wait(Math.random() * 2_000);
    while (going) {
      const began = performance.now();
      const answer = await save(person).catch(() => ({ status: 0, headers: {} }));
      const took = performance.now() - began;
      if (answer.status === 200) {
        person.text = answer.json.text;
        saves.push(took);
      } else failed++;
      if (minds) pace.note(paceOf(answer));
      await wait(Math.max(0, pace.wait(2_000) - took));
    }
  };
  const writers = people.map(writer);
  if (minds) await wait(loadFor / 2); // until they have found their pace
  saves.length = failed = 0;
  const began = performance.now();
  await wait(loadFor);
  const seconds = (performance.now() - began) / 1_000;
  const done = [...saves];
  going = false;
  await Promise.all(writers);
  return `${(done.length / seconds).toFixed(0)} saves a second, ${figures(done)}, ${failed} failed`;
}
console.log(`\n${students} students write at once, load generator included.`);
console.log(`Each every 2 s, whatever the server does: ${await everybodyWrites(false)}.`);
console.log(`As a page does: ${await everybodyWrites(true)}.`);
await must('POST', '/api/staff/sign-out', { ...staff, body: {} });
done();
