// Runs in a page: people who talk and listen in rooms of our own, many in one browser. Speaks the media server's
// protocol by itself, so that what is measured is the server and not the page.
window.speakers = new Map();

const audio = new AudioContext();
let number = 0;

function tone(frequency) {
  const oscillator = audio.createOscillator();
  oscillator.frequency.value = frequency;
  const gate = audio.createGain();
  const destination = audio.createMediaStreamDestination();
  oscillator.connect(gate).connect(destination);
  oscillator.start();
  return { track: destination.stream.getAudioTracks()[0], talk: (on) => (gate.gain.value = on ? 1 : 0) };
}

class Speaker {
  constructor(ticket, { plugin = 'janus.plugin.videoroom', frequency = 440 } = {}) {
    this.ticket = ticket;
    this.plugin = plugin;
    this.answers = new Map();
    this.events = new Map();
    this.microphone = tone(frequency);
    this.wanted = new Set();
    this.connections = new Map();
    this.early = [];
  }

  open() {
    const address = new URL(this.ticket.address, location.href);
    address.protocol = 'ws:';
    this.socket = new WebSocket(address, 'janus-protocol');
    this.socket.onmessage = ({ data }) => this.hear(JSON.parse(data));
    return new Promise((resolve, reject) => {
      this.socket.onopen = resolve;
      this.socket.onerror = () => reject(new Error('no line'));
    });
  }

  ask(message) {
    const transaction = `bench-${++number}`;
    this.socket.send(JSON.stringify({ ...message, transaction, session_id: this.session }));
    return new Promise((resolve) => this.answers.set(transaction, resolve));
  }

  hear(message) {
    const asked = this.answers.get(message.transaction);
    if (asked !== undefined && message.janus !== 'ack') {
      this.answers.delete(message.transaction);
      asked(message);
    }
    if (message.janus === 'trickle') void this.take(message.sender, message.candidate);
    this.events.get(message.sender)?.(message);
    const { leaving, unpublished, kicked } = message.plugindata?.data ?? {};
    this.wanted.delete(leaving ?? unpublished ?? kicked);
  }

  async handle(onEvent) {
    const answer = await this.ask({ janus: 'attach', plugin: this.plugin });
    this.events.set(answer.data.id, onEvent);
    return answer.data.id;
  }

  /** A way to the server, which may be told before the connection is described. */
  async take(handle, candidate) {
    const connection = this.connections.get(handle);
    if (connection?.remoteDescription == null) {
      this.early.push([handle, candidate]);
      return;
    }
    await connection.addIceCandidate(candidate.completed ? undefined : candidate).catch(() => undefined);
  }

  async described() {
    for (const [handle, candidate] of this.early.splice(0)) await this.take(handle, candidate);
  }

  connection(handle) {
    const connection = new RTCPeerConnection();
    this.connections.set(handle, connection);
    connection.onicecandidate = ({ candidate }) =>
      void this.ask({ janus: 'trickle', handle_id: handle, candidate: candidate?.toJSON() ?? { completed: true } });
    return connection;
  }

  async enter() {
    await this.open();
    this.session = (await this.ask({ janus: 'create' })).data.id;
    this.alive = setInterval(() => void this.ask({ janus: 'keepalive' }), 8_000);
    const handle = await this.handle((message) => void this.receive(message.plugindata?.data?.publishers ?? []));
    const { room, token } = this.ticket;
    const joined = await this.ask({
      janus: 'message',
      handle_id: handle,
      body: { request: 'join', ptype: 'publisher', room, token },
    });
    this.privateId = joined.plugindata.data.private_id;
    if (this.privateId === undefined) throw new Error(JSON.stringify(joined.plugindata.data));
    this.sends = this.connection(handle);
    this.sends.addTrack(this.microphone.track);
    await this.sends.setLocalDescription();
    const answer = await this.ask({
      janus: 'message',
      handle_id: handle,
      body: { request: 'configure' },
      jsep: this.sends.localDescription.toJSON(),
    });
    await this.sends.setRemoteDescription(answer.jsep);
    await this.described();
  }

  /** Has what others send brought here; one change at a time. */
  receive(publishers) {
    this.queue = (this.queue ?? Promise.resolve()).then(async () => {
      const streams = publishers
        .filter((one) => !this.wanted.has(one.id))
        .map((one) => {
          this.wanted.add(one.id);
          return { feed: one.id };
        });
      if (streams.length === 0) return;
      const isFirst = this.receiver === undefined;
      this.receiver ??= await this.handle(() => undefined);
      const body = isFirst
        ? { request: 'join', ptype: 'subscriber', room: this.ticket.room, private_id: this.privateId, streams }
        : { request: 'subscribe', streams };
      const offer = await this.ask({ janus: 'message', handle_id: this.receiver, body });
      if (isFirst) {
        this.receives = this.connection(this.receiver);
        this.receives.ontrack = ({ track }) => this.play(track);
      }
      await this.receives.setRemoteDescription(offer.jsep);
      await this.described();
      await this.receives.setLocalDescription();
      await this.ask({
        janus: 'message',
        handle_id: this.receiver,
        body: { request: 'start' },
        jsep: this.receives.localDescription.toJSON(),
      });
    });
    return this.queue;
  }

  /** A stream that nobody plays is not decoded: here it is, and no louder than nothing. */
  play(track) {
    const stream = new MediaStream([track]);
    const sink = new Audio();
    sink.srcObject = stream;
    sink.volume = 0;
    void sink.play();
    (this.sinks ??= []).push(sink);
  }

  /** Packets and bytes so far. */
  async stats() {
    const all = { sent: 0, sentBytes: 0, received: 0, receivedBytes: 0, lost: 0, streams: 0, heard: 0 };
    for (const report of (await this.sends.getStats()).values()) {
      if (report.type !== 'outbound-rtp') continue;
      all.sent += report.packetsSent;
      all.sentBytes += report.bytesSent + report.headerBytesSent;
    }
    for (const report of (await this.receives?.getStats())?.values() ?? []) {
      if (report.type !== 'inbound-rtp') continue;
      all.streams++;
      if (report.packetsReceived > 5) all.heard++;
      all.received += report.packetsReceived;
      all.receivedBytes += report.bytesReceived + report.headerBytesReceived;
      all.lost += report.packetsLost;
    }
    return all;
  }

  leave() {
    clearInterval(this.alive);
    this.socket.close();
    this.sends?.close();
    this.receives?.close();
    for (const sink of this.sinks ?? []) sink.pause();
  }
}

const within = async (isSo, most) => {
  const until = performance.now() + most;
  while (performance.now() < until) {
    if (await isSo()) return true;
    await new Promise((done) => setTimeout(done, 10));
  }
  return false;
};

/** @returns milliseconds until somebody is in and hears `mates` others; null: not within 10 s */
window.enterAndHear = async (id, ticket, mates, options) => {
  const began = performance.now();
  const speaker = new Speaker(ticket, options);
  window.speakers.get(id)?.leave();
  window.speakers.set(id, speaker);
  await speaker.enter();
  const heard = await within(async () => (await speaker.stats()).heard >= mates, 10_000);
  return heard ? performance.now() - began : null;
};

window.enterRoom = async (id, ticket, options) => {
  const speaker = new Speaker(ticket, options);
  window.speakers.get(id)?.leave();
  window.speakers.set(id, speaker);
  await speaker.enter();
};

window.talk = (id, on) => window.speakers.get(id).microphone.talk(on);

window.allStats = async () => {
  const sum = {};
  for (const speaker of window.speakers.values())
    for (const [name, value] of Object.entries(await speaker.stats())) sum[name] = (sum[name] ?? 0) + value;
  return sum;
};

window.leaveAll = () => {
  for (const speaker of window.speakers.values()) speaker.leave();
  window.speakers.clear();
};
