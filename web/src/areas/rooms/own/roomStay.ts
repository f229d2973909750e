// The room this page is in, across moves, cut lines and pages that look at something else: one for the whole page.
import { chosenMicrophone, MicrophoneFailed, openMicrophone, type MicrophoneProblem } from './microphone';
import { RoomCall, type CallState, type Ticket } from './roomCall';

export interface StayState {
  /** Whoever is here has pressed Join, and follows from room to room. */
  isJoined: boolean;
  isMicrophoneOn: boolean;
  shares: 'camera' | 'screen' | null;
  /** `elsewhere`: the room is open on another page of theirs. */
  problem: MicrophoneProblem | 'elsewhere' | null;
  /** The place this page is in, or on its way to; null: nowhere. */
  place: string | null;
  call: CallState | null;
}

/** Milliseconds before the next try. */
const firstRetry = 500;
const slowestRetry = 5_000;
/** Whoever is removed from a room learns within so long where they belong now; milliseconds. */
const movesWithin = 4_000;

export class RoomStay {
  private state: StayState = {
    isJoined: false,
    isMicrophoneOn: false,
    shares: null,
    problem: null,
    place: null,
    call: null,
  };
  private readonly listeners = new Set<() => void>();
  private call: RoomCall | null = null;
  private microphone: MediaStreamTrack | null = null;
  private picture: MediaStreamTrack | null = null;
  private later: ReturnType<typeof setTimeout> | undefined;
  /** How often the place has changed: what began before is dropped. */
  private turn = 0;

  /** @param requestTicket gives what lets this page into a room, at once */
  constructor(private readonly requestTicket: (place: string) => Promise<Ticket>) {}

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = () => this.state;

  /** From now on, this page goes where whoever is here belongs. */
  async join(withMicrophone: boolean): Promise<void> {
    this.set({ problem: null });
    if (withMicrophone) await this.openMicrophone();
    this.set({ isJoined: true });
    this.begin();
  }

  leave(): void {
    this.end();
    this.closeMicrophone();
    this.closePicture();
    this.set({ isJoined: false });
  }

  /**
   * Whoever is here belongs somewhere else now.
   *
   * @param isQuiet the microphone is off there until it is switched on
   */
  follow(place: string | null, isQuiet: boolean): void {
    if (place === this.state.place) return;
    this.end();
    this.closePicture();
    if (isQuiet || place === null) this.closeMicrophone();
    this.set({ place, problem: this.state.problem === 'elsewhere' ? null : this.state.problem });
    if (this.state.isJoined) this.begin();
  }

  async setMicrophone(isOn: boolean): Promise<void> {
    if (isOn && this.microphone === null) {
      const microphone = await this.openMicrophone();
      if (microphone !== null) await this.call?.sendMicrophone(microphone);
      return;
    }
    this.call?.setMicrophone(isOn);
    this.set({ isMicrophoneOn: isOn && this.microphone !== null });
  }

  /** Shows the camera or the screen to the room; null: nothing any more. */
  async share(what: 'camera' | 'screen' | null): Promise<void> {
    this.closePicture();
    await this.call?.sendPicture(null, 'camera');
    if (what === null) return;
    try {
      const stream =
        what === 'screen'
          ? await navigator.mediaDevices.getDisplayMedia({ video: { frameRate: 5 } })
          : await navigator.mediaDevices.getUserMedia({ video: { width: 320, height: 180, frameRate: 15 } });
      const [picture] = stream.getVideoTracks();
      if (picture === undefined) return;
      picture.addEventListener('ended', () => void this.share(null));
      this.picture = picture;
      this.set({ shares: what });
      await this.call?.sendPicture(picture, what);
    } catch {
      // Whoever was asked has said no, or there is no camera: the room goes on without.
      this.closePicture();
    }
  }

  play(): void {
    this.call?.play();
  }

  private begin(attempt = 0): void {
    const { place } = this.state;
    if (place === null) return;
    const turn = ++this.turn;
    void this.enter(place, turn).catch(() => {
      if (turn === this.turn) this.retry(attempt);
    });
  }

  private async enter(place: string, turn: number): Promise<void> {
    const ticket = await this.requestTicket(place);
    if (turn !== this.turn) return;
    const call = new RoomCall(ticket);
    this.call = call;
    call.subscribe(() => {
      if (this.call === call) this.handleCall(call.state);
    });
    this.set({ call: call.state });
    await call.enter(this.microphone, this.state.isMicrophoneOn);
  }

  private handleCall(call: CallState): void {
    this.set({ call });
    if (call.phase === 'lost') this.retry(0);
    if (call.phase === 'kicked') {
      // The page that was opened later stays in the room: two pages would remove each other for ever.
      const { turn } = this;
      this.later = setTimeout(() => {
        if (turn !== this.turn) return;
        this.end();
        this.set({ problem: 'elsewhere' });
      }, movesWithin);
    }
  }

  private retry(attempt: number): void {
    clearTimeout(this.later);
    this.call?.leave();
    this.call = null;
    const wait = Math.min(slowestRetry, firstRetry * 2 ** attempt);
    this.later = setTimeout(() => this.begin(attempt + 1), wait * (0.5 + Math.random() / 2));
  }

  private end(): void {
    clearTimeout(this.later);
    this.turn++;
    const { call } = this;
    this.call = null;
    call?.leave();
    this.set({ call: null });
  }

  private async openMicrophone(): Promise<MediaStreamTrack | null> {
    try {
      const track = await openMicrophone(chosenMicrophone());
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

  private closePicture(): void {
    this.picture?.stop();
    this.picture = null;
    this.set({ shares: null });
  }

  private set(how: Partial<StayState>): void {
    this.state = { ...this.state, ...how };
    for (const listener of this.listeners) listener();
  }
}
