// The stand-in mailbox: takes every message by SMTP on loopback, keeps it as a file, and shows it on a small page. It
// sends nothing on. A message whose Message-ID it has already is kept once. node standins/mailbox/mailbox.mjs SMTP_PORT
// PAGE_PORT FOLDER MAIL_HOOK_URL and MAIL_HOOK_SECRET: where it says, signed, that a message came back.
import { createHash, createHmac } from 'node:crypto';
import { createServer } from 'node:http';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';

const [smtpPort, pagePort, folder] = [Number(process.argv[2]), Number(process.argv[3]), process.argv[4] ?? ''];
if (!(smtpPort > 0 && pagePort > 0 && folder !== '')) {
  console.error('node mailbox.mjs SMTP_PORT PAGE_PORT FOLDER');
  process.exit(2);
}
for (const one of [folder, `${folder}-known`]) mkdirSync(one, { recursive: true });
const most = 5_000_000;
let number = 0;

/** Says that a message could not be delivered after all. */
function comesBack(message, address) {
  const { MAIL_HOOK_URL: url, MAIL_HOOK_SECRET: secret } = process.env;
  if (!url || !secret || message === undefined) return;
  const body = JSON.stringify({ message, address, why: 'There is no such mailbox.', at: Date.now() });
  const signature = createHmac('sha256', secret).update(body).digest('hex');
  fetch(url, {
    method: 'POST',
    body,
    headers: { 'Content-Type': 'application/json', 'X-Huddle-Signature': signature },
  }).catch((problem) => console.error(problem.message));
}

const smtp = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS', 'AUTH'],
  size: most,
  // An address at a place called “refuses” or “bounces” does what it says, so that this can be tried.
  onRcptTo: ({ address }, session, done) =>
    done(address.endsWith('@refuses.example') ? new Error('550 No such person here') : null),
  onData(stream, session, done) {
    const parts = [];
    stream.on('data', (part) => parts.push(part));
    stream.on('end', () => {
      const bytes = Buffer.concat(parts);
      const id = /^message-id:\s*(\S+)/im.exec(bytes.subarray(0, 20_000).toString('latin1'))?.[1];
      const known = id === undefined ? null : `${folder}-known/${createHash('sha256').update(id).digest('hex')}`;
      if (known === null || !existsSync(known)) {
        const name = `${Date.now()}-${String(++number).padStart(5, '0')}.eml`;
        writeFileSync(`${folder}/${name}.part`, bytes);
        renameSync(`${folder}/${name}.part`, `${folder}/${name}`);
        if (known !== null) writeFileSync(known, name);
      }
      done();
      for (const { address } of session.envelope.rcptTo)
        if (address.endsWith('@bounces.example')) comesBack(id, address);
    });
  },
});
smtp.listen(smtpPort, '127.0.0.1');
smtp.on('error', (problem) => console.error(problem.message));

const escape = (text) => String(text ?? '').replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
const files = () =>
  readdirSync(folder)
    .filter((name) => /^\d+-\d+\.eml$/.test(name))
    .sort()
    .reverse();
const read = async (name) => {
  const mail = await simpleParser(readFileSync(`${folder}/${name}`));
  return {
    id: name,
    to: [mail.to ?? []].flat().flatMap((one) => one.value.map((person) => person.address)),
    subject: mail.subject ?? '',
    text: mail.text ?? '',
    html: mail.html || '',
    messageId: mail.messageId ?? '',
    at: mail.date?.toISOString() ?? '',
  };
};
const withLinks = (text) => escape(text).replace(/https?:\/\/[^\s<]+/g, (link) => `<a href="${link}">${link}</a>`);

createServer((request, response) => {
  const url = new URL(request.url ?? '/', 'http://mailbox');
  const to = url.searchParams.get('to');
  Promise.all(files().slice(0, 1000).map(read)).then(
    (all) => {
      const shown = all.filter((mail) => to === null || mail.to.includes(to));
      if (url.pathname === '/messages') {
        response.writeHead(200, { 'Content-Type': 'application/json', 'Cache-Control': 'no-store' });
        response.end(JSON.stringify(shown));
        return;
      }
      response.writeHead(url.pathname === '/' ? 200 : 404, { 'Content-Type': 'text/html; charset=utf-8' });
      response.end(`<!doctype html><html lang="en"><meta charset="utf-8"><title>Mailbox (stand-in)</title>
<meta name="viewport" content="width=device-width"><style>body{font:16px/1.5 system-ui;max-width:46rem;margin:2rem auto;padding:0 1rem}
article{border-top:2px solid;padding:1rem 0}pre{white-space:pre-wrap;font:inherit}h1{font-size:1.4rem}</style>
<h1>Mailbox: every message that was sent (stand-in)</h1>${shown
        .map(
          (mail) =>
            `<article><b>${escape(mail.subject)}</b><br>to ${escape(mail.to.join(', '))} · ${escape(mail.at)}<pre>${withLinks(mail.text)}</pre></article>`,
        )
        .join('')}${shown.length === 0 ? '<p>Nothing yet.</p>' : ''}</html>`);
    },
    (problem) => {
      response.writeHead(500);
      response.end(String(problem));
    },
  );
}).listen(pagePort, '127.0.0.1');
