// What an honest teacher and an honest student wait while somebody attacks. Each attack is bounded in time and number,
// and goes to a fresh instance on this machine.
import { execFileSync } from 'node:child_process';
import http from 'node:http';
import { Worker } from 'node:worker_threads';
import { deflateRawSync } from 'node:zlib';
import { at, ask, base, comeIn, command, done, figures, lessonOf, listen, must, signedIn, wait } from './support.mjs';

const lasts = Number(process.env.FH_SECONDS ?? 8) * 1_000;
const run = process.env.FH_RUN ?? '';
const supervisor = (...words) =>
  execFileSync('supervisorctl', ['-s', `unix://${run}/supervisor.sock`, ...words], { encoding: 'utf8' }).trim();
const nginxWorkers = () => execFileSync('pgrep', ['-P', supervisor('pid', 'nginx')], { encoding: 'utf8' }).trim();

const staff = await signedIn();
const lesson = await lessonOf(staff, 'Hostile', 40);
await command(staff, lesson, { kind: 'sendOut' });
const people = [];
for (const { name } of lesson.students.slice(0, 20)) people.push(await comeIn(lesson, name, people.length));
const open = new Set();
for (const person of people) {
  const stream = await listen(person.address, person.cookie, () => undefined);
  open.add(stream);
  stream.on('close', () => open.delete(stream));
}
const attackers = [];
for (const { name } of lesson.students.slice(20, 24))
  attackers.push(await comeIn(lesson, name, 100 + attackers.length));

/** Honest people press in a thread of their own: what they wait is not what the attacker's own loop takes. */
const honestPeople = new Worker(new URL('./honest.mjs', import.meta.url), {
  workerData: {
    staff,
    lesson: { id: lesson.id, doorWord: lesson.doorWord, segment: lesson.round.segmentId },
    people: people.slice(0, 2),
  },
});
const honest = (ms) =>
  new Promise((finish, fail) => {
    honestPeople.once('message', finish);
    honestPeople.once('error', fail);
    honestPeople.postMessage(ms);
  });

const short = (values) => {
  const sorted = [...values].sort((a, b) => a - b);
  return `${at(sorted, 0.5).toFixed(0)} / ${at(sorted, 1).toFixed(0)}`;
};
const rows = [];
/** One attack, with what honest people waited meanwhile. */
async function under(title, attack, note = () => '') {
  const before = nginxWorkers();
  const until = performance.now() + lasts;
  const [{ waited, failed }] = await Promise.all([honest(lasts), attack(until)]);
  const workers = nginxWorkers() === before ? '' : ' NGINX WORKER DIED';
  rows.push([
    title,
    short(waited.teacher),
    short(waited.student),
    short(waited.save),
    short(waited.door),
    String(failed),
    `${open.size}/${people.length}`,
  ]);
  console.log(`${title}: ${note()}${workers}`);
}

/** Asks again and again, so many at a time; counts the answers. */
function flood(many, until, words, counts = new Map()) {
  return Promise.all(
    Array.from({ length: many }, async (_, i) => {
      for (let n = 0; performance.now() < until; n++) {
        const answer = await ask(...words(i, n)).catch(() => ({ status: 0 }));
        counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
        await wait(5);
      }
    }),
  ).then(() => counts);
}
const told = (counts) => [...counts].map(([status, times]) => `${status} × ${times}`).join(', ');

await under('Quiet', async () => undefined);

// 2. Strangers at the stream.
let counts = new Map();
await under(
  '10,000 anonymous opens of streams in a burst',
  async () => {
    const crowd = new http.Agent({ maxSockets: 1_500 });
    await Promise.all(
      Array.from(
        { length: 10_000 },
        (_, i) =>
          new Promise((finish) => {
            const path = `/stream/1999999999/${'B'.repeat(22)}/${i.toString(16).padStart(32, '0')}`;
            const request = http.request(
              new URL(path, base),
              { agent: crowd, headers: { Accept: 'text/event-stream' } },
              (response) => {
                counts.set(response.statusCode, (counts.get(response.statusCode) ?? 0) + 1);
                response.resume();
                response.on('close', finish);
              },
            );
            request.on('error', () => {
              counts.set(0, (counts.get(0) ?? 0) + 1);
              finish();
            });
            request.end();
          }),
      ),
    );
    crowd.destroy();
  },
  () => told(counts),
);

{
  const before = nginxWorkers();
  const seconds = Number(process.env.FH_AWAY ?? 30);
  supervisor('stop', 'application', 'php-fpm');
  const until = performance.now() + seconds * 1_000;
  let reconnected = 0;
  let refused = 0;
  await Promise.all(
    Array.from({ length: 500 }, async (_, i) => {
      const person = people[i % people.length];
      while (performance.now() < until) {
        await listen(person.address, person.cookie, () => undefined).then(
          async (stream) => {
            reconnected++;
            await wait(800);
            stream.destroy();
          },
          () => refused++,
        );
        await wait(200 + Math.random() * 800);
      }
    }),
  );
  supervisor('start', 'application', 'php-fpm');
  for (
    let i = 0;
    i < 100 && (await ask('GET', '/api/staff/me', staff).catch(() => ({ status: 0 }))).status !== 200;
    i++
  )
    await wait(200);
  console.log(
    `PHP away for ${seconds} s under 500 reconnecting pages: ${reconnected} reconnects, ${refused} refused; ` +
      `${open.size} of ${people.length} streams stayed; nginx workers ${nginxWorkers() === before ? 'the same' : 'DIED'}`,
  );
}

// Processes that have just begun read their code once: that is nobody's attack.
await honest(3_000);

// 5. Bodies.
const array = `[${'1,'.repeat(80_000)}1]`;
const megabyte = `[${'1,'.repeat(500_000)}1]`;
const keys = `{${Array.from({ length: 20_000 }, (_, i) => `"f${i}":1`).join(',')}}`;
counts = new Map();
await under(
  'Six connections with large bodies for anybody’s door',
  (until) => flood(6, until, (i) => ['POST', '/api/student/join', { raw: [array, megabyte, keys][i % 3] }], counts),
  () => told(counts),
);
counts = new Map();
await under(
  'Six connections with large bodies, signed in',
  (until) =>
    flood(
      6,
      until,
      (i) => [
        'POST',
        `/api/staff/classes/${lesson.classId}/import/preview`,
        { ...staff, raw: [array, megabyte, keys][i % 3] },
      ],
      counts,
    ),
  () => told(counts),
);

// 7. Spreadsheets and searches.
function crc32(bytes) {
  let crc = ~0;
  for (const byte of bytes) {
    crc ^= byte;
    for (let k = 0; k < 8; k++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return ~crc >>> 0;
}
/** A zip with its files packed. */
function zip(files) {
  const bodies = [];
  const entries = [];
  let offset = 0;
  for (const [name, text] of Object.entries(files)) {
    const plain = Buffer.from(text);
    const data = deflateRawSync(plain);
    const common = Buffer.alloc(26);
    common.writeUInt16LE(20, 0);
    common.writeUInt16LE(8, 4);
    common.writeUInt32LE(crc32(plain), 10);
    common.writeUInt32LE(data.length, 14);
    common.writeUInt32LE(plain.length, 18);
    common.writeUInt16LE(name.length, 22);
    const local = Buffer.concat([Buffer.from([0x50, 0x4b, 3, 4]), common, Buffer.from(name), data]);
    const rest = Buffer.alloc(14);
    rest.writeUInt32LE(offset, 10);
    entries.push(Buffer.concat([Buffer.from([0x50, 0x4b, 1, 2, 20, 0]), common, rest, Buffer.from(name)]));
    bodies.push(local);
    offset += local.length;
  }
  const directory = Buffer.concat(entries);
  const end = Buffer.alloc(22);
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(entries.length, 8);
  end.writeUInt16LE(entries.length, 10);
  end.writeUInt32LE(directory.length, 12);
  end.writeUInt32LE(offset, 16);
  return Buffer.concat([...bodies, directory, end]).toString('base64');
}
const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const workbook = (sheet) =>
  zip({
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${relations}"><sheets><sheet name="S" sheetId="1" r:id="s1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="s1" Type="${relations}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
    'xl/worksheets/sheet1.xml': `<worksheet xmlns="${main}"><sheetData>${sheet}</sheetData></worksheet>`,
  });
const wide = workbook(`<row>${'<c><v>1</v></c>'.repeat(1_000)}</row>`.repeat(480));
const corner = workbook('<row r="1048576"><c r="XFD1048576" t="inlineStr"><is><t>Ada</t></is></c></row>');
const other = await signedIn();
const third = await signedIn();
counts = new Map();
const reading = [];
await under(
  `Four uploads at once of small spreadsheets (${(wide.length / 1_000).toFixed(0)} and ${(corner.length / 1_000).toFixed(0)} kB)`,
  (until) =>
    Promise.all(
      Array.from({ length: 4 }, async (_, i) => {
        while (performance.now() < until) {
          const began = performance.now();
          const answer = await ask('POST', `/api/staff/classes/${lesson.classId}/import/preview`, {
            ...(i % 2 === 0 ? other : third),
            body: { file: i % 2 === 0 ? wide : corner },
          }).catch(() => ({ status: 0 }));
          counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
          reading.push(performance.now() - began);
        }
      }),
    ),
  () => `${told(counts)}; each read in ${figures(reading)}`,
);
counts = new Map();
const settings = { method: 'balance', shape: 'groups', groups: 10, goals: [{ kind: 'newPartners' }] };
await under(
  'Eight searches at once',
  (until) =>
    flood(
      8,
      until,
      (i) => [
        'POST',
        `/api/staff/groupings/${lesson.floor.id}/propose`,
        { ...(i % 2 === 0 ? other : third), body: { settings, forMs: 1_500 } },
      ],
      counts,
    ),
  () => told(counts),
);

// Keys that fall into one place of PHP's tables: from students, and from a teacher.
const colliding = (bytes) => {
  const parts = [];
  let length = 0;
  for (let i = 0; length < bytes; i++) {
    const part = `"${i * 65_536}":1`;
    parts.push(part);
    length += part.length + 1;
  }
  return `{${parts.join(',')}}`;
};
const [small, large] = [colliding(190_000), colliding(883_000)];
counts = new Map();
await under(
  'Four students and a teacher with keys that collide (190 and 883 kB)',
  (until) =>
    Promise.all([
      flood(
        4,
        until,
        (i) => [
          'PUT',
          `/api/student/copies/${attackers[i].copy}/slots/together`,
          { cookie: attackers[i].cookie, raw: small },
        ],
        counts,
      ),
      flood(2, until, () => ['POST', '/api/staff/originals', { ...other, raw: large }], counts),
    ]),
  () => told(counts),
);

// Small spreadsheets that ask for a lot.
const entities = `<!DOCTYPE w [<!ENTITY a "aaaaaaaaaa">${[...'bcdefghi']
  .map((name, i) => `<!ENTITY ${name} "${`&${'abcdefgh'[i]};`.repeat(10)}">`)
  .join('')}]>`;
const bomb = zip({
  'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${relations}"><sheets><sheet name="S" sheetId="1" r:id="s1"/></sheets></workbook>`,
  'xl/_rels/workbook.xml.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="s1" Type="${relations}/worksheet" Target="worksheets/sheet1.xml"/></Relationships>`,
  'xl/worksheets/sheet1.xml': `${entities}<worksheet xmlns="${main}"><sheetData><row><c t="inlineStr"><is><t>&i;</t></is></c></row></sheetData></worksheet>`,
});
const odsOf = (rows) =>
  zip({
    'content.xml': `<o:document-content xmlns:o="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"><o:body><o:spreadsheet><table:table>${rows}</table:table></o:spreadsheet></o:body></o:document-content>`,
  });
const repeated = odsOf(
  '<table:table-row table:number-rows-repeated="1048576"><table:table-cell table:number-columns-repeated="16384" o:value-type="string"><text:p>x</text:p></table:table-cell></table:table-row>',
);
const edge = workbook('<row r="9223372036854775807"><c r="A9223372036854775807"><v>1</v></c></row>');
counts = new Map();
const asked = [];
await under(
  'Four uploads at once of entities, repeated cells and row numbers of 64 bits',
  (until) =>
    Promise.all(
      Array.from({ length: 4 }, async (_, i) => {
        for (let n = 0; performance.now() < until; n++) {
          const began = performance.now();
          const answer = await ask('POST', `/api/staff/classes/${lesson.classId}/import/preview`, {
            ...(i % 2 === 0 ? other : third),
            body: { file: [bomb, repeated, edge][(i + n) % 3] },
          }).catch(() => ({ status: 0 }));
          counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
          asked.push(performance.now() - began);
        }
      }),
    ),
  () => `${told(counts)}; each answered in ${figures(asked)}`,
);

// Texts that are hard to read.
const hard = ['> ', '- ', '[', '*a **b ', 'a|b\n-|-\n', '1. '].map((piece) => piece.repeat(20_000).slice(0, 19_000));
counts = new Map();
const saved = [];
await under(
  'Two teachers who save texts of 19 kB that nest without end',
  (until) =>
    Promise.all(
      [other, third].map(async (who) => {
        for (let n = 0; performance.now() < until; n++) {
          const began = performance.now();
          const blocks = hard.map((text, i) => ({ id: `b${i}`, kind: 'text', text: `${n} ${text}` }));
          const answer = await ask('POST', '/api/staff/originals', {
            ...who,
            body: { title: `Hard ${n}`, basedOn: 0, pages: [{ id: 'p', title: '', blocks }] },
          }).catch(() => ({ status: 0 }));
          counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
          saved.push(performance.now() - began);
        }
      }),
    ),
  () => `${told(counts)}; six such texts saved in ${figures(saved)}`,
);

// Strangers before the door of a class that everybody is let into one by one.
{
  const full = await lessonOf(staff, 'Doorway', 28);
  await must('PATCH', `/api/staff/classes/${full.classId}/door`, { ...staff, body: { mode: 'checked' } });
  counts = new Map();
  const pupils = new Map();
  await under(
    'Strangers fill the doorway while 28 pupils of one network come',
    async (until) => {
      await flood(
        4,
        Math.min(until, performance.now() + lasts / 2),
        (i, n) => [
          'POST',
          '/api/student/join',
          {
            body: { doorWord: full.doorWord, name: `Stranger ${i} ${n}`, wait: true },
            headers: { 'X-Forwarded-For': `198.19.${i}.${n % 250}` },
          },
        ],
        counts,
      );
      for (const { name } of full.students)
        for (let tries = 0; tries < 6; tries++) {
          const answer = await ask('POST', '/api/student/join', {
            body: { doorWord: full.doorWord, name },
            headers: { 'X-Forwarded-For': '203.0.113.77' },
          });
          if (answer.status !== 429 || tries === 5) {
            pupils.set(answer.status, (pupils.get(answer.status) ?? 0) + 1);
            break;
          }
          await wait(1_000);
        }
    },
    () => `strangers ${told(counts)}; pupils ${told(pupils)}`,
  );
}

// 9. A slot made as full as can be, by four members at once.
counts = new Map();
const words = (n) => Array.from({ length: 3_300 }, (_, i) => `w${(n * 7 + i * 13) % 997}`).join(' ');
await under(
  'Four devices that fill one slot with other words, as fast as they may',
  (until) =>
    flood(
      4,
      until,
      (i, n) => [
        'PUT',
        `/api/student/copies/${attackers[i].copy}/slots/together`,
        {
          cookie: attackers[i].cookie,
          body: { save: crypto.randomUUID(), base: words(n), text: words(n + i + 1) },
        },
      ],
      counts,
    ),
  () => told(counts),
);
{
  const left = (await must('GET', `/api/student/copies/${attackers[0].copy}`, { cookie: attackers[0].cookie })).json;
  const slot = left.answers.find((answer) => answer.slot === 'together');
  await wait(12_000);
  const shorter = await ask('PUT', `/api/student/copies/${attackers[0].copy}/slots/together`, {
    cookie: attackers[0].cookie,
    body: { save: crypto.randomUUID(), base: slot?.text ?? '', text: 'short' },
  });
  console.log(
    `  the slot holds ${slot?.text.length ?? 0} signs; made shorter: ${shorter.status} “${shorter.json?.text}”`,
  );
}

// 12. Sign-ins.
counts = new Map();
const times = { known: [], unknown: [] };
await under(
  'Eight anonymous sign-ins at once',
  (until) =>
    Promise.all(
      Array.from({ length: 8 }, async (_, i) => {
        for (let n = 0; performance.now() < until; n++) {
          const known = (i + n) % 2 === 0;
          const began = performance.now();
          const answer = await ask('POST', '/api/staff/sign-in', {
            body: { email: known ? 'teacher@larkmouth.example' : `nobody${i}@larkmouth.example`, password: 'x' },
            headers: { 'X-Forwarded-For': `198.18.${i}.${n % 250}` },
          }).catch(() => ({ status: 0 }));
          counts.set(answer.status, (counts.get(answer.status) ?? 0) + 1);
          if (answer.status === 401) times[known ? 'known' : 'unknown'].push(performance.now() - began);
        }
      }),
    ),
  () => `${told(counts)}; a known address ${figures(times.known)}; an unknown one ${figures(times.unknown)}`,
);
{
  const one = { known: [], unknown: [] };
  for (let n = 0; n < 12; n++) {
    for (const kind of ['known', 'unknown']) {
      const began = performance.now();
      // An address of its own each time, and fewer tries than an account allows to strangers.
      await ask('POST', '/api/staff/sign-in', {
        body: { email: kind === 'known' ? 'teacher@larkmouth.example' : `no${n}@larkmouth.example`, password: 'x' },
        headers: { 'X-Forwarded-For': `192.0.${kind === 'known' ? 2 : 3}.${n}` },
      });
      one[kind].push(performance.now() - began);
    }
  }
  console.log(`  one by one: a known address ${figures(one.known)}; an unknown one ${figures(one.unknown)}`);
}

console.log('\nMilliseconds, median / most, while it went on:');
const head = ['', 'teacher', 'student', 'save', 'door', 'failed', 'streams'];
for (const row of [head, ...rows])
  console.log(row.map((cell, i) => (i === 0 ? cell.padEnd(72) : cell.padStart(11))).join(''));
for (const stream of open) stream.destroy();
await honestPeople.terminate();
done();
