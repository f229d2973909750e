// The media server alone, without our application, gate, tokens and events: what the same talking costs there, handed
// on or mixed.
import { spawn } from 'node:child_process';
import { mkdtempSync, openSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WebSocket } from 'ws';

const port = Number(process.env.FH_BARE_PORT ?? 8_699);

/** Starts one with the settings of the instance at `run`, less what is ours, and waits until it answers. */
export async function bareServer(run) {
  const folder = mkdtempSync(join(tmpdir(), 'fresh-huddle-bare-'));
  for (const name of readdirSync(`${run}/media`)) {
    const text = readFileSync(`${run}/media/${name}`, 'utf8')
      .replaceAll(`${run}/media`, folder)
      .replace(/rtp_port_range = .*/, 'rtp_port_range = "40000-41999"')
      .replace(/token_auth\w* = .*/g, '')
      .replace(/admin_key = .*/, '')
      .replace(/admin_http = true/, 'admin_http = false')
      .replace(/ws_port = .*/, `ws_port = ${port}`)
      .replace('libjanus_audiobridge.so,', '')
      .replace(/(events: \{\n)[^}]*/, '$1    broadcast = false\n')
      .replace(/^( *)(enabled|events) = true/gm, '$1$2 = false');
    writeFileSync(join(folder, name), text);
  }
  writeFileSync(join(folder, 'janus.plugin.audiobridge.jcfg'), 'general: { string_ids = true }\n');
  const said = openSync(join(folder, 'said'), 'w');
  const start = () => spawn('janus', ['-F', folder], { stdio: ['ignore', said, said] });
  let server = start();
  for (let tries = 0; ; tries++) {
    try {
      return { pid: server.pid, makeRoom: await lineTo(), stop: () => server.kill() };
    } catch (problem) {
      if (tries > 100) throw new Error(`${problem.message}; see ${folder}/said.`);
      // Now and then it ends while it is starting.
      if (server.exitCode !== null || server.signalCode !== null) {
        console.error(
          `  (the bare media server ended at its start: ${server.exitCode ?? server.signalCode}; once more)`,
        );
        server = start();
      }
      await new Promise((done) => setTimeout(done, 200));
    }
  }
}

export const address = `ws://127.0.0.1:${port}/`;

/** Makes rooms: returns a function that makes one by its name, handed on or mixed. */
async function lineTo() {
  const socket = new WebSocket(address, 'janus-protocol');
  await new Promise((done, fail) => {
    socket.onopen = done;
    socket.onerror = ({ message }) => fail(new Error(`The bare media server does not answer: ${message}`));
  });
  socket.setMaxListeners(0); // one for each question that is not answered yet
  let number = 0;
  const ask = (message) =>
    new Promise((done) => {
      const transaction = `bare-${++number}`;
      socket.addEventListener('message', function hear({ data }) {
        const answer = JSON.parse(data);
        if (answer.transaction !== transaction || answer.janus === 'ack') return;
        socket.removeEventListener('message', hear);
        done(answer);
      });
      socket.send(JSON.stringify({ ...message, transaction }));
    });
  const session_id = (await ask({ janus: 'create' })).data.id;
  const alive = setInterval(() => void ask({ janus: 'keepalive', session_id }), 8_000);
  alive.unref();
  return async (room, isMixed) => {
    const plugin = `janus.plugin.${isMixed ? 'audiobridge' : 'videoroom'}`;
    const handle = (await ask({ janus: 'attach', session_id, plugin })).data?.id;
    // It was too busy to hear that this session is still there.
    if (handle === undefined) return false;
    const how = isMixed
      ? { sampling_rate: 48_000, audiolevel_event: false }
      : { publishers: 100, audiocodec: 'opus', opus_fec: true, opus_dtx: true, audiolevel_event: false };
    const made = await ask({
      janus: 'message',
      session_id,
      handle_id: handle,
      body: { request: 'create', room, ...how },
    });
    if (made.plugindata.data.error !== undefined) throw new Error(made.plugindata.data.error);
    return true;
  };
}
