// Students who write together at human speed, as their pages do: how long from a keystroke until it is saved, and until
// the others of the group see it; and how the database grows.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import {
  Pace,
  ask,
  comeIn,
  command,
  done,
  figures,
  lessonOf,
  listen,
  must,
  paceOf,
  signedIn,
  wait,
} from './support.mjs';

const students = Number(process.env.FH_STUDENTS ?? 150);
const seconds = Number(process.env.FH_SECONDS ?? 40);
const keystroke = 220;

/** The page's own: how long it waits after a keystroke, and at the most. */
const sync = readFileSync(new URL('../web/src/areas/materials/student/slotSync.ts', import.meta.url), 'utf8');
const constant = (name) => Number(new RegExp(`const ${name} = ([\\d_]+)`).exec(sync)?.[1]?.replaceAll('_', ''));
const pause = Number(process.env.FH_PAUSE ?? constant('pause'));
const longest = Number(process.env.FH_LONGEST ?? constant('longest'));

const size = () => {
  const folder = new URL('../var/bench/', import.meta.url);
  const password = readFileSync(new URL('pgpassword', folder), 'utf8').trim();
  const port = Number(new URL(process.env.FH_BASE).port) + 2;
  const sql =
    "SELECT sum(pg_total_relation_size(c)) FROM unnest(ARRAY['slot_answer','slot_revision','slot_save']::regclass[]) c";
  return Number(
    execFileSync('psql', ['-h', '127.0.0.1', '-p', String(port), '-U', 'huddle', '-d', 'fresh_huddle', '-Atc', sql], {
      env: { ...process.env, PGPASSWORD: password },
    }),
  );
};

const staff = await signedIn();
const cards = Array.from({ length: 9 }, (_, i) => ({ id: `c${i}`, text: `Card ${i}` }));
const lesson = await lessonOf(staff, 'Write', students, {
  size: 5,
  blocks: [
    { id: 'each', kind: 'each', text: 'What do you see?' },
    { id: 'together', kind: 'together', text: 'What do you all say?' },
    { id: 'sort', kind: 'sort', text: 'Sort', settings: { items: cards, heads: [{ id: 'h', text: 'Here' }] } },
    { id: 'ticks', kind: 'ticks', text: 'Tick', settings: { items: cards } },
  ],
});
await command(staff, lesson, { kind: 'sendOut' });

const toSaved = [];
const toSeen = [];
const requests = [];
let saves = 0;
let failed = 0;
/** When a state of a slot was heard by a mate, and which keystrokes are in it: whichever is known first waits. */
const heardAt = new Map();
const typedIn = new Map();
const pair = (key) => {
  const at = heardAt.get(key);
  const typed = typedIn.get(key);
  if (at === undefined || typed === undefined) return;
  for (const moment of at) for (const one of typed.keys) toSeen.push(moment - one);
  heardAt.set(key, []);
};

const people = [];
for (const { name } of lesson.students) {
  const person = await comeIn(lesson, name, people.length);
  people.push(person);
  await listen(person.address, person.cookie, (message) => {
    const of = message.kind === 'answer' ? message.answer : message.kind === 'change' ? message : null;
    if (of === null) return;
    if (of.slot === 'together') person.heard = message.kind === 'answer' ? of : person.heard;
    const key = `${message.copy}.${of.slot}.${of.owner}.${of.revision}`;
    if (typedIn.get(key)?.by === person) return;
    heardAt.set(key, [...(heardAt.get(key) ?? []), performance.now()]);
    pair(key);
  });
}

let going = true;
/** One place of one student: what it holds, and what is typed into it, saved as a page saves. */
class Place {
  constructor(person, slot) {
    Object.assign(this, { person, slot, base: '', text: '', keys: [], first: null, running: false });
  }
  type(text) {
    this.text = text;
    this.keys.push(performance.now());
    this.first ??= performance.now();
    globalThis.clearTimeout(this.timer);
    const by = this.first + this.person.pace.wait(longest) - performance.now();
    this.timer = setTimeout(() => void this.save(), Math.max(0, Math.min(this.person.pace.wait(pause), by)));
  }
  async save() {
    if (this.running) return;
    if (this.text === this.base) {
      this.keys = []; // what was ticked is ticked: there is nothing to save
      this.first = null;
      return;
    }
    this.running = true;
    const { keys, text } = this;
    this.keys = [];
    this.first = null;
    const began = performance.now();
    const answer = await ask('PUT', `/api/student/copies/${this.person.copy}/slots/${this.slot}`, {
      cookie: this.person.cookie,
      body: { save: crypto.randomUUID(), base: this.base, text },
    }).catch(() => ({ status: 0, headers: {} }));
    this.running = false;
    this.person.pace.note(paceOf(answer));
    if (answer.status !== 200) {
      failed++;
      this.keys = [...keys, ...this.keys];
      if (going) setTimeout(() => void this.save(), 1_000);
      return;
    }
    const now = performance.now();
    saves++;
    requests.push(now - began);
    for (const one of keys) toSaved.push(now - one);
    const { json } = answer;
    const key = `${this.person.copy}.${this.slot}.${json.owner}.${json.revision}`;
    typedIn.set(key, { by: this.person, keys });
    pair(key);
    this.base = text;
    if (this.text === text) this.base = this.text = json.text;
    else this.type(this.text);
  }
}

async function write(person) {
  person.pace = new Pace();
  const places = Object.fromEntries(
    ['each', 'together', 'sort', 'ticks'].map((slot) => [slot, new Place(person, slot)]),
  );
  await wait(Math.random() * 3_000);
  while (going) {
    const slot = Math.random() < 0.5 ? 'each' : 'together';
    const place = places[slot];
    for (let n = 20 + Math.random() * 40; going && n > 0; n--) {
      place.type(`${place.text.slice(-1_500)}${'etaoin shrdlu'[Math.floor(Math.random() * 13)]}`);
      await wait(keystroke * (0.5 + Math.random()));
    }
    const other = places[Math.random() < 0.5 ? 'sort' : 'ticks'];
    const things = other.text === '' ? {} : JSON.parse(other.text);
    const card = `c${Math.floor(Math.random() * 9)}`;
    other.type(
      JSON.stringify({ ...things, [card]: other.slot === 'ticks' ? true : { place: Math.random(), under: 'h' } }),
    );
    await wait(1_000 + Math.random() * 3_000);
  }
}

console.log(`${students} students in groups of five, a keystroke about every ${keystroke} ms, ${seconds} s.`);
console.log(`The page saves ${pause} ms after a keystroke, at the latest ${longest} ms after the first.`);
const writers = people.map(write);
await wait(8_000);
for (const list of [toSaved, toSeen, requests]) list.length = 0;
saves = failed = 0;
const before = size();
const began = performance.now();
await wait(seconds * 1_000);
const took = (performance.now() - began) / 1_000;
const [rate, lost, grown] = [saves / took, failed, size() - before];
const said = [requests, toSaved, toSeen].map((list) => figures([...list]));
going = false;
await Promise.all(writers);
console.log(`${rate.toFixed(0)} saves a second, ${lost} failed
  a save itself:        ${said[0]}
  keystroke to saved:   ${said[1]}
  keystroke to seen:    ${said[2]}
  the tables of answers grow by ${((grown / students / took) * 3.6).toFixed(0)} kB a student and hour`);
await must('POST', '/api/staff/sign-out', { ...staff, body: {} });
done();
process.exit(0);
