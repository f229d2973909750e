// A student's page in a browser, in rooms of our own: from a press there, or from what the teacher does, until it hears
// the others.
import { chromium } from '@playwright/test';
import { base } from '../support.mjs';

/* global RTCPeerConnection, requestAnimationFrame -- of the page */

/** A page of one student who is signed in with this cookie, and who has tried the microphone before. */
export async function studentsPage(cookie) {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--autoplay-policy=no-user-gesture-required',
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
    ],
  });
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  await context.addInitScript(listening);
  await context.addCookies(
    cookie.split('; ').map((one) => {
      const [name, value] = one.split('=');
      return { name, value, url: base.href };
    }),
  );
  const page = await context.newPage();
  await page.goto(new URL('/student', base).href);
  const button = (name) => page.getByRole('button', { name, exact: true });
  await button('Join your group').click();
  await button('Join').click();
  await page.locator('[data-room="in"]').waitFor();
  return {
    /** Milliseconds from pressing *Join your group* until so many others are heard. */
    joins: async (mates) => {
      await button('Leave').click();
      await button('Join your group').waitFor();
      return page.evaluate((many) => window.pressAndHear('Join your group', many), mates);
    },
    /** Milliseconds from now until the page is in another room and hears so many there. */
    hearsAnew: (mates) => page.evaluate((many) => window.hearAnew(many), mates),
    close: () => browser.close(),
  };
}

/** Runs in the page before its own scripts: keeps its connections, and sees what arrives by them. */
function listening() {
  const Connection = RTCPeerConnection;
  let connections = [];
  window.RTCPeerConnection = class extends Connection {
    constructor(...how) {
      super(...how);
      connections.push(this);
    }
  };
  const heard = async () => {
    let streams = 0;
    for (const connection of connections)
      for (const report of (await connection.getStats()).values())
        if (report.type === 'inbound-rtp' && report.packetsReceived > 5) streams++;
    return streams;
  };
  const until = async (many) => {
    const began = performance.now();
    while ((await heard()) < many) {
      if (performance.now() - began > 10_000) throw new Error('The page did not hear the others within 10 s.');
      await new Promise((done) => requestAnimationFrame(done));
    }
    return performance.now() - began;
  };
  window.hearAnew = (many) => {
    connections = [];
    return until(many);
  };
  window.pressAndHear = (name, many) => {
    connections = [];
    [...document.querySelectorAll('button')].find((one) => one.textContent === name).click();
    return until(many);
  };
}
