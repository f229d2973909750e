// A lesson in which processes die: one of the product's is killed every 5 seconds, with no word of warning, while
// students write and the teacher gives commands. Each keeps a log of what was said to be saved or done; at the end a
// program reads the logs and asks whether it is all there, once. It ends with 1 where it is not.
import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { ask, comeIn, done, figures, lessonOf, signedIn, wait } from './support.mjs';

const seconds = Number(process.env.FH_SECONDS ?? 300);
const every = Number(process.env.FH_EVERY ?? 5) * 1_000;
const students = Number(process.env.FH_STUDENTS ?? 40);
const run = process.env.FH_RUN;

const staff = await signedIn();
const lesson = await lessonOf(staff, 'Killed', students);

/** Asks as a page does: over a line that breaks, until it is answered. */
async function stubbornly(...words) {
  for (let tries = 0; ; tries++) {
    const answer = await ask(...words).catch(() => ({ status: 0, json: null }));
    if (answer.status !== 0 && answer.status < 500 && answer.status !== 429) return answer;
    if (tries > 200) throw new Error(`${words[0]} ${words[1]} was never answered: ${answer.status}`);
    await wait(150 + Math.random() * 200);
  }
}

let key = 0;
const give = (body) =>
  stubbornly('POST', `/api/staff/lessons/${lesson.id}/commands`, {
    ...staff,
    body,
    headers: { 'Idempotency-Key': `killed-press-${++key}` },
  });

await give({ kind: 'sendOut' });
const people = [];
for (const { id, name } of lesson.students)
  people.push({ id, log: [], ...(await comeIn(lesson, name, people.length)) });
let on = true;

/** Types words, each its own; a word is in the log once its save was answered. */
async function write(person, n) {
  await wait(n * 37);
  for (let i = 0; on; i++) {
    const word = `w${n}x${i}.`;
    const body = { save: crypto.randomUUID(), base: person.text, text: `${person.text}${word}` };
    const began = performance.now();
    const answer = await stubbornly('PUT', `/api/student/copies/${person.copy}/slots/each`, {
      cookie: person.cookie,
      body,
    });
    if (answer.status !== 200) throw new Error(`A save was refused: ${answer.status} ${JSON.stringify(answer.json)}`);
    person.text = answer.json.text;
    person.log.push(word);
    took.push(performance.now() - began);
    await wait(600);
  }
}

/**
 * Says things, and has students taken aside and put back; each press is in the log with what it should have come to.
 */
const said = [];
const places = new Map();
async function teach() {
  for (let i = 0; on; i++) {
    const text = `Notice ${i}.`;
    if ((await give({ kind: 'say', text })).status === 200) said.push(text);
    const who = people[(7 * i) % people.length];
    const aside = i % 3 !== 0;
    const answer = await give(
      aside ? { kind: 'takeAside', students: [who.id], place: 'main' } : { kind: 'putBack', students: [who.id] },
    );
    if (answer.status === 200) places.set(who.id, aside ? 'main' : null);
    await wait(700);
  }
}

/** Processes of the instance, by what they are. */
function processes() {
  let supervised;
  try {
    supervised = execFileSync('supervisorctl', ['-s', `unix://${run}/supervisor.sock`, 'status'], { encoding: 'utf8' });
  } catch (problem) {
    supervised = String(problem.stdout ?? ''); // it ends with 3 while one is being brought up
  }
  const found = new Map();
  const parents = new Map();
  for (const pid of readdirSync('/proc').filter((one) => /^\d+$/.test(one))) {
    try {
      const parent = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ')[1];
      parents.set(parent, [...(parents.get(parent) ?? []), pid]);
    } catch {
      // It has gone meanwhile.
    }
  }
  for (const line of supervised.split('\n')) {
    const [name, , , pid] = line.trim().split(/\s+/);
    const main = pid?.replace(',', '');
    if (name === undefined || !/^\d+$/.test(main ?? '')) continue;
    found.set(name, [main]);
    const children = parents.get(main) ?? [];
    if (children.length > 0) found.set(`one of ${name}`, children);
  }
  return found;
}

const killed = new Map();
async function kill() {
  let turn = [];
  const until = performance.now() + 1_000 * seconds;
  while (performance.now() < until) {
    await wait(every);
    const victims = processes();
    turn = turn.filter((one) => victims.has(one));
    if (turn.length === 0) turn = [...victims.keys()].sort(() => Math.random() - 0.5);
    const what = turn.pop();
    const pids = victims.get(what) ?? [];
    const pid = pids[Math.floor(Math.random() * pids.length)];
    if (pid === undefined) continue;
    try {
      process.kill(Number(pid), 'SIGKILL');
      killed.set(what, (killed.get(what) ?? 0) + 1);
    } catch {
      // It has gone by itself.
    }
  }
}

const took = [];
const work = [...people.map(write), teach()];
await kill();
on = false;
await Promise.all(work);

const wrong = [];
const expect = (is, what) => is || wrong.push(what);
const copies = (await stubbornly('GET', `/api/staff/rounds/${lesson.round.id}/copies`, staff)).json;
const stands = new Map(
  copies.flatMap((copy) =>
    copy.answers.filter((one) => one.slot === 'each').map((one) => [`${copy.id}${one.owner}`, one.text]),
  ),
);
let words = 0;
for (const person of people) {
  const text = stands.get(`${person.copy}${person.id}`) ?? '';
  words += person.log.length;
  expect(
    text === person.log.join(''),
    `An answer is not what was said to be saved: ${text.length} signs for ${person.log.join('').length}.`,
  );
}
const log = (await stubbornly('GET', `/api/staff/lessons/${lesson.id}/log`, staff)).json;
const times = new Map();
for (const { kind, text } of log) if (kind === 'noticeSaid') times.set(text, (times.get(text) ?? 0) + 1);
// The log shows its latest 500 lines.
const shown = said.slice(-times.size);
for (const text of shown) expect(times.get(text) === 1, `“${text}” was said ${times.get(text) ?? 0} times.`);
const view = (await stubbornly('GET', `/api/staff/lessons/${lesson.id}`, staff)).json;
for (const [id, place] of places) {
  const is = view.students.find((one) => one.id === id)?.aside;
  expect(is === place, `A student is to be in ${is}, and was sent to ${place}.`);
}
await give({ kind: 'callBack', seconds: 0 });
for (const person of people) {
  const now = (await stubbornly('GET', '/api/student/now', { cookie: person.cookie })).json;
  expect(now.moments.backAt !== null && now.moments.backAt <= now.serverNow, 'A page does not know of the call back.');
}
console.log(
  `${seconds} s, ${students} students: ${[...killed].map(([what, n]) => `${what} ${n}`).join(', ')}; ${[...killed.values()].reduce((a, b) => a + b, 0)} killed.`,
);
console.log(
  `  ${words} words said to be saved, ${said.length} notices and ${key} presses; a save, with all its tries: ${figures(took)}`,
);
console.log(
  wrong.length === 0
    ? '  all of it is there, once, and everybody is where they should be'
    : `  WRONG: ${wrong.slice(0, 10).join('\n         ')}`,
);
done();
process.exitCode = wrong.length === 0 ? 0 : 1;
