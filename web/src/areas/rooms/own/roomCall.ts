// Being in a room: one connection that sends what one says, one that brings what the others say, and who they are.
import type { Schema } from '../../../api/client';
import { Line, type Handle, type Jsep, type Message, type Publisher, type Stream, type Track } from './janus';
import { afterMessage, changed, type People } from './people';

export type Ticket = Schema['RoomTicket'];

export type Phase = 'entering' | 'in' | 'lost' | 'out';

export interface CallState {
  phase: Phase;
  people: People;
  /** What is heard needs one press first: the browser wants one. */
  isToPress: boolean;
  isSpeaking: boolean;
  /** The teacher has switched the microphone off. */
  isMuted: boolean;
}

const nobody: People = new Map();

/** One stay in one room. It ends when the line is cut: another is begun then. */
export class RoomCall {
  state: CallState = { phase: 'entering', people: nobody, isToPress: false, isSpeaking: false, isMuted: false };
  private readonly listeners = new Set<() => void>();
  private line: Line | null = null;
  private sends: Handle | null = null;
  private brings: Promise<Handle> | null = null;
  private privateId = 0;
  private readonly wanted = new Set<string>();
  /** By the place of a stream in our connection, whose it is. */
  private readonly feeds = new Map<string, Stream>();
  private readonly sounds = new Map<string, HTMLAudioElement>();
  private microphone: MediaStreamTrack | null = null;

  constructor(private readonly ticket: Ticket) {}

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = () => this.state;

  /** @throws Error where nobody is let in */
  async enter(microphone: MediaStreamTrack | null): Promise<void> {
    this.line = await Line.open(this.ticket.address, this.ticket.ice, () => this.lose());
    if (this.state.phase === 'out') {
      this.line.close();
      return;
    }
    let joined: (message: Message) => void = () => undefined;
    const answer = new Promise<Message>((resolve) => (joined = resolve));
    this.sends = await this.line.attach({
      onMessage: (message, jsep) => {
        if (message.videoroom === 'joined' || message.error !== undefined) joined(message);
        this.hear(message);
        if (jsep !== undefined) this.sends?.handleRemoteJsep({ jsep });
      },
      onIce: (state) => this.watch(state),
    });
    this.sends.send({
      message: { request: 'join', ptype: 'publisher', room: this.ticket.room, token: this.ticket.token },
    });
    const message = await answer;
    if (message.error !== undefined) throw new Error(message.error);
    this.privateId = message.private_id ?? 0;
    this.set({ phase: 'in' });
    if (microphone !== null) await this.sendMicrophone(microphone);
  }

  /** Sends what a microphone hears, or, once it has been sent, what another one does. */
  async sendMicrophone(microphone: MediaStreamTrack): Promise<void> {
    const before = this.microphone;
    this.microphone = microphone;
    if (before === null) await this.offer([{ type: 'audio', capture: microphone, recv: false, add: true }]);
    else await this.sender()?.sender.replaceTrack(microphone);
    this.setMicrophone(microphone.enabled);
  }

  /** Switches the microphone on or off, and tells the others. */
  setMicrophone(isOn: boolean): void {
    if (this.microphone === null) return;
    this.microphone.enabled = isOn;
    const mid = this.sender()?.mid;
    if (mid == null) return;
    this.sends?.send({
      message: { request: 'configure', descriptions: [{ mid, description: isOn ? 'on' : 'muted' }] },
    });
  }

  private sender(): RTCRtpTransceiver | undefined {
    return this.sends?.webrtcStuff.pc?.getTransceivers().find((one) => one.sender.track === this.microphone);
  }

  /** After a press: what could not be played before is played now. */
  play(): void {
    this.set({ isToPress: false });
    for (const sound of this.sounds.values()) this.start(sound);
  }

  leave(): void {
    if (this.state.phase === 'out') return;
    this.end('out');
  }

  private offer(tracks: Track[]): Promise<void> {
    const { sends } = this;
    if (sends === null) return Promise.resolve();
    return new Promise((resolve, reject) =>
      sends.createOffer({
        tracks,
        success: (jsep: Jsep) => {
          sends.send({ message: { request: 'configure' }, jsep });
          resolve();
        },
        error: (problem) => reject(new Error(String(problem))),
      }),
    );
  }

  private hear(message: Message): void {
    if (message.leaving === 'ok') {
      this.end(message.reason === 'kicked' ? 'lost' : 'out');
      return;
    }
    if (message.moderation !== undefined && message.id === this.ticket.me)
      this.set({ isMuted: message.moderation === 'muted' });
    if (message.id === this.ticket.me && message.videoroom?.endsWith('talking') === true)
      this.set({ isSpeaking: message.videoroom === 'talking' });
    this.set({ people: afterMessage(this.state.people, message) });
    if (message.publishers !== undefined && message.publishers.length > 0) void this.bring(message.publishers);
    const gone = message.unpublished ?? message.leaving;
    if (gone !== undefined) this.forget(gone);
  }

  /** Has what others send brought here. */
  private async bring(publishers: Publisher[]): Promise<void> {
    const streams = publishers.flatMap((one) =>
      (one.streams ?? [])
        .filter((stream) => stream.disabled !== true && !this.wanted.has(`${one.id} ${stream.mid}`))
        .map((stream) => {
          this.wanted.add(`${one.id} ${stream.mid}`);
          return { feed: one.id, mid: stream.mid };
        }),
    );
    if (streams.length === 0) return;
    if (this.brings === null) {
      this.brings = this.receiver();
      const handle = await this.brings;
      handle.send({
        message: {
          request: 'join',
          ptype: 'subscriber',
          room: this.ticket.room,
          private_id: this.privateId,
          streams,
        },
      });
    } else {
      const handle = await this.brings;
      handle.send({ message: { request: 'subscribe', streams } });
    }
  }

  private receiver(): Promise<Handle> {
    const { line } = this;
    if (line === null) return Promise.reject(new Error('There is no line.'));
    const handle = line.attach({
      onMessage: (message, jsep) => {
        for (const stream of message.streams ?? []) this.feeds.set(stream.mid, stream);
        if (jsep === undefined) return;
        void handle.then((brings) =>
          brings.createAnswer({
            jsep,
            tracks: [],
            success: (own) => brings.send({ message: { request: 'start' }, jsep: own }),
            error: () => this.lose(),
          }),
        );
      },
      onTrack: (track, mid, on) => this.onTrack(track, mid, on),
      onIce: (state) => this.watch(state),
    });
    return handle;
  }

  private onTrack(track: MediaStreamTrack, mid: string, on: boolean): void {
    const feed = this.feeds.get(mid);
    if (track.kind === 'audio') {
      this.sounds.get(mid)?.pause();
      this.sounds.delete(mid);
      if (!on) return;
      const sound = new Audio();
      sound.srcObject = new MediaStream([track]);
      sound.dataset.from = feed?.feed_id ?? '';
      this.sounds.set(mid, sound);
      this.start(sound);
    } else if (feed?.feed_id !== undefined) {
      const picture = on ? track : null;
      const what = feed.description === 'screen' ? { screen: picture } : { camera: picture };
      this.set({ people: changed(this.state.people, feed.feed_id, what) });
    }
  }

  private start(sound: HTMLAudioElement): void {
    sound.play().catch((problem: unknown) => {
      if (problem instanceof DOMException && problem.name === 'NotAllowedError') this.set({ isToPress: true });
    });
  }

  private forget(id: string): void {
    for (const one of [...this.wanted]) if (one.startsWith(`${id} `)) this.wanted.delete(one);
    for (const [mid, feed] of this.feeds) {
      if (feed.feed_id !== id) continue;
      this.sounds.get(mid)?.pause();
      this.sounds.delete(mid);
    }
  }

  private watch(state: RTCIceConnectionState): void {
    if (state === 'failed') this.lose();
  }

  private lose(): void {
    if (this.state.phase === 'entering' || this.state.phase === 'in') this.end('lost');
  }

  private end(phase: Phase): void {
    for (const sound of this.sounds.values()) sound.pause();
    this.sounds.clear();
    this.line?.close();
    this.line = null;
    this.set({ phase, people: nobody, isSpeaking: false });
  }

  private set(how: Partial<CallState>): void {
    if (Object.entries(how).every(([key, value]) => this.state[key as keyof CallState] === value)) return;
    this.state = { ...this.state, ...how };
    for (const listener of this.listeners) listener();
  }
}
