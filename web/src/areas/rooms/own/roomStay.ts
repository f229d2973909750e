// The room this page is in, across moves, cut lines and pages that look at something else: one for the whole page.
import { chosenMicrophone, MicrophoneFailed, openMicrophone, type MicrophoneProblem } from './microphone';
import { RoomCall, type CallState, type Ticket } from './roomCall';

export type Outcome = MicrophoneProblem | 'unreachable' | 'works';

export interface StayState {
  /** Whoever is here has pressed Join, and follows from room to room. */
  isJoined: boolean;
  isMicrophoneOn: boolean;
  shares: 'camera' | 'screen' | null;
  /** Others' pictures: `off` by a press, `slow` because the line was; either way, only sound is brought here. */
  pictures: 'on' | 'off' | 'slow';
  /** `elsewhere`: the room is open on another page of theirs; `unreachable`: the network lets no sound through. */
  problem: MicrophoneProblem | 'elsewhere' | 'unreachable' | null;
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
    pictures: 'on',
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
  /** The place somebody has left by a press; they are not taken in there again. */
  private left: string | null = null;
  /** How often somebody has joined or left; how often the microphone was wanted on or off. The last press counts. */
  private press = 0;
  private wish = 0;

  /**
   * @param requestTicket gives what lets this page into a room, at once
   * @param onOutcome     hears whether this device can send sound, whenever that is another than before
   * @param isSeen        whether the server sees somebody of this name in a place: another page of theirs
   */
  constructor(
    private readonly requestTicket: (place: string) => Promise<Ticket>,
    private readonly onOutcome: (outcome: Outcome) => void = () => undefined,
    private readonly isSeen: (place: string) => boolean = () => true,
  ) {}

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = () => this.state;

  /**
   * From now on, this page goes where whoever is here belongs.
   *
   * @param microphone opened first; `off`: opened, and silent until it is switched on
   */
  async join(microphone: 'on' | 'off' | 'none'): Promise<void> {
    const press = ++this.press;
    this.set({ problem: null });
    if (microphone !== 'none') await this.openMicrophone(microphone === 'on');
    if (press !== this.press) return;
    this.set({ isJoined: true });
    this.begin();
  }

  /** Goes in without a press, and without a microphone; not where whoever is here has left by one. */
  takeIn(): void {
    const { isJoined, place, problem } = this.state;
    if (isJoined || place === null || place === this.left || problem === 'elsewhere') return;
    void this.join('none');
  }

  leave(): void {
    this.press++;
    this.left = this.state.place;
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
    this.left = null;
    this.end();
    this.closePicture();
    if (isQuiet || place === null) this.closeMicrophone();
    this.set({ place, problem: this.state.problem === 'elsewhere' ? null : this.state.problem });
    if (this.state.isJoined) this.begin();
  }

  async setMicrophone(isOn: boolean): Promise<void> {
    if (isOn && this.microphone === null) {
      await this.openMicrophone(true);
      return;
    }
    this.wish++;
    this.tellMicrophone(isOn && this.microphone !== null);
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

  setPictures(isOn: boolean): void {
    this.set({ pictures: isOn ? 'on' : 'off' });
    this.call?.setPictures(isOn);
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
    // By this page's clock it is time to go, by the server's not yet: whoever went where they still belong by that one
    // would be removed from there a moment later.
    if (ticket.place !== place) throw new Error(`Let into ${ticket.place}, not yet into ${place}.`);
    const call = new RoomCall(ticket);
    this.call = call;
    call.subscribe(() => {
      if (this.call === call) this.handleCall(call.state);
    });
    call.setMicrophone(this.microphone, this.state.isMicrophoneOn);
    call.setPictures(this.state.pictures === 'on');
    this.set({ call: call.state });
    await call.enter();
  }

  private handleCall(call: CallState): void {
    this.set({ call });
    if (call.isReached !== null && call.isReached === (this.state.problem === 'unreachable')) {
      this.set({ problem: call.isReached ? null : 'unreachable' });
      this.onOutcome(call.isReached ? 'works' : 'unreachable');
    }
    if (call.isSlow && this.state.pictures === 'on') this.dropPictures();
    if (call.phase === 'lost') this.retry(0);
    if (call.phase === 'kicked') {
      // The page that was opened later stays in the room: two pages would remove each other for ever.
      const { turn } = this;
      this.later = setTimeout(() => {
        const { place } = this.state;
        if (turn !== this.turn) return;
        // Removed by what was true a moment ago, and nobody else is there: back in.
        if (place !== null && !this.isSeen(place)) {
          this.retry(0);
          return;
        }
        this.end();
        this.set({ problem: 'elsewhere' });
      }, movesWithin);
    }
  }

  /** On a slow line sound comes first: no picture goes out or comes in any more, until somebody wants them again. */
  private dropPictures(): void {
    this.set({ pictures: 'slow' });
    this.call?.setPictures(false);
    if (this.picture !== null) void this.share(null);
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

  /** A microphone takes a moment, and longer where somebody has to allow it: what is wanted by then counts. */
  private async openMicrophone(isOn: boolean): Promise<void> {
    const wish = ++this.wish;
    try {
      const track = await openMicrophone(chosenMicrophone());
      if (wish !== this.wish) {
        track.stop();
        return;
      }
      track.addEventListener('ended', () => {
        if (track !== this.microphone) return;
        this.microphone = null;
        this.tellMicrophone(false);
        this.set({ problem: 'none' });
      });
      this.microphone?.stop();
      this.microphone = track;
      this.set({ problem: null });
      this.onOutcome('works');
      this.tellMicrophone(isOn);
    } catch (problem) {
      if (wish !== this.wish) return;
      const why = problem instanceof MicrophoneFailed ? problem.why : 'other';
      this.set({ isMicrophoneOn: false, problem: why });
      this.onOutcome(why);
    }
  }

  private tellMicrophone(isOn: boolean): void {
    this.set({ isMicrophoneOn: isOn });
    this.call?.setMicrophone(this.microphone, isOn);
  }

  private closeMicrophone(): void {
    this.wish++;
    this.microphone?.stop();
    this.microphone = null;
    this.tellMicrophone(false);
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
