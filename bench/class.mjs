// Whole classes of simulated students over real HTTP and streams: they come, are sent out, work, call, lose their line,
// are called back. Their minds are those of practice and rehearsal.
import { Crowd } from './class/crowd.mjs';
import { Student } from './class/student.mjs';
import { at, command, figures, lessonOf, must, signedIn, wait } from './support.mjs';

/** Classes, students in each; the default: one of 28, one of 160. */
const sizes = (process.env.FH_SIZES ?? '1x28,1x160').split(',').map((one) => one.split('x').map(Number));
const seconds = Number(process.env.FH_SECONDS ?? 120);
const tick = 250;

/** What happened, counted and timed. */
class Log {
  times = new Map();
  failed = new Map();
  hearing = [];
  pressedAt = null;

  note(kind, milliseconds, status) {
    const all = this.times.get(kind);
    if (all === undefined) this.times.set(kind, [milliseconds]);
    else all.push(milliseconds);
    if (status !== 0 && status < 400) return;
    const what = `${kind} ${status}`;
    this.failed.set(what, (this.failed.get(what) ?? 0) + 1);
  }

  heard(_student, message) {
    if (this.pressedAt !== null && message.kind === 'round') this.hearing.push(performance.now() - this.pressedAt);
  }
}

const log = new Log();

/** One class: its students, and their minds. */
class SchoolClass {
  constructor(lesson, number) {
    this.lesson = lesson;
    this.students = lesson.students.map(({ name }, i) => new Student(number * 200 + i, name, lesson.doorWord, log));
    this.crowd = new Crowd({
      seed: number + 1,
      begins: Date.now() + 2_000,
      minutes: Math.max(1, Math.round(seconds / 60)),
      young: false,
      names: this.students.map(({ name }) => name),
    });
    this.again = this.students.map(() => 0);
    this.shown = this.students.map(() => '');
  }

  /** Everybody whose page has changed, or who has something to do, looks. */
  async look() {
    const now = Date.now();
    const looks = [];
    for (const [i, student] of this.students.entries()) {
      const sight = student.sight(now);
      const text = JSON.stringify({ ...sight, blanks: null });
      if (text === this.shown[i] && now < this.again[i]) continue;
      this.shown[i] = text;
      looks.push([i, sight]);
    }
    if (looks.length === 0) return;
    const { acts, again } = await this.crowd.look(now, looks);
    for (const [i, moment] of again) this.again[i] = moment;
    for (const [i, ...act] of acts) void this.students[i].act(...act);
  }

  end() {
    this.going = false;
    this.crowd.end();
    for (const student of this.students) student.leave();
  }

  async live() {
    this.going = true;
    while (this.going) {
      await this.look();
      await wait(tick);
    }
  }
}

const say = (what, value) => console.log(`  ${what.padEnd(34)} ${value}`);

/** What stands in the copies is what was last said to be saved, of everybody's own answers. */
async function lost(staff, all) {
  let checked = 0;
  let missing = 0;
  for (const { lesson, students } of all) {
    const copies = new Map();
    const round = (await must('GET', `/api/staff/lessons/${lesson.id}`, staff)).json.roundNow.id;
    for (const copy of (await must('GET', `/api/staff/rounds/${round}/copies`, staff)).json) copies.set(copy.id, copy);
    for (const student of students)
      for (const [place, answer] of student.saved) {
        const [copy, slot, owner] = place.split('|');
        if (owner === copy) continue; // of an answer together others may have written since
        checked++;
        const kept = copies.get(copy)?.answers.find((one) => one.slot === slot && one.owner === owner);
        if (kept?.text !== answer.text) missing++;
      }
  }
  return [checked, missing];
}

async function run(classes, size) {
  console.log(`${classes} ${classes === 1 ? 'class' : 'classes'} of ${size}, ${seconds} s`);
  const staff = await signedIn();
  const all = [];
  for (let n = 0; n < classes; n++) all.push(new SchoolClass(await lessonOf(staff, `Class ${n} of ${size}`, size), n));
  const living = all.map((one) => one.live());
  await wait(20_000);
  const press = async (kind, more = {}) => {
    log.hearing = [];
    const times = [];
    for (const { lesson } of all) {
      const began = performance.now();
      log.pressedAt ??= began;
      await command(staff, lesson, { kind, ...more });
      times.push(performance.now() - began);
    }
    await wait(3_000);
    log.pressedAt = null;
    say(`${kind}: answered`, figures(times));
    say(`${kind}: heard by ${log.hearing.length}`, figures(log.hearing));
  };
  await press('sendOut');
  await wait(Math.max(10_000, 1_000 * seconds - 30_000));
  await press('callBack', { seconds: 5 });
  await wait(15_000);
  const isIn = all.flatMap(({ students }) => students.filter(({ now }) => now !== null)).length;
  say('came', `${isIn} of ${classes * size}`);
  for (const [kind, times] of [...log.times].sort())
    say(
      kind,
      `${times.length}, median ${at(
        times.sort((a, b) => a - b),
        0.5,
      ).toFixed(0)} ms, 99th ${at(times, 0.99).toFixed(0)}`,
    );
  say('refused or failed', [...log.failed].map(([what, n]) => `${what}: ${n}`).join(', ') || 'none');
  const [checked, missing] = await lost(staff, all);
  say('said to be saved, and not there', `${missing} of ${checked}`);
  for (const one of all) one.end();
  await Promise.all(living);
  log.times.clear();
  log.failed.clear();
}

for (const [classes, size] of sizes) await run(classes, size);
process.exit(0);
