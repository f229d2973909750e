// Keeps what is written in a slot in step with the server.
import { freshKey, type Schema } from '../../../api/client';
import { pace } from '../../../api/pace';
import { isPassing, isProblem } from '../../../api/problem';
import type { Drawer } from '../../../ui/drawer';

type Answer = Schema['AnswerView'];
type Save = Schema['SaveSlot'];

/** `waiting`: the line is down and what was typed is kept on this device. `full`: it is
 * more than the place holds. `refused`: the server does not take it. */
export type SlotState = 'saved' | 'saving' | 'waiting' | 'full' | 'refused';

interface Kept {
  base: string;
  text: string;
  sending: Save | null;
}

const pause = 250;
const longest = 500;
const firstRetry = 1_000;
const slowestRetry = 8_000;

/**
 * Keeps one slot in step with the server. What is typed is kept on the device until the server has said that it is
 * saved; a save that may have been lost is sent again under its own key, so it counts once. What others wrote is
 * brought in by the server (which merges); here it only replaces a text that has nothing unsaved in it.
 */
export class SlotSync {
  text: string;
  state: SlotState = 'saved';
  private base: string;
  private revision: number;
  private sending: Save | null = null;
  private running = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private dirtySince: number | null = null;
  private retryIn = firstRetry;
  private ended = false;
  /** Where the writer is: signs in front of the caret. */
  private caret: number | null = null;
  /** What the server has held since, heard while something of ours was on its way: its turn comes when that is done. */
  private heard: Pick<Answer, 'text' | 'revision'> | null = null;

  constructor(
    answer: Pick<Answer, 'text' | 'revision'>,
    private readonly send: (save: Save) => Promise<Answer>,
    private readonly store: Drawer,
    private readonly changed: () => void,
  ) {
    this.text = this.base = answer.text;
    this.revision = answer.revision;
    const kept = this.load();
    if (kept !== null) {
      this.text = kept.text;
      this.base = kept.base;
      this.sending = kept.sending;
      this.state = 'saving';
      this.schedule(0);
    }
  }

  /**
   * @param caret where in it the writer is, in UTF-16 units
   * @param from what stood there for the writer: what others wrote may have come in since, and is not drawn yet
   */
  type(text: string, caret: number | null = null, from = this.text): void {
    if (this.text === this.base && this.sending === null) this.base = from;
    this.text = text;
    this.caret = caret === null ? null : Array.from(text.slice(0, caret)).length;
    this.dirtySince ??= Date.now();
    if (this.state !== 'waiting' && this.state !== 'full') this.state = 'saving';
    this.keep();
    this.changed();
    if (this.state !== 'waiting')
      this.schedule(Math.max(0, Math.min(pace.wait(pause), this.dirtySince + pace.wait(longest) - Date.now())));
  }

  /** An answer that came over the stream, or with the copy when it was fetched anew. */
  receive(answer: Pick<Answer, 'text' | 'revision'>): void {
    this.hear(answer);
    if (this.takeIn()) this.changed();
  }

  /** The line may be back. */
  retryNow(): void {
    if (this.state === 'waiting' || this.state === 'full') this.schedule(0);
  }

  /** Sends at once what is waiting; for when the page is being left. */
  end(): void {
    this.ended = true;
    clearTimeout(this.timer);
    if (this.text !== this.base || this.sending !== null) void this.flush();
  }

  private schedule(after: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), after);
  }

  private async flush(): Promise<void> {
    if (this.running) return;
    if (this.sending === null) {
      if (this.text === this.base) {
        this.settle();
        return;
      }
      this.sending = { save: freshKey(), base: this.base, text: this.text, caret: this.caret };
      this.dirtySince = null;
      this.keep();
    }
    const sent = this.sending;
    this.running = true;
    try {
      const answer = await this.send(sent);
      this.sending = null;
      this.retryIn = firstRetry;
      // More may have been typed meanwhile: it began from what was sent, and the server merges from there.
      this.base = sent.text;
      this.hear(answer);
      this.takeIn();
      this.running = false;
      if (this.text === this.base) this.settle();
      else this.afterwards();
    } catch (problem) {
      this.running = false;
      if (isPassing(problem)) {
        if (isProblem(problem, 503) && pace.wait(0) > 0) {
          // It has more to do than it can: nothing is wrong, and it goes again at the pace it told.
          if (!this.ended) this.schedule(pace.wait(this.retryIn));
          return;
        }
        const full = isProblem(problem) && problem.field('text') !== undefined;
        if (full) this.sending = null; // it was not done; what is shorter goes next
        this.state = full ? 'full' : 'waiting';
        this.keep();
        this.changed();
        if (!this.ended) this.schedule(this.retryIn);
        this.retryIn = Math.min(slowestRetry, 2 * this.retryIn);
      } else {
        this.state = 'refused';
        this.changed();
      }
    }
  }

  private afterwards(): void {
    this.state = 'saving';
    this.keep();
    this.changed();
    if (this.ended) void this.flush();
    else this.schedule(pace.wait(pause));
  }

  private hear(answer: Pick<Answer, 'text' | 'revision'>): void {
    // The same again counts: a save that was done before the page was opened is answered with what was there already.
    if (answer.revision >= Math.max(this.revision, this.heard?.revision ?? 0)) this.heard = answer;
  }

  /** @returns whether what the server holds took the place of what is shown: never of anything unsaved */
  private takeIn(): boolean {
    if (this.heard === null || this.sending !== null || this.text !== this.base) return false;
    this.revision = this.heard.revision;
    this.text = this.base = this.heard.text;
    this.heard = null;
    return true;
  }

  private settle(): void {
    this.takeIn();
    this.state = 'saved';
    this.store.clear();
    this.changed();
  }

  private keep(): void {
    this.store.save(JSON.stringify({ base: this.base, text: this.text, sending: this.sending } satisfies Kept));
  }

  private load(): Kept | null {
    try {
      return JSON.parse(this.store.load() ?? 'null') as Kept | null;
    } catch {
      return null;
    }
  }
}
