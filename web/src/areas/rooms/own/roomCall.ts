// Being in a room: one line to the media server, the room itself, and the teacher's voice to all rooms.
import type { Schema } from '../../../api/client';
import { Line } from './janus';
import { nobody, type People } from './people';
import { RoomLink } from './roomLink';

export type Ticket = Schema['RoomTicket'];

/** `kicked`: the server has removed this page; `lost`: the connection was cut. */
export type CallPhase = 'entering' | 'in' | 'lost' | 'kicked' | 'out';

export interface CallState {
  phase: CallPhase;
  place: string;
  people: People;
  isToPress: boolean;
  isSpeaking: boolean;
  /** The teacher speaks to all rooms. */
  isSpokenTo: boolean;
  mayShare: boolean;
  /** What this page was told when it was let in. */
  entered: { place: string; recorded: boolean };
  /** Whether the network lets sound through; null: not known yet. */
  isReached: boolean | null;
  /** The line is too slow for pictures. */
  isSlow: boolean;
}

/** One stay in one room. It ends when the line is cut; another is begun then. */
export class RoomCall {
  state: CallState;
  private readonly listeners = new Set<() => void>();
  private line: Line | null = null;
  private room: RoomLink | null = null;
  private voice: RoomLink | null = null;
  /** The microphone as it is to be; what was sent of it last is on its way, or there. */
  private microphone: { track: MediaStreamTrack; isOn: boolean } | null = null;
  private sent: Promise<void> = Promise.resolve();
  private hasPictures = true;

  constructor(private readonly ticket: Ticket) {
    this.state = {
      phase: 'entering',
      place: ticket.place,
      people: nobody,
      isToPress: false,
      isSpeaking: false,
      isSpokenTo: false,
      mayShare: ticket.share,
      entered: { place: ticket.place, recorded: ticket.recorded === true },
      isReached: null,
      isSlow: false,
    };
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** @throws Error where nobody is let in */
  async enter(): Promise<void> {
    const { ticket } = this;
    const line = await Line.open(ticket.address, ticket.relay ?? null, () => this.end('lost'));
    if (this.state.phase === 'out') {
      line.close();
      return;
    }
    this.line = line;
    this.room = new RoomLink(line, { room: ticket.room, token: ticket.token }, ticket.me, {
      onChange: (state) => this.set(state),
      onEnd: (why) => this.end(why === 'kicked' ? 'kicked' : 'lost'),
      onReach: (isReached) => this.set({ isReached }),
      onSlow: () => this.set({ isSlow: true }),
    });
    void this.room.setPictures(this.hasPictures);
    await this.room.join();
    this.set({ phase: 'in' });
    await this.sendMicrophone();
    if (ticket.voice != null) void this.listenToAll(line, ticket.voice);
  }

  /** Also before anybody is let in: what was said last is what is sent then. */
  setMicrophone(track: MediaStreamTrack | null, isOn: boolean): void {
    this.microphone = track === null ? null : { track, isOn };
    if (this.state.phase === 'in') void this.sendMicrophone().catch(() => this.end('lost'));
  }

  sendPicture = (picture: MediaStreamTrack | null, what: 'camera' | 'screen') => this.room?.sendPicture(picture, what);

  /** Others' pictures are brought here, or only what they say. */
  setPictures(isOn: boolean): void {
    this.hasPictures = isOn;
    void this.room?.setPictures(isOn);
    if (isOn) this.set({ isSlow: false });
  }

  play(): void {
    this.room?.play();
    this.voice?.play();
  }

  leave(): void {
    if (this.state.phase !== 'out') this.end('out');
  }

  /** One after the other: a second one before the first is on its way would find no place of its own. */
  private sendMicrophone(): Promise<void> {
    const turn = this.sent
      .catch(() => undefined)
      .then(() => {
        const { microphone } = this;
        if (microphone === null) return this.room?.silence();
        return this.room?.sendMicrophone(microphone.track, microphone.isOn);
      });
    this.sent = turn;
    return turn;
  }

  /** What the teacher says to all rooms is heard in this one, too. Without it, the room is a room all the same. */
  private async listenToAll(line: Line, voice: NonNullable<Ticket['voice']>): Promise<void> {
    this.voice = new RoomLink(line, voice, this.ticket.me, {
      onChange: ({ people, isToPress }) => {
        this.set({ isSpokenTo: [...people.values()].some((one) => one.isStaff && one.isOn) });
        if (isToPress) this.set({ isToPress });
      },
      onEnd: () => undefined,
    });
    await this.voice.join().catch(() => undefined);
  }

  private end(phase: 'lost' | 'kicked' | 'out'): void {
    if (this.state.phase !== 'entering' && this.state.phase !== 'in') return;
    this.room?.close();
    this.voice?.close();
    this.line?.close();
    this.set({ phase, people: nobody, isSpeaking: false, isSpokenTo: false });
  }

  private set(how: Partial<CallState>): void {
    if (Object.entries(how).every(([key, value]) => this.state[key as keyof CallState] === value)) return;
    this.state = { ...this.state, ...how };
    for (const listener of this.listeners) listener();
  }
}
