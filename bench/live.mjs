// Call back to a lesson with many students listening: how long from the teacher's press to the event on each page.
import { ask, comeIn, command, done, figures, lessonOf, listen, signedIn, wait } from './support.mjs';

const students = Number(process.env.FH_STUDENTS ?? 200);
const rounds = Number(process.env.FH_ROUNDS ?? 20);
const saveEvery = 2_000;

const staff = await signedIn();
const lesson = await lessonOf(staff, 'Bench', students);
await command(staff, lesson, { kind: 'sendOut' });

let pressed = 0;
let delays = [];
const heard = (message) => {
  if (message.kind === 'round' && message.moments.backAt !== null) delays.push(performance.now() - pressed);
};
const people = [];
const streams = [];
for (const { name } of lesson.students) {
  const person = await comeIn(lesson, name, people.length);
  people.push(person);
  streams.push(await listen(person.address, person.cookie, heard));
}
console.log(`${students} students connected, ${Math.ceil(students / 4)} groups, ${rounds} call backs each time.`);

async function callBacks(title) {
  delays = [];
  const presses = [];
  for (let i = 0; i < rounds; i++) {
    await wait(400);
    pressed = performance.now();
    await command(staff, lesson, { kind: 'callBack', seconds: 120 });
    presses.push(performance.now() - pressed);
    await wait(700);
    await command(staff, lesson, { kind: 'keepWorking' });
  }
  console.log(
    `${title}\n  press to page: ${figures(delays)}; ${delays.length} of ${students * rounds} heard\n  the press itself: ${figures(presses)}`,
  );
}

await callBacks('Nobody writes:');

let writing = true;
const saves = [];
let failed = 0;
async function write(person, first) {
  await wait(first);
  while (writing) {
    const began = performance.now();
    const text = `${person.text}word `;
    const answer = await ask('PUT', `/api/student/copies/${person.copy}/slots/each`, {
      cookie: person.cookie,
      body: { save: crypto.randomUUID(), base: person.text, text },
    }).catch(() => ({ status: 0 }));
    if (answer.status === 200) {
      person.text = answer.json.text;
      saves.push(performance.now() - began);
    } else {
      failed++;
    }
    await wait(Math.max(0, saveEvery - (performance.now() - began)));
  }
}
const writers = people.map((person, i) => write(person, (i * saveEvery) / people.length));
await wait(3_000);
const [from, since] = [saves.length, performance.now()];
await callBacks('While every student saves once in two seconds:');
const rate = (saves.length - from) / ((performance.now() - since) / 1_000);
writing = false;
await Promise.all(writers);
console.log(`  saves: ${rate.toFixed(0)} a second, ${figures(saves)}; ${failed} failed`);
for (const stream of streams) stream.destroy();
done();
