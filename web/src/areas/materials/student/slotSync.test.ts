import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../../api/client';
import { pace } from '../../../api/pace';
import { ApiProblem } from '../../../api/problem';
import type { Drawer } from '../../../ui/drawer';
import { SlotSync } from './slotSync';

type Save = Schema['SaveSlot'];

/** A server that merges as plainly as can be: what is new in a save is put after what it has. */
class Server {
  text = '';
  revision = 0;
  down = false;
  refusing = false;
  /** Turns away so many saves, and says how long their page is to wait. */
  busy = 0;
  /** Does the work and loses the answer. */
  deaf = 0;
  readonly saves: Save[] = [];
  private readonly done = new Set<string>();

  readonly take = (save: Save): Promise<Schema['AnswerView']> => {
    if (this.down) return Promise.reject(new ApiProblem(0, 'no line'));
    if (this.busy > 0) {
      this.busy--;
      pace.note(4_000);
      return Promise.reject(new ApiProblem(503, 'busy'));
    }
    if (this.refusing) return Promise.reject(new ApiProblem(404, 'not yours'));
    this.saves.push(save);
    if (!this.done.has(save.save)) {
      this.done.add(save.save);
      this.text = this.text === save.base ? save.text : this.text + save.text.slice(save.base.length);
      this.revision++;
    }
    if (this.deaf-- > 0) return Promise.reject(new ApiProblem(0, 'answer lost'));
    return Promise.resolve({ slot: 's', owner: 'o', author: 'a', at: 0, text: this.text, revision: this.revision });
  };

  other(words: string): { text: string; revision: number } {
    this.text += words;
    this.revision++;
    return { text: this.text, revision: this.revision };
  }
}

function memory(): Drawer & { kept: string | null } {
  return {
    kept: null,
    load() {
      return this.kept;
    },
    save(value) {
      this.kept = value;
    },
    clear() {
      this.kept = null;
    },
  };
}

const soon = (ms = 10_000) => vi.advanceTimersByTimeAsync(ms);

describe('a slot that is saved as it is typed', () => {
  let server: Server;
  let store: ReturnType<typeof memory>;
  const open = () =>
    new SlotSync({ text: server.text, revision: server.revision }, server.take, store, () => undefined);

  beforeEach(() => {
    vi.useFakeTimers();
    server = new Server();
    store = memory();
  });
  afterEach(() => {
    pace.note(0);
    vi.useRealTimers();
  });

  it('goes again at the pace a busy server tells, and nobody is told that anything is wrong', async () => {
    const slot = open();
    server.busy = 1;
    slot.type('Ada');
    await soon(1_000);
    expect(slot.state).toBe('saving');
    await soon(1_900);
    expect(server.saves).toHaveLength(0);
    await soon(2_600);
    expect(slot.state).toBe('saved');
    expect(server.text).toBe('Ada');
  });

  it('shows what the server holds where a save was done before the page was opened again', async () => {
    const slot = open();
    slot.type('Mine');
    server.deaf = 1;
    await soon(600);
    expect(server.text).toBe('Mine');
    server.other(' and theirs');
    const again = open(); // the same drawer: the first page is gone
    expect(again.text).toBe('Mine');
    await soon();
    expect([again.text, again.state]).toEqual(['Mine and theirs', 'saved']);
    slot.end();
  });

  it('takes nobody’s words out that have come in and are not drawn yet', async () => {
    const slot = open();
    slot.type('The wall');
    await soon();
    const drawn = slot.text;
    slot.receive(server.other(' goes north'));
    slot.type(`${drawn}!`, null, drawn); // the hand was quicker than the page
    await soon();
    expect(server.saves.at(-1)).toMatchObject({ base: 'The wall', text: 'The wall!' });
    expect([slot.text, server.text]).toEqual(['The wall goes north!', 'The wall goes north!']);
    slot.type('The wall goes north!?', null, slot.text);
    await soon();
    expect(server.saves.at(-1)).toMatchObject({ base: 'The wall goes north!', text: 'The wall goes north!?' });
  });

  it('saves after a pause and says so', async () => {
    const slot = open();
    slot.type('The wall');
    expect(slot.state).toBe('saving');
    await soon();
    expect([slot.state, server.text, store.kept]).toEqual(['saved', 'The wall', null]);
    expect(server.saves).toHaveLength(1);
  });

  it('saves now and then while somebody types without a pause', async () => {
    const slot = open();
    for (let i = 1; i <= 40; i++) {
      slot.type('x'.repeat(i));
      await soon(100);
    }
    expect(server.saves.length).toBeGreaterThanOrEqual(2);
    await soon();
    expect(server.text).toBe('x'.repeat(40));
  });

  it('takes what others wrote when nothing of its own is waiting', () => {
    const slot = open();
    slot.receive(server.other('Theirs.'));
    expect(slot.text).toBe('Theirs.');
    slot.receive({ text: 'older', revision: 0 });
    expect(slot.text).toBe('Theirs.');
  });

  it('never types over what is being typed', async () => {
    const slot = open();
    slot.type('Mine.');
    slot.receive(server.other('Theirs.'));
    expect(slot.text).toBe('Mine.');
    await soon();
    expect(slot.text).toBe('Theirs.Mine.');
  });

  it('keeps what is typed while the line is down and sends it when it is back', async () => {
    const slot = open();
    server.down = true;
    slot.type('One.');
    await soon();
    expect(slot.state).toBe('waiting');
    slot.type('One. Two.');
    expect(JSON.parse(store.kept ?? '{}')).toMatchObject({ text: 'One. Two.' });
    server.other('Theirs. ');
    server.down = false;
    slot.retryNow();
    await soon();
    expect([slot.state, server.text]).toEqual(['saved', 'Theirs. One. Two.']);
    expect(slot.text).toBe(server.text);
  });

  it('sends a save whose answer was lost again under the same key', async () => {
    const slot = open();
    server.deaf = 2;
    slot.type('Once.');
    await soon(20_000);
    expect(server.text).toBe('Once.');
    expect(new Set(server.saves.map((save) => save.save)).size).toBe(1);
    expect(slot.state).toBe('saved');
  });

  it('goes on after a reload from what was kept', async () => {
    server.down = true;
    const before = open();
    before.type('Kept.');
    await soon();
    before.type('Kept. And more.');
    server.down = false;
    vi.clearAllTimers(); // the page is gone
    const after = open();
    expect(after.text).toBe('Kept. And more.');
    await soon();
    expect([server.text, after.state]).toEqual(['Kept. And more.', 'saved']);
  });

  it('what others wrote is heard before the answer to a save of one’s own: it is shown when that is done', async () => {
    const answers: (() => void)[] = [];
    const slow = async (save: Save) => {
      const done = await server.take(save);
      await new Promise<void>((resolve) => answers.push(resolve));
      return done;
    };
    const slot = new SlotSync({ text: '', revision: 0 }, slow, store, () => undefined);
    slot.type('Mine.');
    await soon(1_000);
    slot.receive(server.other(' Theirs.'));
    expect(slot.text).toBe('Mine.');
    answers.shift()?.();
    await soon(100);
    expect([slot.text, slot.state]).toEqual(['Mine. Theirs.', 'saved']);
  });

  it('taking back what was typed while a save was on its way shows what the server holds', async () => {
    const answers: (() => void)[] = [];
    const slow = async (save: Save) => {
      const done = await server.take(save);
      await new Promise<void>((resolve) => answers.push(resolve));
      return done;
    };
    const slot = new SlotSync({ text: '', revision: 0 }, slow, store, () => undefined);
    server.other('Theirs. ');
    slot.type('Mine.');
    await soon(1_000);
    slot.type('Mine. And');
    answers.shift()?.();
    await soon(10);
    slot.type('Mine.');
    await soon();
    expect([slot.text, slot.state]).toEqual(['Theirs. Mine.', 'saved']);
  });

  it('says when the server does not take it, and keeps the words', async () => {
    server.refusing = true;
    const slot = open();
    slot.type('Mine.');
    await soon();
    expect([slot.state, slot.text]).toEqual(['refused', 'Mine.']);
    expect(store.kept).toContain('Mine.');
  });

  it('is never confused by a bad line: whatever happens, every word arrives once', async () => {
    for (let seed = 1; seed <= 40; seed++) {
      server = new Server();
      store = memory();
      let state = seed * 7919;
      const random = (n: number) => {
        state = (state * 1103515245 + 12345) % 2147483648;
        return state % n;
      };
      let slot = open();
      let typed = 0;
      let others = 0;
      let onTheWay: { text: string; revision: number }[] = [];
      for (let i = 0; i < 30; i++) {
        const what = random(8);
        if (what === 6) onTheWay.push(server.other(` o${++others}.`));
        if (what === 7) onTheWay.splice(0).forEach((answer) => slot.receive(answer));
        if (what < 3) slot.type(`${slot.text} w${++typed}.`);
        if (what === 3) server.down = !server.down;
        if (what === 4) server.deaf = random(3);
        if (what === 5 && random(3) === 0) {
          vi.clearAllTimers();
          slot = open();
          onTheWay = [];
        }
        await soon(random(3_000));
      }
      server.down = false;
      server.deaf = 0;
      await soon(30_000);
      onTheWay.forEach((answer) => slot.receive(answer));
      expect(slot.text, `seed ${seed}`).toBe(server.text);
      for (let n = 1; n <= typed; n++)
        expect(server.text.split(`w${n}.`), `seed ${seed}, w${n}: ${server.text}`).toHaveLength(2);
      expect(slot.state).toBe('saved');
    }
  });
});
