// What a teacher, two students and an arrival wait who have nothing to do with an attack: a thread of its own
// (hostile.mjs).
import { parentPort, workerData } from 'node:worker_threads';
import { ask, wait } from './support.mjs';

const { staff, lesson, people } = workerData;

/** Presses of people who have nothing to do with an attack, until then. */
async function honest(until) {
  const waited = { teacher: [], student: [], save: [], door: [] };
  let failed = 0;
  const press = async (kind, ...words) => {
    const began = performance.now();
    const answer = await ask(...words).catch(() => ({ status: 0 }));
    waited[kind].push(performance.now() - began);
    if (answer.status === 0 || answer.status >= 400) failed++;
    return answer;
  };
  const teacher = async () => {
    for (let i = 0; performance.now() < until; i++) {
      await (i % 2 === 0
        ? press('teacher', 'GET', `/api/staff/lessons/${lesson.id}`, staff)
        : press('teacher', 'PATCH', `/api/staff/segments/${lesson.segment}`, {
            ...staff,
            body: { instructions: `n ${i}` },
          }));
      await wait(150);
    }
  };
  const student = async (person) => {
    while (performance.now() < until) {
      await press('student', 'POST', '/api/student/sign', { cookie: person.cookie });
      await wait(100);
    }
  };
  const writer = async (person) => {
    while (performance.now() < until) {
      const body = { save: crypto.randomUUID(), base: person.text, text: `${person.text}word `.slice(-2_000) };
      const answer = await press('save', 'PUT', `/api/student/copies/${person.copy}/slots/each`, {
        cookie: person.cookie,
        body,
      });
      if (answer.status === 200) person.text = answer.json.text;
      await wait(400);
    }
  };
  const arrival = async () => {
    for (let i = 0; performance.now() < until; i++) {
      await press('door', 'GET', `/api/student/classes/${encodeURIComponent(lesson.doorWord)}`, {
        headers: { 'X-Forwarded-For': `203.0.113.${i % 250}` },
      });
      await wait(200);
    }
  };
  await Promise.all([teacher(), student(people[0]), writer(people[1]), arrival()]);
  return { waited, failed };
}

parentPort.on('message', (ms) => {
  void honest(performance.now() + ms).then((result) => parentPort.postMessage(result));
});
