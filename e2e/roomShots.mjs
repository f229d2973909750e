// Two of the screenshots: people who talk in rooms of our own, a student on a phone and the teacher on a visit.

const names = [
  'Ada Lund',
  'Ben Oduya',
  'Chi Nakagawa',
  'Dov Petrescu',
  'Esi Annan',
  'Fay Okafor',
  'Gil Haverkamp',
  'Hye Park',
];

/* global navigator, AudioContext -- of the page that is given a microphone */

/** A microphone that hums, or, for those who listen to others, is silent. */
const microphone = (context, loud) =>
  context.addInitScript((isLoud) => {
    navigator.mediaDevices.getUserMedia = () => {
      const audio = new AudioContext();
      const [sound, level] = [audio.createOscillator(), audio.createGain()];
      level.gain.value = isLoud ? 0.5 : 0;
      const out = audio.createMediaStreamDestination();
      sound.connect(level).connect(out);
      sound.start();
      return Promise.resolve(out.stream);
    };
  }, loud);

/**
 * @param {{ teacher: import('@playwright/test').Page, open: Function, shot: Function, phone: object }} with
 */
export async function roomShots({ teacher, open, shot, phone }) {
  const send = async (method, path, data) => {
    const answer = await teacher.request.fetch(path, {
      method,
      data,
      headers: { 'Idempotency-Key': crypto.randomUUID() },
    });
    return answer.status() === 204 ? null : answer.json();
  };
  const made = await send('POST', '/api/staff/classes', { name: '8C Coast', names: names.join('\n') });
  const lesson = await send('POST', `/api/staff/classes/${made.id}/lessons`, {
    title: 'The harbour wall',
    minutes: 50,
  });
  const desk = `/api/staff/groupings/${lesson.floor.id}`;
  let floor = await send('POST', `${desk}/deal`, { basedOn: 0, groups: 2, seed: 3 });
  for (const [i, name] of ['Quayside', 'Millbrook'].entries())
    floor = await send('POST', `${desk}/edits`, {
      basedOn: floor.step,
      kind: 'rename',
      group: floor.groups[i].id,
      name,
    });
  await send('POST', `/api/staff/rounds/${lesson.round.id}/originals`, {
    title: 'The wall',
    basedOn: 0,
    pages: [
      {
        id: 'p',
        title: '',
        blocks: [
          { id: 'brief', kind: 'text', text: 'The wall can stand **in front of** the houses or **behind** them.' },
          { id: 'noticed', kind: 'each', text: 'Who would see the water no more?' },
          { id: 'decision', kind: 'together', text: 'Our decision' },
        ],
      },
    ],
  });
  await send('POST', `/api/staff/rounds/${lesson.round.id}/copies`, {});
  await send('PATCH', `/api/staff/segments/${lesson.round.segmentId}`, {
    lookSeconds: 0,
    instructions: 'Read the sheet, hear everybody, decide.',
  });
  const pages = [];
  for (const [i, { id, name }] of lesson.students.entries()) {
    const page = await open({ viewport: phone });
    await microphone(page.context(), i % 4 === 1);
    await page.goto(`/student?door=${encodeURIComponent(lesson.doorWord)}`);
    await page.getByLabel('Your name').fill(name);
    await page.getByRole('button', { name: 'Join' }).click();
    await page.getByText('Hello').or(page.getByText(name)).first().waitFor();
    pages.push({ id, page });
  }
  await send('POST', `/api/staff/lessons/${lesson.id}/commands`, { kind: 'sendOut' });
  const join = async ({ page }) => {
    await page.getByRole('button', { name: 'Join your group' }).click();
    await page.getByRole('button', { name: 'Join', exact: true }).click();
    await page.locator('[data-room="in"]').waitFor();
  };
  const [first, ...others] = pages;
  for (const one of others) await join(one);
  await first.page.getByRole('button', { name: 'Join your group' }).click();
  await first.page.getByText('Try your microphone').first().waitFor();
  await first.page.getByRole('button', { name: 'Join', exact: true }).click();
  await first.page.locator('[data-room="in"]').waitFor();
  await first.page.waitForTimeout(2_000);
  await shot(first.page, 'student-room');
  await microphone(teacher.context(), false);
  await teacher.goto(`/lessons/${lesson.id}?view=rooms`);
  await teacher.getByText('Groups meet').first().waitFor();
  await teacher.getByText('in use by', { exact: false }).first().waitFor();
  await shot(teacher, 'rooms');
  await teacher.goto(`/lessons/${lesson.id}`);
  await teacher.getByRole('button', { name: /^Listen to Quayside/ }).click();
  await teacher.getByRole('button', { name: 'Speak here' }).click();
  await teacher.locator('[data-room="in"]').waitFor();
  await teacher.waitForTimeout(2_500);
  await shot(teacher, 'visiting');
  await send('POST', `/api/staff/lessons/${lesson.id}/commands`, { kind: 'end' });
  for (const { page } of pages) await page.context().close();
}
