// Somebody in a room who speaks and listens, made by a script: the media server's protocol as a page speaks it, real
// connections, and a second of recorded sound again and again. Nothing is decoded, so that hundreds fit on one machine.
import { readFileSync } from 'node:fs';
import { MediaStreamTrack, RTCPeerConnection, RtpHeader, RtpPacket } from 'werift';
import { WebSocket } from 'ws';
import { base } from '../support.mjs';

/** Milliseconds of sound in a packet, and its samples. */
const packetLasts = 20;
const packetSamples = 960;

/** The packets of an Ogg Opus file (RFC 3533, RFC 7845), without its two headers. */
function packetsOf(file) {
  const packets = [];
  let open = [];
  for (let at = 0; at < file.length;) {
    const segments = file[at + 26];
    let from = at + 27 + segments;
    for (let i = 0; i < segments; i++) {
      const length = file[at + 27 + i];
      open.push(file.subarray(from, from + length));
      from += length;
      if (length === 255) continue;
      packets.push(Buffer.concat(open));
      open = [];
    }
    at = from;
  }
  return packets.slice(2);
}
const sound = packetsOf(readFileSync(new URL('tone.opus', import.meta.url)));

/** All who talk, by one clock: what is late is sent at once, so that each sends fifty packets a second. */
const talking = new Set();
let clock = null;
let tick = 0;
function begin() {
  const started = performance.now();
  tick = 0;
  clock ??= setInterval(() => {
    const due = Math.floor((performance.now() - started) / packetLasts);
    for (; tick < due; tick++) for (const speaker of talking) speaker.sendPacket();
  }, packetLasts / 2);
}

let number = 0;

export class Speaker {
  #answers = new Map();
  #events = new Map();
  #wanted = new Set();
  #connections = new Map();
  #early = [];
  #queue = Promise.resolve();
  #packet = 0;
  sent = 0;
  sentBytes = 0;
  /** By the stream: {packets, bytes, first, last}, sequence numbers counted on. */
  streams = new Map();

  /** @param how what is true of them: `isSilent`, no microphone; `isMixed`, the server mixes for everybody */
  constructor(ticket, { isSilent = false, isMixed = false } = {}) {
    Object.assign(this, { ticket, isSilent, isMixed });
  }

  async enter() {
    await this.#open();
    this.session = (await this.#ask({ janus: 'create' })).data.id;
    this.alive = setInterval(() => void this.#ask({ janus: 'keepalive' }), 8_000);
    const handle = await this.#handle((message) => this.#receive(message.plugindata?.data?.publishers ?? []));
    const { room, token, voice } = this.ticket;
    const body = { request: 'join', room, token, ...(this.isMixed ? {} : { ptype: 'publisher' }) };
    const joined = (await this.#message(handle, body)).plugindata.data;
    this.privateId = joined.private_id;
    const connection = this.isSilent ? null : this.#connection(handle);
    if (this.isMixed) this.receives = connection;
    if (connection !== null) await this.#send(handle, connection);
    if (voice == null) return;
    // As a page does: it listens to the teacher's voice, which is a room of its own.
    const all = await this.#handle(() => undefined);
    await this.#message(all, { request: 'join', ptype: 'publisher', ...voice });
  }

  talk(isOn) {
    if (isOn) talking.add(this);
    else talking.delete(this);
    if (talking.size > 0 && clock === null) begin();
    if (talking.size === 0) {
      clearInterval(clock);
      clock = null;
    }
  }

  /** How many streams more than a few packets have come of. */
  get heard() {
    return [...this.streams.values()].filter((stream) => stream.packets > 5).length;
  }

  stats() {
    const all = [...this.streams.values()];
    const sum = (of) => all.reduce((total, stream) => total + of(stream), 0);
    return {
      sent: this.sent,
      sentBytes: this.sentBytes,
      streams: all.length,
      received: sum((stream) => stream.packets),
      receivedBytes: sum((stream) => stream.bytes),
      lost: sum((stream) => stream.last - stream.first + 1 - stream.packets),
    };
  }

  async leave() {
    this.talk(false);
    clearInterval(this.alive);
    this.socket.close();
    await Promise.all([this.sends?.close(), this.receives?.close()]);
  }

  sendPacket() {
    if (this.sends?.connectionState !== 'connected') return;
    const payload = sound[this.#packet % sound.length];
    const header = new RtpHeader({
      sequenceNumber: this.#packet & 0xffff,
      timestamp: (this.#packet * packetSamples) >>> 0,
    });
    this.#packet++;
    const packet = new RtpPacket(header, payload);
    this.sent++;
    this.sentBytes += packet.serialize().length;
    this.track.writeRtp(packet);
  }

  #open() {
    const address = new URL(this.ticket.address, base);
    address.protocol = 'ws:';
    this.socket = new WebSocket(address, 'janus-protocol', { origin: base.origin });
    this.socket.on('message', (data) => this.#hear(JSON.parse(data)));
    return new Promise((done, fail) => {
      this.socket.on('open', done);
      this.socket.on('error', fail);
    });
  }

  #ask(message) {
    const transaction = `bench-${++number}`;
    if (this.socket.readyState !== WebSocket.OPEN) return new Promise(() => undefined);
    this.socket.send(JSON.stringify({ ...message, transaction, session_id: this.session }));
    return new Promise((done) => this.#answers.set(transaction, done));
  }

  async #message(handle_id, body, description = null) {
    const jsep = description === null ? {} : { jsep: { type: description.type, sdp: description.sdp } };
    const answer = await this.#ask({ janus: 'message', handle_id, body, ...jsep });
    if (answer.plugindata?.data?.error !== undefined || answer.janus === 'error')
      throw new Error(JSON.stringify(answer));
    return answer;
  }

  #hear(message) {
    const asked = this.#answers.get(message.transaction);
    if (asked !== undefined && message.janus !== 'ack') {
      this.#answers.delete(message.transaction);
      asked(message);
    }
    if (message.janus === 'trickle') void this.#take(message.sender, message.candidate);
    this.#events.get(message.sender)?.(message);
    const { leaving, unpublished, kicked } = message.plugindata?.data ?? {};
    this.#wanted.delete(leaving ?? unpublished ?? kicked);
  }

  async #handle(onEvent) {
    const plugin = `janus.plugin.${this.isMixed ? 'audiobridge' : 'videoroom'}`;
    const { data } = await this.#ask({ janus: 'attach', plugin });
    this.#events.set(data.id, onEvent);
    return data.id;
  }

  /** A way to the server, which may be told before the connection is described. */
  async #take(handle, candidate) {
    const connection = this.#connections.get(handle);
    if (connection?.remoteDescription == null) this.#early.push([handle, candidate]);
    else if (!candidate.completed) await connection.addIceCandidate(candidate).catch(() => undefined);
  }

  async #described() {
    for (const [handle, candidate] of this.#early.splice(0)) await this.#take(handle, candidate);
  }

  #connection(handle) {
    const connection = new RTCPeerConnection({ iceServers: [], bundlePolicy: 'max-bundle' });
    this.#connections.set(handle, connection);
    connection.onIceCandidate.subscribe((candidate) => {
      void this.#ask({ janus: 'trickle', handle_id: handle, candidate: candidate?.toJSON() ?? { completed: true } });
    });
    connection.onTrack.subscribe((track) => this.#count(track));
    return connection;
  }

  async #send(handle, connection) {
    this.sends = connection;
    this.track = new MediaStreamTrack({ kind: 'audio' });
    connection.addTransceiver(this.track, { direction: this.isMixed ? 'sendrecv' : 'sendonly' });
    await connection.setLocalDescription(await connection.createOffer());
    const answer = await this.#message(handle, { request: 'configure' }, connection.localDescription);
    await connection.setRemoteDescription(answer.jsep);
    await this.#described();
    this.talk(true);
  }

  /** Has what others send brought here; one change at a time. */
  #receive(publishers) {
    this.#queue = this.#queue.then(async () => {
      const streams = publishers.filter(({ id }) => !this.#wanted.has(id)).map(({ id }) => ({ feed: id }));
      if (streams.length === 0) return;
      for (const { feed } of streams) this.#wanted.add(feed);
      const isFirst = this.receives === undefined;
      const receiver = (this.receiver ??= await this.#handle(() => undefined));
      const body = isFirst
        ? { request: 'join', ptype: 'subscriber', room: this.ticket.room, private_id: this.privateId, streams }
        : { request: 'subscribe', streams };
      const offer = await this.#message(receiver, body).catch(() => ({}));
      if (offer.jsep === undefined) {
        // Gone just as they were asked for: asked for again when they are announced again.
        for (const { feed } of streams) this.#wanted.delete(feed);
        return;
      }
      this.receives ??= this.#connection(receiver);
      await this.receives.setRemoteDescription(offer.jsep);
      await this.#described();
      await this.receives.setLocalDescription(await this.receives.createAnswer());
      await this.#message(receiver, { request: 'start' }, this.receives.localDescription);
    });
  }

  #count(track) {
    track.onReceiveRtp.subscribe((packet) => {
      const { sequenceNumber, ssrc } = packet.header;
      let stream = this.streams.get(ssrc);
      if (stream === undefined) {
        stream = { packets: 0, bytes: 0, first: sequenceNumber, last: sequenceNumber };
        this.streams.set(ssrc, stream);
      }
      stream.packets++;
      stream.bytes += packet.payload.length + packet.header.serializeSize;
      // The nearest number that ends in these sixteen bits.
      const ahead = ((sequenceNumber - stream.last + 0x8000) & 0xffff) - 0x8000;
      if (ahead > 0) stream.last += ahead;
    });
  }
}
