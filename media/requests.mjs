// What a page may ask of the media server: the few requests it needs, each with the few fields it needs. Who somebody
// is stands in their address, not in what they send; sessions and handles are those of their own connection.

export const plugin = 'janus.plugin.videoroom';
/** What one sends and hears, in a room and from the teacher to all; and two more that are closing. */
const mostHandles = 6;
const longestSdp = 50_000;

const is = {
  text: (value) => typeof value === 'string' && value.length <= 200,
  number: (value) => Number.isSafeInteger(value) && value >= 0,
  descriptions: (value) =>
    Array.isArray(value) &&
    value.length <= 10 &&
    value.every(
      (one) =>
        is.text(one?.mid) &&
        ['on', 'muted', 'camera', 'screen'].includes(one.description) &&
        Object.keys(one).length === 2,
    ),
  /** Which of the streams that come are sent on to this page. */
  sending: (value) =>
    Array.isArray(value) &&
    value.length <= 100 &&
    value.every(
      (stream) => is.text(stream?.mid) && typeof stream.send === 'boolean' && Object.keys(stream).length === 2,
    ),
  streams: (value) =>
    Array.isArray(value) &&
    value.length <= 100 &&
    value.every(
      (stream) =>
        stream !== null &&
        typeof stream === 'object' &&
        Object.entries(stream).every(([key, field]) => ['feed', 'mid'].includes(key) && is.text(field)),
    ),
};

/** By request, what may stand in it. */
const bodies = {
  join: { ptype: is.text, room: is.text, token: is.text, private_id: is.number, streams: is.streams },
  configure: { descriptions: is.descriptions, streams: is.sending },
  start: {},
  subscribe: { streams: is.streams },
};

const record = (value) => (value !== null && typeof value === 'object' && !Array.isArray(value) ? value : null);
const only = (fields, from) => {
  const taken = {};
  for (const [key, isGood] of Object.entries(fields)) {
    if (from[key] === undefined) continue;
    if (!isGood(from[key])) return null;
    taken[key] = from[key];
  }
  return taken;
};

const candidate = (value) => {
  if (value === null || value?.completed === true) return { completed: true };
  const from = record(value);
  return from && is.text(from.candidate) && from.candidate.length <= 1_000
    ? only({ candidate: () => true, sdpMid: is.text, sdpMLineIndex: is.number, usernameFragment: is.text }, from)
    : undefined;
};

function description(value) {
  if (value === undefined) return {};
  const from = record(value);
  return from &&
    ['offer', 'answer'].includes(from.type) &&
    typeof from.sdp === 'string' &&
    from.sdp.length <= longestSdp
    ? { jsep: { type: from.type, sdp: from.sdp, ...(from.trickle === false ? { trickle: false } : {}) } }
    : null;
}

/** The requests of one connection. */
export class Requests {
  #person;
  #token;
  #session = null;
  #handles = new Set();
  /** Handles in rooms where this person hears and sends nothing: it stands in the token that let them in. */
  #listening = new Set();
  /** Handles in rooms where their screen is not to be seen. */
  #screenless = new Set();
  /** Requests for a session or a handle that are not answered yet, by transaction. */
  #awaited = new Map();

  /**
   * @param person {id, name}
   * @param token  returns what opens a session
   */
  constructor(person, token) {
    this.#person = person;
    this.#token = token;
  }

  /** @returns what goes on to the media server; null: it does not go on */
  fromPage(message) {
    const from = record(message);
    if (!from || !is.text(from.transaction) || from.transaction.length < 4) return null;
    const base = { janus: from.janus, transaction: from.transaction, token: this.#token() };
    if (from.janus === 'create') return this.#create(base);
    if (this.#session === null || from.session_id !== this.#session) return null;
    base.session_id = this.#session;
    if (from.janus === 'keepalive' || from.janus === 'destroy') return base;
    if (from.janus === 'attach') return this.#attach(base, from);
    if (!this.#handles.has(from.handle_id)) return null;
    return this.#onHandle({ ...base, handle_id: from.handle_id }, from);
  }

  /** Takes note of an answer of the media server's. */
  fromServer(message) {
    const asked = this.#awaited.get(message.transaction);
    if (asked === undefined || (message.janus !== 'success' && message.janus !== 'error')) return;
    this.#awaited.delete(message.transaction);
    if (message.janus !== 'success' || !is.number(message.data?.id)) return;
    if (asked === 'create') this.#session = message.data.id;
    else this.#handles.add(message.data.id);
  }

  #create(base) {
    if (this.#session !== null || this.#awaited.size > 0) return null;
    this.#awaited.set(base.transaction, 'create');
    return base;
  }

  #attach(base, from) {
    if (from.plugin !== plugin || this.#handles.size + this.#awaited.size >= mostHandles) return null;
    this.#awaited.set(base.transaction, 'attach');
    return { ...base, plugin, opaque_id: this.#person.id };
  }

  #onHandle(base, from) {
    switch (from.janus) {
      case 'detach':
        this.#handles.delete(base.handle_id);
        return base;
      case 'hangup':
        return base;
      case 'trickle': {
        const one = candidate(from.candidate);
        return one ? { ...base, candidate: one } : null;
      }
      case 'message':
        return this.#message(base, from);
      default:
        return null;
    }
  }

  #message(base, from) {
    const asked = record(from.body);
    const fields = asked && Object.hasOwn(bodies, asked.request) ? bodies[asked.request] : null;
    const body = fields && only(fields, asked);
    const jsep = description(from.jsep);
    if (!body || !jsep) return null;
    if (jsep.jsep !== undefined && this.#listening.has(base.handle_id)) return null;
    const isScreen = body.descriptions?.some((one) => one.description === 'screen') ?? false;
    if (isScreen && this.#screenless.has(base.handle_id)) return null;
    body.request = asked.request;
    if (body.request === 'join') {
      if (body.ptype !== 'publisher' && body.ptype !== 'subscriber') return null;
      if (body.ptype === 'publisher') this.#joinAs(body, base.handle_id);
    }
    return { ...base, body, ...jsep };
  }

  /** What they may send there is said by the token that lets them in; one they made up lets nobody in. */
  #joinAs(body, handle) {
    const right = body.token?.split('.')[1];
    if (right !== 'shares') this.#screenless.add(handle);
    if (right !== 'shares' && right !== 'speaks') this.#listening.add(handle);
    Object.assign(body, { id: this.#person.id, display: this.#person.name });
  }
}
