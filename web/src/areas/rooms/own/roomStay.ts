// The room this page is in, across moves, cut lines and pages that look at something else: one for the whole page.
import { api, take } from '../../../api/client';
import { openMicrophone, type MicrophoneProblem, MicrophoneFailed } from './microphone';
import { RoomCall, type CallState, type Ticket } from './roomCall';

export interface StayState {
  /** Whoever is here has pressed Join, and follows from room to room. */
  isJoined: boolean;
  isMicrophoneOn: boolean;
  problem: MicrophoneProblem | null;
  /** The place this page is in, or on its way to; null: nowhere. */
  place: string | null;
  call: CallState | null;
}

/** Milliseconds before the next try. */
const firstRetry = 500;
const slowestRetry = 5_000;

export class RoomStay {
  private state: StayState = { isJoined: false, isMicrophoneOn: false, problem: null, place: null, call: null };
  private readonly listeners = new Set<() => void>();
  private call: RoomCall | null = null;
  private microphone: MediaStreamTrack | null = null;
  private retry: ReturnType<typeof setTimeout> | undefined;
  /** How often the place has changed: what began before is dropped. */
  private turn = 0;

  /** @param ask gives what lets this page into the room where it belongs now */
  constructor(private readonly ask: () => Promise<Ticket> = () => take(api.POST('/api/student/room'))) {}

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = () => this.state;

  /** From now on, this page goes where its student belongs. */
  async join(withMicrophone: boolean): Promise<void> {
    if (withMicrophone) await this.openMicrophone();
    this.set({ isJoined: true });
    this.begin();
  }

  leave(): void {
    this.end();
    this.closeMicrophone();
    this.set({ isJoined: false });
  }

  /**
   * The student belongs somewhere else now.
   *
   * @param isQuiet the microphone is off there until it is switched on
   */
  follow(place: string | null, isQuiet: boolean): void {
    if (place === this.state.place) return;
    this.end();
    if (isQuiet || place === null) this.closeMicrophone();
    this.set({ place });
    if (this.state.isJoined) this.begin();
  }

  async setMicrophone(isOn: boolean): Promise<void> {
    if (isOn && this.microphone === null) {
      const microphone = await this.openMicrophone();
      if (microphone !== null) await this.call?.sendMicrophone(microphone);
      return;
    }
    this.call?.setMicrophone(isOn);
    this.set({ isMicrophoneOn: isOn });
  }

  play(): void {
    this.call?.play();
  }

  private begin(attempt = 0): void {
    const { place } = this.state;
    if (place === null) return;
    const turn = ++this.turn;
    void this.enter(turn).catch(() => {
      if (turn === this.turn) this.again(attempt);
    });
  }

  private async enter(turn: number): Promise<void> {
    const ticket = await this.ask();
    if (turn !== this.turn) return;
    const call = new RoomCall(ticket);
    this.call = call;
    call.subscribe(() => {
      if (this.call !== call) return;
      this.set({ call: call.state });
      if (call.state.phase === 'lost') this.again(0);
    });
    this.set({ call: call.state });
    await call.enter(this.microphone);
    if (this.microphone !== null) call.setMicrophone(this.state.isMicrophoneOn);
  }

  private again(attempt: number): void {
    clearTimeout(this.retry);
    this.call?.leave();
    this.call = null;
    const wait = Math.min(slowestRetry, firstRetry * 2 ** attempt);
    this.retry = setTimeout(() => this.begin(attempt + 1), wait * (0.5 + Math.random() / 2));
  }

  private end(): void {
    clearTimeout(this.retry);
    this.turn++;
    const { call } = this;
    this.call = null;
    call?.leave();
    this.set({ call: null });
  }

  private async openMicrophone(): Promise<MediaStreamTrack | null> {
    try {
      const track = await openMicrophone(null);
      track.addEventListener('ended', () => {
        if (track !== this.microphone) return;
        this.microphone = null;
        this.set({ isMicrophoneOn: false, problem: 'none' });
      });
      this.microphone = track;
      this.set({ isMicrophoneOn: true, problem: null });
      return track;
    } catch (problem) {
      this.set({ isMicrophoneOn: false, problem: problem instanceof MicrophoneFailed ? problem.why : 'other' });
      return null;
    }
  }

  private closeMicrophone(): void {
    this.microphone?.stop();
    this.microphone = null;
    this.set({ isMicrophoneOn: false });
  }

  private set(how: Partial<StayState>): void {
    this.state = { ...this.state, ...how };
    for (const listener of this.listeners) listener();
  }
}

/** Of this page. */
export const roomStay = new RoomStay();
