// How soon the record of a large lesson opens: 160 students in 40 groups, two hours, signs every few seconds, writing
// all the time; on the server, and on the page.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { at, base, command, lessonOf, must, signedIn } from './support.mjs';

const students = Number(process.env.FH_STUDENTS ?? 160);
const minutes = Number(process.env.FH_MINUTES ?? 120);
/** A student's whereabouts change so often; they end a stretch of writing so often. Seconds. */
const [signEvery, writeEvery] = [45, 60];
const tries = 9;

const port = Number(base.port) + 2;
const password = readFileSync(new URL('../var/bench/pgpassword', import.meta.url), 'utf8').trim();
const sql = (text) =>
  execFileSync('psql', ['-h', '127.0.0.1', '-p', String(port), '-U', 'huddle', '-d', 'fresh_huddle', '-Atc', text], {
    env: { ...process.env, PGPASSWORD: password },
    encoding: 'utf8',
    maxBuffer: 64e6,
  }).trim();

const staff = await signedIn();
const lesson = await lessonOf(staff, 'Bench record', students);
await command(staff, lesson, { kind: 'sendOut' });
await command(staff, lesson, { kind: 'callBack', seconds: 0 });
await command(staff, lesson, { kind: 'end' });

// The lesson was two hours ago and two hours long; what happened in it is made up from here.
const id = lesson.id;
const length = minutes * 60_000;
sql(`
  UPDATE lesson SET begun_at = ended_at - ${length} WHERE id = '${id}';
  UPDATE run SET out_at = (SELECT begun_at FROM lesson WHERE id = '${id}') + 60000,
    ended_at = (SELECT ended_at FROM lesson WHERE id = '${id}') - 60000 WHERE lesson_id = '${id}';
  DELETE FROM live_event WHERE lesson_id = '${id}' AND kind = 'whereaboutsChanged';
  INSERT INTO live_event (lesson_id, seq, round_id, run_id, kind, at, actor_kind, actor_id, student_id, addressed, data)
    SELECT '${id}', 1000 + row_number() OVER (ORDER BY x.at, s.student_id), NULL, NULL, 'whereaboutsChanged', x.at, 'clock',
      NULL, s.student_id, false, jsonb_build_object('place', CASE x.n % 7 WHEN 0 THEN 'onTheWay' WHEN 3 THEN 'lost'
      ELSE 'inPlace' END, 'because', 'service', 'at', NULL)
    FROM run_seat s JOIN run u ON u.id = s.run_id
    CROSS JOIN LATERAL (SELECT n, u.out_at + 1000 * ${signEvery} * n::bigint AS at
      FROM generate_series(0, ${Math.floor((minutes * 60) / signEvery)}) n) x WHERE u.lesson_id = '${id}';
  INSERT INTO slot_revision (copy_id, slot, owner, revision, text, author, at, put, filled)
    SELECT c.id, 'each', s.student_id, n + 1, repeat('The water comes over the quay and into the cellars. ', n % 30 + 1),
      s.student_id, u.out_at + 1000 * ${writeEvery} * n::bigint, CASE WHEN n % 30 = 0 AND n > 0 THEN 0 ELSE 53 END, true
    FROM run_seat s JOIN run u ON u.id = s.run_id JOIN run_group g ON g.id = s.run_group_id
    JOIN work_copy c ON c.group_id = g.group_id AND c.round_id = u.round_id
    CROSS JOIN generate_series(0, ${Math.floor((minutes * 60) / writeEvery)}) n WHERE u.lesson_id = '${id}';
  UPDATE lesson SET event_seq = (SELECT max(seq) FROM live_event WHERE lesson_id = '${id}') WHERE id = '${id}';
  ANALYZE live_event; ANALYZE slot_revision;`);
const events = sql(`SELECT count(*) FROM live_event WHERE lesson_id = '${id}'`);
const stretches = sql(`SELECT count(*) FROM slot_revision r JOIN work_copy c ON c.id = r.copy_id JOIN round o
  ON o.id = c.round_id WHERE o.lesson_id = '${id}'`);
console.log(
  `A lesson of ${students} students and ${minutes} minutes: ${events} events, ${stretches} stretches of writing.`,
);

const say = (what, all, aim) => {
  const sorted = [...all].sort((a, b) => a - b);
  console.log(`  ${what.padEnd(34)} ${at(sorted, 0.5).toFixed(0)} ms, most ${at(sorted, 1).toFixed(0)} (aim ${aim})`);
};
const server = [];
let size = 0;
for (let i = 0; i < tries; i++) {
  const began = performance.now();
  const answer = await must('GET', `/api/staff/lessons/${id}/record`, staff);
  server.push(performance.now() - began);
  size = JSON.stringify(answer.json).length;
}
say('on the server', server, 'under 1,000');
console.log(`  the answer                         ${(size / 1024).toFixed(0)} kB`);

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync', '--no-first-run'],
});
const page = await (await browser.newContext({ baseURL: base.href, viewport: { width: 1280, height: 800 } })).newPage();
await page.goto('/');
await page.getByLabel('Email').fill('teacher@larkmouth.example');
await page.getByLabel('Password').fill('harbour-lights');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Your classes' }).waitFor();
const opened = [];
for (let i = 0; i < tries; i++) {
  const began = performance.now();
  await page.goto(`/lessons/${id}`, { waitUntil: 'commit' });
  await page.getByRole('heading', { name: 'Figures' }).waitFor();
  opened.push(performance.now() - began);
}
say('until the page shows it', opened, 'under 2,000');

// Played again at 60 times its speed: how long each frame took.
await page.goto(`/lessons/${id}?view=floor`);
await page.getByRole('button', { name: 'Replay this lesson' }).click();
await page.getByRole('slider', { name: 'Moment of the lesson' }).waitFor();
await page.getByRole('button', { name: 'Speed' }).click();
await page.getByRole('option', { name: '60×' }).click();
await page.waitForTimeout(1_000);
await page.getByRole('button', { name: 'Play', exact: true }).click();
const frames = await page.evaluate(
  (ms) =>
    new Promise((done) => {
      const took = [];
      const from = performance.now();
      let last = from;
      const frame = (now) => {
        took.push(now - last);
        last = now;
        if (now - from < ms) globalThis.requestAnimationFrame(frame);
        else done(took.slice(2));
      };
      globalThis.requestAnimationFrame(frame);
    }),
  30_000,
);
const sorted = [...frames].sort((a, b) => a - b);
console.log(
  `  a frame of the replay at 60×       median ${at(sorted, 0.5).toFixed(1)} ms, 99th ${at(sorted, 0.99).toFixed(1)}, ` +
    `most ${at(sorted, 1).toFixed(1)} of ${sorted.length}, over 50: ${sorted.filter((one) => one > 50).length} (aim 0)` +
    frames.map((one, i) => (one > 50 ? `, frame ${i}` : '')).join(''),
);

// A term: lessons that were held through the product; signs every minute are made up.
const lessons = Number(process.env.FH_LESSONS ?? 60);
let first = null;
for (let n = 0; n < lessons; n++) {
  const held =
    first === null
      ? await lessonOf(staff, 'Bench term', 28)
      : (
          await must('POST', `/api/staff/classes/${first.classId}/lessons`, {
            ...staff,
            body: { title: `Term ${n}`, minutes: 50 },
          })
        ).json;
  if (first !== null) {
    await must('POST', `/api/staff/groupings/${held.floor.id}/deal`, {
      ...staff,
      body: { basedOn: held.floor.step, groups: 7, seed: n },
    });
    await must('PATCH', `/api/staff/segments/${held.round.segmentId}`, { ...staff, body: { lookSeconds: 0 } });
  }
  first ??= held;
  await command(staff, held, { kind: 'sendOut' });
  for (const group of (await must('GET', `/api/staff/lessons/${held.id}`, staff)).json.floor.groups)
    await command(staff, held, { kind: 'visit', group: group.id });
  await command(staff, held, { kind: 'leave' });
  await command(staff, held, { kind: 'callBack', seconds: 0 });
  await command(staff, held, { kind: 'end' });
}
if (first !== null)
  sql(`
  INSERT INTO live_event (lesson_id, seq, round_id, run_id, kind, at, actor_kind, actor_id, student_id, addressed, data)
    SELECT l.id, 1000 + row_number() OVER (PARTITION BY l.id ORDER BY n, s.student_id), NULL, NULL,
      'whereaboutsChanged', l.begun_at + n, 'clock', NULL, s.student_id, false,
      jsonb_build_object('place', CASE n % 7 WHEN 3 THEN 'lost' ELSE 'inPlace' END, 'because', 'service', 'at', NULL)
    FROM lesson l JOIN run u ON u.lesson_id = l.id JOIN run_seat s ON s.run_id = u.id, generate_series(1, 50) n
    WHERE l.class_id = '${first.classId}';
  ANALYZE live_event;`);
const term = [];
const termPage = [];
for (let i = 0; first !== null && i < tries; i++) {
  let began = performance.now();
  await must('GET', `/api/staff/classes/${first.classId}/term`, staff);
  term.push(performance.now() - began);
  began = performance.now();
  await page.goto(`/classes/${first.classId}/term`, { waitUntil: 'commit' });
  await page.getByRole('heading', { name: 'Each student' }).waitFor();
  termPage.push(performance.now() - began);
}
if (first === null) process.exit();
console.log(`A term of ${lessons} lessons, 28 students:`);
say('on the server', term, 'under 1,000');
say('until the page shows it', termPage, 'under 1,000');
await browser.close();
process.exit();
