// Groups talk in rooms of our own: who hears whom, by the tones each page plays.
import { expect, type Browser, type BrowserContext, type Page } from '@playwright/test';
import type { components } from '../web/src/api/generated';
import { killHard, supervisor } from './support/machine';
import { student, teacher, type Student } from './support/people';
import { readyLesson } from './support/plan';
import { expectTones, giveTone } from './support/tones';
import { test } from './support/test';

type Lesson = components['schemas']['LessonView'];

const names = ['Ada Lund', 'Ben Oduya', 'Chi Tran', 'Dov Katz', 'Eni Koda', 'Fay Moss', 'Gil Roca', 'Hue Lam'];
const tones = [440, 620, 810, 1_010, 1_250, 1_530, 1_870, 2_290];
const teachersTone = 2_750;
const all = [...tones, teachersTone];

declare global {
  interface Window {
    connections?: RTCPeerConnection[];
  }
}

interface Heard extends Student {
  id: string;
  tone: number;
}

/** The people of a lesson, and what each of them is to hear. */
class Talk {
  constructor(
    readonly t: Page,
    readonly lesson: Lesson,
    readonly people: Heard[],
  ) {}

  give(kind: string, more: object = {}) {
    return this.t.request.post(`/api/staff/lessons/${this.lesson.id}/commands`, {
      data: { kind, ...more },
      headers: { 'Idempotency-Key': crypto.randomUUID() },
    });
  }

  async now(): Promise<Lesson> {
    return (await (await this.t.request.get(`/api/staff/lessons/${this.lesson.id}`)).json()) as Lesson;
  }

  /** Everybody hears their own group and nobody else, but for those who are named. */
  async expectGroups({ alone = [], and = [] }: { alone?: string[]; and?: number[] } = {}) {
    const { floor } = await this.now();
    await Promise.all(
      this.people.map(async (one) => {
        const group = floor.groups.find((table) => table.students.includes(one.id));
        const mates = this.people.filter(
          (other) =>
            other !== one &&
            group?.students.includes(other.id) === true &&
            !alone.includes(one.id) &&
            !alone.includes(other.id),
        );
        await expectTones(one.page, all, [...mates.map((mate) => mate.tone), ...and]);
      }),
    );
  }

  async expectEverybody(these: number[]) {
    await Promise.all(
      this.people.map((one) =>
        expectTones(
          one.page,
          all,
          these.filter((tone) => tone !== one.tone),
        ),
      ),
    );
  }

  groupOf(one: Heard) {
    const found = this.lesson.floor.groups.find((table) => table.students.includes(one.id));
    if (found === undefined) throw new Error(`${one.name} has no group.`);
    return found;
  }

  membersOf(group: string): Heard[] {
    return this.people.filter((one) => this.groupOf(one).id === group);
  }
}

async function begin(
  browser: Browser,
  title: string,
  count: number,
  groups: string[],
  prepare: (context: BrowserContext) => Promise<unknown> = () => Promise.resolve(),
): Promise<Talk> {
  const t = await teacher(browser, 'light', (context) => giveTone(context, teachersTone));
  const lesson = await readyLesson(t, { name: title, students: names.slice(0, count), groups, rooms: 'ownRooms' });
  const people = await Promise.all(
    lesson.students.map(async ({ id, name }) => {
      const tone = tones[names.indexOf(name)] ?? 0;
      return {
        ...(await student(browser, lesson.doorWord, name, 'light', async (context) => {
          await giveTone(context, tone);
          await prepare(context);
        })),
        id,
        tone,
      };
    }),
  );
  return new Talk(t, lesson, people);
}

async function join({ page }: Student) {
  await page.getByRole('button', { name: 'Join your group' }).click();
  await page.getByRole('button', { name: 'Join', exact: true }).click();
  await expect(page.locator('[data-room="in"]')).toBeVisible();
}

test('two of a group hear each other, and nobody of another group', async ({ browser }) => {
  const talk = await begin(browser, '9A Talking', 4, ['Quayside', 'Millbrook']);
  await talk.give('sendOut');
  await Promise.all(talk.people.map(join));
  await talk.expectGroups();
  const [ada] = talk.people;
  if (ada === undefined) throw new Error('Nobody came.');
  // Where they are is known from the room itself.
  await expect(ada.page.getByText('You’re in the room.')).toBeVisible();
  const [mate] = talk.membersOf(talk.groupOf(ada).id).filter((one) => one !== ada);
  await ada.page.getByRole('button', { name: 'Mute' }).click();
  if (mate !== undefined) await expectTones(mate.page, all, []);
  await ada.page.getByRole('button', { name: 'Unmute' }).click();
  await talk.expectGroups();
});

/** How many bytes of pictures have come so far. */
const pictureBytes = (page: Page) =>
  page.evaluate(async () => {
    let bytes = 0;
    for (const connection of window.connections ?? [])
      (await connection.getStats()).forEach((report: RTCStats) => {
        if (report.type === 'inbound-rtp' && (report as RTCInboundRtpStreamStats).kind === 'video')
          bytes += (report as RTCInboundRtpStreamStats).bytesReceived ?? 0;
      });
    return bytes;
  });

/** The connections a page has made can be asked. */
const keepConnections = () => {
  const Connection = window.RTCPeerConnection;
  const connections: RTCPeerConnection[] = [];
  window.connections = connections;
  window.RTCPeerConnection = class extends Connection {
    constructor(...how: ConstructorParameters<typeof Connection>) {
      super(...how);
      connections.push(this);
    }
  };
};

test('a camera or a screen is seen by the group while it is on, and by nobody else', async ({ browser }) => {
  const talk = await begin(browser, '9A Camera', 3, ['Quayside', 'Millbrook'], async (context) => {
    await context.addInitScript(keepConnections);
    await context.addInitScript(() => {
      // A screen that somebody would have chosen.
      navigator.mediaDevices.getDisplayMedia = () => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [640, 400];
        const paper = canvas.getContext('2d');
        let n = 0;
        setInterval(() => {
          if (paper === null) return;
          paper.fillStyle = `hsl(${String(n++ % 360)} 50% 50%)`;
          paper.fillRect(0, 0, 640, 400);
        }, 200);
        return Promise.resolve(canvas.captureStream(5));
      };
    });
  });
  await talk.give('sendOut');
  await Promise.all(talk.people.map(join));
  const group = talk.lesson.floor.groups.find(({ students }) => students.length === 2);
  const [ada, ben] = talk.membersOf(group?.id ?? '');
  const alone = talk.people.find((one) => one !== ada && one !== ben);
  if (ada === undefined || ben === undefined || alone === undefined) throw new Error('Nobody came.');
  await ada.page.getByRole('button', { name: 'Turn camera on' }).click();
  const seen = async (of: string) => {
    const picture = ben.page.getByLabel(`${of} of ${ada.name}`);
    await expect(picture).toBeVisible();
    await expect.poll(() => picture.evaluate((video: HTMLVideoElement) => video.videoWidth)).toBeGreaterThan(0);
    await expect(ben.page.locator('video')).toHaveCount(1);
    await expect(alone.page.locator('video')).toHaveCount(0);
    await talk.expectGroups(); // and the sound goes on
  };
  await seen('Camera');
  await ada.page.getByRole('button', { name: 'Turn camera off' }).click();
  await expect(ben.page.locator('video')).toHaveCount(0);
  await talk.expectGroups();
  await ada.page.getByRole('button', { name: 'Share screen' }).click();
  await seen('Screen');
  await ada.page.getByRole('button', { name: 'Turn camera on' }).click();
  await seen('Camera'); // one at a time
  await ben.page.getByRole('button', { name: 'Sound only' }).click();
  await expect(ben.page.locator('video')).toHaveCount(0);
  // Nothing of the picture comes any more: the server keeps it.
  await expect
    .poll(
      async () => {
        const before = await pictureBytes(ben.page);
        await ben.page.waitForTimeout(1_000);
        return (await pictureBytes(ben.page)) - before;
      },
      { timeout: 30_000 },
    )
    .toBe(0);
  await talk.expectGroups();
  await ben.page.getByRole('button', { name: 'Show pictures' }).click();
  await seen('Camera');
  await talk.give('callBack', { seconds: 0 });
  await expect(ben.page.locator('video')).toHaveCount(0);
});

/** A browser that plays nothing before somebody has pressed something. */
const strictAboutSound = () => {
  let isPressed = false;
  addEventListener('pointerdown', () => (isPressed = true), { capture: true });
  // eslint-disable-next-line @typescript-eslint/unbound-method -- it is called with its element below
  const play = HTMLMediaElement.prototype.play;
  HTMLMediaElement.prototype.play = function (this: HTMLMediaElement) {
    return isPressed ? play.call(this) : Promise.reject(new DOMException('', 'NotAllowedError'));
  };
};

test('pages go in by themselves where the teacher wants it, and what is said there can be read', async ({
  browser,
}) => {
  const talk = await begin(browser, '9A Captions', 3, ['Quayside', 'Millbrook'], (context) =>
    context.addInitScript(strictAboutSound),
  );
  const source = `/api/staff/classes/${talk.lesson.classId}/room-source`;
  expect((await talk.t.request.put(source, { data: { takesIn: true } })).status()).toBe(200);
  await Promise.all(talk.people.map(({ page }) => page.reload()));
  await talk.give('sendOut');
  for (const { page } of talk.people) await expect(page.locator('[data-room="in"]')).toBeVisible();
  const group = talk.lesson.floor.groups.find(({ students }) => students.length === 2);
  const [ada, ben] = talk.membersOf(group?.id ?? '');
  const alone = talk.people.find((one) => one !== ada && one !== ben);
  if (ada === undefined || ben === undefined || alone === undefined) throw new Error('Nobody came.');
  await talk.expectEverybody([]); // every microphone is off
  await ada.page.getByRole('button', { name: 'Unmute' }).click();
  await ben.page.getByRole('button', { name: 'Turn the sound on' }).click();
  await expectTones(ben.page, all, [ada.tone]);
  await ada.page.evaluate(() => window.unplug());
  await expect(ada.page.getByText('No microphone was found')).toBeVisible();
  await expectTones(ben.page, all, []);
  await ada.page.getByRole('button', { name: 'Unmute' }).click();
  await expectTones(ben.page, all, [ada.tone]);

  await talk.t.goto(`/lessons/${talk.lesson.id}`);
  await talk.t.getByRole('button', { name: `Listen to ${group?.name ?? ''}` }).click();
  await talk.t.getByRole('button', { name: 'Type what is said' }).click();
  const field = talk.t.getByLabel('What is said here');
  await field.fill('Ada: the wall is older than the church.');
  await field.press('Enter');
  const said = ({ page }: Student) => page.getByRole('log', { name: 'What is said' });
  for (const one of [ada, ben]) await expect(said(one)).toContainText('the wall is older');
  await expect(talk.t.getByRole('log', { name: 'What is said' })).toContainText('the wall is older');
  await expect(field).toHaveValue('');
  await expect(said(alone)).toHaveCount(0);
  await ben.page.reload();
  await expect(said(ben)).toContainText('the wall is older');

  await ben.page.getByRole('button', { name: 'Leave' }).click();
  await expect(ben.page.getByRole('button', { name: /^Join/ })).toBeVisible();
  await talk.give('callBack', { seconds: 0 });
  for (const { page } of talk.people) await expect(page.locator('[data-room="in"]')).toBeVisible();
  await expect(said(ben)).toHaveCount(0);
  await talk.expectEverybody([]); // called back: muted
});

/** Which tones are in a file of sound: those that are as loud as the loudest, or nearly. */
const tonesOf = (page: Page, address: string, wanted: number[]) =>
  page.evaluate(
    async ({ from, frequencies }) => {
      const bytes = await (await fetch(from)).arrayBuffer();
      const { sampleRate, length, duration, ...sound } = await new OfflineAudioContext(1, 1, 16_000)
        .decodeAudioData(bytes)
        .then((buffer) => ({
          sampleRate: buffer.sampleRate,
          length: buffer.length,
          duration: buffer.duration,
          samples: buffer.getChannelData(0),
        }));
      // Goertzel's way (1958) of asking how much of one frequency there is.
      const levels = frequencies.map((frequency) => {
        const turn = 2 * Math.cos((2 * Math.PI * frequency) / sampleRate);
        let [one, two] = [0, 0];
        for (let i = 0; i < length; i++) [one, two] = [(sound.samples[i] ?? 0) + turn * one - two, one];
        return Math.sqrt(one * one + two * two - turn * one * two) / length;
      });
      const most = Math.max(...levels);
      return { duration, tones: frequencies.filter((_, i) => (levels[i] ?? 0) > most / 10) };
    },
    { from: address, frequencies: wanted },
  );

test('a room that is recorded says so, and what was said there can be heard later', async ({ browser }) => {
  const talk = await begin(browser, '9A Recorded', 3, ['Quayside', 'Millbrook']);
  const { t, lesson, people } = talk;
  const source = `/api/staff/classes/${lesson.classId}/room-source`;
  expect((await t.request.put(source, { data: { recordingDays: 7 } })).status()).toBe(200);
  await talk.give('sendOut');
  await Promise.all(people.map(join));
  const group = lesson.floor.groups.find(({ students }) => students.length === 2);
  const [ada, ben] = talk.membersOf(group?.id ?? '');
  const alone = people.find((one) => one !== ada && one !== ben);
  if (ada === undefined || ben === undefined || alone === undefined) throw new Error('Nobody came.');
  await talk.expectGroups();

  await t.goto(`/lessons/${lesson.id}`);
  await t.getByRole('button', { name: `Listen to ${group?.name ?? ''}` }).click();
  await t.getByRole('button', { name: 'Record', exact: true }).click();
  const told = (page: Page) => page.getByRole('alert').filter({ hasText: 'being recorded' });
  for (const page of [t, ada.page, ben.page]) await expect(told(page)).toBeVisible();
  await expect(told(alone.page)).toHaveCount(0);
  await ben.page.reload();
  await ben.page.getByRole('button', { name: 'Join your group' }).click();
  await expect(told(ben.page)).toBeVisible();
  await talk.expectGroups();
  await t.waitForTimeout(4_000);
  await t.getByRole('button', { name: 'Stop recording' }).click();
  for (const page of [t, ada.page, ben.page]) await expect(told(page)).toHaveCount(0);

  await t.goto(`/lessons/${lesson.id}?view=rooms`);
  const recordings = t.getByRole('region', { name: 'Recordings' });
  await expect(recordings.getByRole('link', { name: 'Download' })).toBeVisible({ timeout: 60_000 });
  const address = (await recordings.getByRole('link', { name: 'Download' }).getAttribute('href')) ?? '';
  const heard = await tonesOf(t, address, all);
  expect(heard.tones).toEqual([ada.tone, ben.tone].sort((a, b) => a - b));
  expect(heard.duration).toBeGreaterThan(4);
  await recordings.getByRole('button', { name: /Delete/ }).click();
  await expect(recordings).toHaveCount(0);
  expect((await t.request.get(address)).status()).toBe(404);
});

for (const [name, words] of [
  ['NotAllowedError', 'The browser isn’t allowed to use the microphone'],
  ['NotFoundError', 'No microphone was found'],
  ['NotReadableError', 'Another program is using the microphone'],
] as const) {
  test(`whoever has no microphone takes part all the same: ${name}`, async ({ browser }) => {
    const talk = await begin(browser, `9A ${name}`, 2, ['Quayside'], async (context) => {
      await context.addInitScript((why) => {
        // The second of them: the first one's is asked for before theirs.
        if (!document.cookie.includes('refused=1')) return;
        navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('', why));
      }, name);
    });
    const [ada, ben] = talk.people;
    if (ada === undefined || ben === undefined) throw new Error('Nobody came.');
    await ben.page.evaluate(() => (document.cookie = 'refused=1; path=/'));
    await ben.page.reload();
    await talk.give('sendOut');
    await join(ada);
    await ben.page.getByRole('button', { name: 'Join your group' }).click();
    await expect(ben.page.getByText(words)).toBeVisible();
    await ben.page.getByRole('button', { name: 'Join without a microphone' }).click();
    await expect(ben.page.locator('[data-room="in"]')).toBeVisible();
    await expectTones(ben.page, all, [ada.tone]);
    await expectTones(ada.page, all, []);
    await expect(ada.page.getByRole('region', { name: 'Your room' }).getByText(ben.name)).toBeVisible();
    await expect(ben.page.getByRole('button', { name: 'Unmute' })).toBeVisible();
  });
}

test('two whose network lets no UDP through hear each other by the relay', async ({ browser }) => {
  const talk = await begin(browser, '9A Relay', 2, ['Quayside'], (context) =>
    context.addInitScript(() => {
      const Connection = window.RTCPeerConnection;
      window.RTCPeerConnection = class extends Connection {
        constructor(how?: RTCConfiguration) {
          super({ ...how, iceTransportPolicy: 'relay' });
        }
      };
    }),
  );
  await talk.give('sendOut');
  await Promise.all(talk.people.map(join));
  await talk.expectGroups();
});

test('nine people in three groups hear exactly those they should, whatever happens', async ({ browser }) => {
  const talk = await begin(browser, '9A Nine', 8, ['Quayside', 'Millbrook', 'Saltmarsh']);
  const { t, lesson, people } = talk;
  const [first] = people;
  if (first === undefined) throw new Error('Nobody came.');
  await talk.give('sendOut');
  await Promise.all(people.map(join));
  await talk.expectGroups();

  // The teacher listens, and nobody hears her.
  await t.goto(`/lessons/${lesson.id}`);
  const one = talk.groupOf(first);
  const toneOf = (group: string) => talk.membersOf(group).map((member) => member.tone);
  await t.getByRole('button', { name: `Listen to ${one.name}` }).click();
  await expectTones(t, all, toneOf(one.id));
  await talk.expectGroups();
  await expect(first.page.getByText('is listening').first()).toBeVisible();

  // She visits: that group hears her, and she hears it.
  await t.getByRole('button', { name: 'Speak here' }).click();
  await expectTones(t, all, toneOf(one.id));
  await Promise.all(
    talk
      .membersOf(one.id)
      .map((member) =>
        expectTones(member.page, all, [...toneOf(one.id).filter((tone) => tone !== member.tone), teachersTone]),
      ),
  );
  await t.getByRole('button', { name: 'Leave', exact: true }).click();
  await expectTones(t, all, []);
  await talk.expectGroups();

  // Somebody is moved to another group.
  const other = lesson.floor.groups.find((group) => group.id !== one.id);
  const floor = (await talk.now()).floor;
  const moved = await t.request.post(`/api/staff/groupings/${lesson.floor.id}/edits`, {
    data: { basedOn: floor.step, kind: 'seat', student: first.id, group: other?.id },
  });
  expect(moved.ok(), await moved.text()).toBe(true);
  await talk.expectGroups();

  // Somebody is taken to a side room.
  await t.request.post(`/api/staff/classes/${lesson.classId}/side-rooms`, { data: { name: 'Quiet corner' } });
  const side = (await talk.now()).rooms.find((room) => room.purpose === 'side');
  await talk.give('takeAside', { students: [first.id], place: side?.id });
  await talk.expectGroups({ alone: [first.id] });

  // She speaks to all rooms.
  const speak = t.getByRole('button', { name: /Hold to speak|All rooms hear/ });
  await speak.focus();
  await t.keyboard.down(' ');
  await talk.expectGroups({ alone: [first.id], and: [teachersTone] });
  await t.keyboard.up(' ');
  await talk.expectGroups({ alone: [first.id] });
  await talk.give('putBack', { students: [first.id] });
  await talk.expectGroups();

  // Every line is cut at once.
  killHard('gate');
  await talk.expectGroups();
  // The media server is gone, and comes back.
  const before = supervisor('pid', 'media').trim();
  killHard('media');
  await expect.poll(() => supervisor('pid', 'media').trim()).not.toBe(before);
  await talk.expectGroups();

  // Called back: everybody is in the main session, and nobody is heard until they want to be.
  await talk.give('callBack', { seconds: 0 });
  await Promise.all(people.map(({ page }) => expect(page.locator('[data-room="in"]')).toBeVisible()));
  await talk.expectEverybody([]);
  await first.page.getByRole('button', { name: 'Unmute' }).click();
  await talk.expectEverybody([first.tone]);
  await t.getByRole('button', { name: 'Main session' }).click();
  await talk.expectEverybody([first.tone, teachersTone]);
  await expectTones(t, all, [first.tone]);

  // Everyone is muted, also a page that knows nothing of it.
  const [, second] = people;
  if (second === undefined) throw new Error('Nobody else came.');
  const [free, now] = [{ muted: false, given: false, asked: false }, '**/api/student/now'];
  await first.page.route(now, async (route) => {
    const response = await route.fetch();
    await route.fulfill({ response, json: { ...((await response.json()) as object), speaking: free } });
  });
  await t.getByRole('button', { name: 'Mute everyone' }).click();
  await talk.expectEverybody([teachersTone]);
  await expect(first.page.getByRole('button', { name: 'Mute', exact: true })).toBeVisible();
  await first.page.unroute(now);
  // Whoever asks is given the microphone, and nobody else.
  await second.page.getByRole('button', { name: 'Ask to speak' }).click();
  await t.getByRole('button', { name: `Give ${second.name} the microphone` }).click();
  await second.page.getByRole('button', { name: 'Unmute' }).click();
  await talk.expectEverybody([second.tone, teachersTone]);
  await t.getByRole('button', { name: 'Let everyone speak' }).click();
  await expect(first.page.getByRole('button', { name: 'Unmute' })).toBeVisible();
  await first.page.getByRole('button', { name: 'Unmute' }).click();
  await talk.expectEverybody([first.tone, second.tone, teachersTone]);

  // The lesson is over, and so are its rooms.
  await talk.give('end');
  await talk.expectEverybody([]);
  await expectTones(t, all, []);
});
