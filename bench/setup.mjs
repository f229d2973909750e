// What the set-up list takes: worked out (asked for over HTTP), and carried out against the stand-ins by the instance's
// workers, from the press to the last step done; 5 originals, posts and letters; by students and groups.
import { ask, at, must, signedIn, wait } from './support.mjs';

const originals = 5;
const staff = await signedIn();
const without = process.env.FH_WITHOUT ?? '';
const sizes = (process.env.FH_SIZES ?? '28x6 150x30 400x100').split(' ').map((one) => one.split('x').map(Number));

/** A class in its groups, with everything planned and nothing made. */
async function planned(students, groups) {
  const names = Array.from({ length: students }, (_, i) => `Student ${i + 1}`).join('\n');
  const { json: made } = await must('POST', '/api/staff/classes', {
    ...staff,
    body: { name: `Set-up ${students}`, names },
  });
  const { json: lesson } = await must('POST', `/api/staff/classes/${made.id}/lessons`, {
    ...staff,
    body: { title: 'Set-up', minutes: 50 },
  });
  await must('POST', `/api/staff/groupings/${lesson.floor.id}/deal`, {
    ...staff,
    body: { basedOn: 0, groups, seed: 1 },
  });
  for (let i = 1; i <= originals; i++) {
    await must('POST', `/api/staff/rounds/${lesson.round.id}/originals`, {
      ...staff,
      body: {
        title: `Original ${i}`,
        basedOn: 0,
        pages: [{ id: 'p', title: '', blocks: [{ id: 'each', kind: 'each', text: 'What do you notice?' }] }],
        variants: [],
      },
    });
  }
  for (const [i, { id }] of lesson.students.entries())
    await must('PATCH', `/api/staff/students/${id}`, { ...staff, body: { email: `s${i}-${id}@larkmouth.example` } });
  await must('PUT', `/api/staff/rounds/${lesson.round.id}/sending`, {
    ...staff,
    body: { posts: !without.includes('posts'), letters: !without.includes('letters') },
  });
  return lesson;
}

console.log(
  '| | list, median ms | list, most ms | the lesson with its ready check, median ms | list says | carried out, s | after it, list, median ms |\n|---|---|---|---|---|---|---|',
);
for (const [students, groups] of sizes) {
  const lesson = await planned(students, groups);
  const list = `/api/staff/rounds/${lesson.round.id}/set-up`;
  const timed = async (path) => {
    const walls = [];
    for (let i = 0; i < 23; i++) {
      const began = performance.now();
      await must('GET', path, staff);
      if (i > 2) walls.push(performance.now() - began);
    }
    const sorted = walls.sort((a, b) => a - b);
    return { median: at(sorted, 0.5).toFixed(0), most: at(sorted, 1).toFixed(0) };
  };
  const listed = await timed(list);
  const page = await timed(`/api/staff/lessons/${lesson.id}`);
  const { json: shown } = await must('GET', list, staff);
  const began = performance.now();
  await must('POST', list, { ...staff, body: { digest: shown.digest } });
  for (;;) {
    const { json } = await ask('GET', `/api/staff/lessons/${lesson.id}`, staff);
    if (json.setUp === null) break;
    if (!json.setUp.running) throw new Error(JSON.stringify(json.setUp));
    await wait(100);
  }
  const took = (performance.now() - began) / 1_000;
  const after = await must('GET', list, staff);
  if (after.json.steps.length > 0) throw new Error(`left: ${JSON.stringify(after.json.steps[0])}`);
  const done = await timed(list);
  console.log(
    `| ${students} students, ${groups} groups | ${listed.median} | ${listed.most} | ${page.median} | ${shown.press} | ${took.toFixed(1)} | ${done.median} |`,
  );
}
