// A simulated student over real HTTP and a real stream: what their page would show, and what it would ask.
import { Pace, ask, listen, ofPages, paceOf } from '../support.mjs';

/** A page asks again at most so soon after a hint, and gives a sign of life so often. Milliseconds. */
const settle = 120;
const signEvery = 8_000;
const triesAgain = 20_000;

const { comingBackUntil, phaseOf } = await ofPages('areas/live/phase.ts');

export class Student {
  cookie = null;
  now = null;
  copy = null;
  isCut = false;
  /** By slot: what the server has said is saved, of this student's own. */
  saved = new Map();
  #stream = null;
  #asking = null;
  #pace = new Pace();

  /** @param log counts and times: note(kind, milliseconds, status) */
  constructor(number, name, doorWord, log) {
    Object.assign(this, { number, name, doorWord, log });
    this.address = `198.51.${number >> 8}.${number & 255}`;
  }

  async #ask(kind, method, path, body) {
    if (this.isCut) return { status: 0, headers: {}, json: null };
    const began = performance.now();
    const answer = await ask(method, path, {
      cookie: this.cookie ?? undefined,
      body,
      headers: { 'X-Forwarded-For': this.address },
    }).catch(() => ({ status: 0, headers: {}, json: null, cookies: '' }));
    this.log.note(kind, performance.now() - began, answer.status);
    if (answer.status > 0) this.#pace.note(paceOf(answer));
    return answer;
  }

  /** What their page shows, for their mind. */
  sight(at) {
    const { now } = this;
    const phase = phaseOf(now?.moments ?? null, at);
    const isOut = phase === 'out' || phase === 'comingBack';
    const group = now?.group ?? null;
    const { moments } = now ?? {};
    const since = { looking: moments?.lookFrom, back: moments && comingBackUntil(moments) }[phase];
    return {
      isIn: now !== null && now.id !== '',
      place: isOut ? (now?.aside?.place ?? group?.id ?? null) : 'main',
      since: isOut ? moments.outAt : (since ?? 0),
      fetchedAt: now?.fetchedAt ?? null,
      isWorking: isOut && group !== null,
      leavesAt: phase === 'comingBack' ? comingBackUntil(moments) : null,
      isCalling: (group?.signal.about ?? null) !== null,
      isHelped: group?.signal.visited ?? false,
      blanks: isOut ? this.#blanks(at) : [],
    };
  }

  #blanks(at) {
    if (this.copy === null) return [];
    return this.copy.pages.flatMap((page) =>
      page.blocks
        .filter(({ kind }) => kind === 'each' || kind === 'together')
        .map(({ id, kind }) => {
          const owner = kind === 'each' ? this.now.id : this.copy.id;
          const answer = this.copy.answers.find((one) => one.slot === id && one.owner === owner);
          const isOthers = answer !== undefined && answer.author !== this.now.id;
          return {
            slot: id,
            own: kind === 'each',
            filled: (answer?.text ?? '') !== '',
            taken: isOthers && at - answer.at < 15_000,
          };
        }),
    );
  }

  async act(kind, text, place, slot) {
    switch (kind) {
      case 'arrive':
      case 'arriveAgain':
        return kind === 'arrive' ? this.#join(text) : undefined;
      case 'go':
        return this.#ask('room', 'GET', '/api/student/room');
      case 'write':
        return this.#write(slot, text);
      case 'call':
        return this.#ask('call', 'PUT', '/api/student/call', { about: 'question' });
      case 'loseLine':
        return this.#cut();
      case 'findLine':
        return this.#open();
      default:
        return undefined;
    }
  }

  async #join(typed) {
    const answer = await this.#ask('join', 'POST', '/api/student/join', { doorWord: this.doorWord, name: typed });
    if (answer.status === 200 && answer.cookies !== '') {
      this.cookie = answer.cookies;
      return this.#open();
    }
    // A name that was not found, or a door that was too busy: typed properly after a while.
    setTimeout(() => void this.#join(this.name), answer.status === 429 ? 5_000 : triesAgain * Math.random());
    return undefined;
  }

  #cut() {
    this.isCut = true;
    this.#stream?.destroy();
    clearInterval(this.alive);
  }

  async #open() {
    this.isCut = false;
    const { json } = await this.#ask('address', 'GET', '/api/student/stream');
    if (json?.address === undefined) {
      setTimeout(() => void this.#open(), 2_000);
      return;
    }
    this.#stream = await listen(json.address, this.cookie, (message) => this.#hear(message)).catch(() => null);
    await this.refresh();
    clearInterval(this.alive);
    this.alive = setInterval(() => void this.#sign(), this.#pace.wait(signEvery));
  }

  async #sign() {
    const { json } = await this.#ask('sign', 'POST', '/api/student/sign');
    if (json !== null && json.seq > (this.now?.seq ?? 0)) await this.refresh();
  }

  #hear(message) {
    this.log.heard(this, message);
    if (message.kind === 'answer' && this.copy !== null) {
      const { answer } = message;
      this.copy.answers = [
        ...this.copy.answers.filter((one) => one.slot !== answer.slot || one.owner !== answer.owner),
        answer,
      ];
    } else if (message.kind !== 'change') this.#later();
  }

  /** Several hints are one question. */
  #later() {
    this.#asking ??= setTimeout(() => {
      this.#asking = null;
      void this.refresh();
    }, this.#pace.wait(settle));
  }

  async refresh() {
    const { status, json } = await this.#ask('now', 'GET', '/api/student/now');
    if (status !== 200) return;
    this.now = json;
    const copy = json.group?.copies[0]?.id ?? null;
    if (copy !== null && this.copy?.id !== copy) {
      const answer = await this.#ask('copy', 'GET', `/api/student/copies/${copy}`);
      if (answer.status === 200) this.copy = answer.json;
    }
  }

  async #write(slot, text) {
    if (this.copy === null) return;
    const block = this.copy.pages.flatMap((page) => page.blocks).find(({ id }) => id === slot);
    const owner = block?.kind === 'each' ? this.now.id : this.copy.id;
    const before = this.copy.answers.find((one) => one.slot === slot && one.owner === owner)?.text ?? '';
    const body = { save: crypto.randomUUID(), base: before, text };
    for (let tries = 0; tries < 5 && !this.isCut; tries++) {
      const answer = await this.#ask('save', 'PUT', `/api/student/copies/${this.copy.id}/slots/${slot}`, body);
      if (answer.status === 200) {
        this.saved.set(`${this.copy.id}|${slot}|${owner}`, answer.json);
        this.#hear({ kind: 'answer', answer: answer.json, mine: true });
        return;
      }
      if (answer.status > 0 && answer.status < 500 && answer.status !== 429) return;
      await new Promise((done) => setTimeout(done, 1_000 * (tries + 1)));
    }
  }

  leave() {
    this.#cut();
    clearTimeout(this.#asking);
  }
}
