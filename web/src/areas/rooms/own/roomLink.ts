// One room at the media server: who is there, what comes from it, what is sent to it.
import type { Handle, Jsep, Line, Message, Publisher, Stream, Track } from './janus';
import { counted, LineQuality } from './lineQuality';
import { afterMessage, changed, nobody, type People } from './people';

export interface RoomKey {
  room: string;
  token: string;
}

export interface LinkState {
  people: People;
  /** What is heard needs one press first: the browser wants one. */
  isToPress: boolean;
  isSpeaking: boolean;
}

interface Callbacks {
  onChange: (state: LinkState) => void;
  /** The server has removed this page, or the connection for sound is gone. */
  onEnd: (why: 'kicked' | 'cut') => void;
  /** Whether the network lets sound through. */
  onReach?: (isReached: boolean) => void;
  /** The line is too slow for pictures. */
  onSlow?: () => void;
}

type Description = 'on' | 'muted' | 'camera' | 'screen';

/** So long a connection may be interrupted before it counts as lost; milliseconds. */
const patience = 3_000;
/** So often a line with pictures is looked at; milliseconds. */
const lookEvery = 3_000;

export class RoomLink {
  state: LinkState = { people: nobody, isToPress: false, isSpeaking: false };
  private sends: Handle | null = null;
  private receives: Promise<Handle> | null = null;
  private answered: Promise<void> = Promise.resolve();
  private privateId = 0;
  /** Streams that are asked for or here, as "person mid". */
  private readonly wanted = new Set<string>();
  /** By the place of a stream in our connection, whose it is. */
  private readonly feeds = new Map<string, Stream>();
  private readonly pictures = new Map<string, MediaStreamTrack>();
  private readonly sounds = new Map<string, HTMLAudioElement>();
  /** What is sent of a microphone, and the microphone itself. */
  private microphone: MediaStreamTrack | null = null;
  private source: MediaStreamTrack | null = null;
  private picture: MediaStreamTrack | null = null;
  private hasPictures = true;
  private readonly quality = new LineQuality();
  private looks: ReturnType<typeof setInterval> | undefined;
  private interrupted: ReturnType<typeof setTimeout> | undefined;
  private isOver = false;
  private hasConnected = false;

  constructor(
    private readonly line: Line,
    private readonly key: RoomKey,
    private readonly me: string,
    private readonly callbacks: Callbacks,
  ) {}

  /** @throws Error where the key does not open the room */
  async join(): Promise<void> {
    let joined: (message: Message) => void = () => undefined;
    const answer = new Promise<Message>((resolve) => (joined = resolve));
    const sends = await this.line.attach({
      onMessage: (message, jsep) => {
        if (message.videoroom === 'joined' || message.error !== undefined) joined(message);
        this.handleMessage(message);
        if (jsep !== undefined) sends.handleRemoteJsep({ jsep });
      },
      onIce: (state) => this.watchIce(state),
    });
    this.sends = sends;
    sends.send({ message: { request: 'join', ptype: 'publisher', ...this.key } });
    const message = await answer;
    if (message.error !== undefined) throw new Error(message.error);
    this.privateId = message.private_id ?? 0;
  }

  /**
   * Sends what a microphone hears; from the second time on, another one in its place, or the same one as it is now.
   * What is sent is a copy, which ends with this room; the microphone itself goes along to the next. One call after the
   * other.
   */
  async sendMicrophone(microphone: MediaStreamTrack, isOn: boolean): Promise<void> {
    const before = this.microphone;
    if (before !== null && microphone === this.source) {
      this.tellMicrophone(before, isOn);
      return;
    }
    const copy = microphone.clone();
    copy.enabled = isOn;
    this.source = microphone;
    this.microphone = copy;
    if (before === null) {
      await this.offer({ type: 'audio', capture: copy, recv: false, add: true }, copy, isOn ? 'on' : 'muted');
      return;
    }
    await this.transceiverOf(before)?.sender.replaceTrack(copy);
    before.stop();
    this.tellMicrophone(copy, isOn);
  }

  /** The microphone is gone. */
  silence(): void {
    if (this.microphone !== null) this.tellMicrophone(this.microphone, false);
  }

  /** Sends pictures of a camera or a screen; null: none any more. */
  async sendPicture(picture: MediaStreamTrack | null, what: 'camera' | 'screen'): Promise<void> {
    const before = this.picture;
    this.picture = picture;
    const mid = before === null ? undefined : (this.transceiverOf(before)?.mid ?? undefined);
    if (mid !== undefined) await this.offer({ type: 'video', mid, recv: false, remove: true });
    if (picture === null) return;
    this.watchLine();
    const sendEncodings = [{ maxBitrate: what === 'camera' ? 150_000 : 800_000 }];
    await this.offer({ type: 'video', capture: picture, recv: false, add: true, sendEncodings }, picture, what);
  }

  /** After a press: what could not be played before is played now. */
  play(): void {
    this.set({ isToPress: false });
    for (const sound of this.sounds.values()) this.start(sound);
  }

  /** Others' pictures are brought here, or only what they say. */
  async setPictures(isOn: boolean): Promise<void> {
    if (isOn === this.hasPictures) return;
    this.hasPictures = isOn;
    this.quality.forget();
    this.showPictures();
    if (this.receives !== null) this.tellPictures(await this.receives);
  }

  close(): void {
    this.isOver = true;
    clearInterval(this.looks);
    clearTimeout(this.interrupted);
    this.microphone?.stop();
    for (const sound of this.sounds.values()) sound.pause();
    this.sounds.clear();
  }

  /** Switches what is sent on or off, and tells the others. */
  private tellMicrophone(sent: MediaStreamTrack, isOn: boolean): void {
    sent.enabled = isOn;
    const descriptions = this.descriptionsOf(sent, isOn ? 'on' : 'muted');
    this.sends?.send({ message: { request: 'configure', descriptions } });
  }

  private transceiverOf(track: MediaStreamTrack): RTCRtpTransceiver | undefined {
    return this.sends?.webrtcStuff.pc?.getTransceivers().find((one) => one.sender.track === track);
  }

  private descriptionsOf(track: MediaStreamTrack, description: Description) {
    const mid = this.transceiverOf(track)?.mid;
    return mid == null ? [] : [{ mid, description }];
  }

  /**
   * Says what is sent from now on, and what it is, in one: what is said earlier, others ask for before it is there.
   *
   * @param media what is new
   */
  private offer(track: Track, media?: MediaStreamTrack, description: Description = 'on'): Promise<void> {
    const { sends } = this;
    if (sends === null) return Promise.resolve();
    return new Promise((resolve, reject) => {
      sends.createOffer({
        tracks: [track],
        success: (jsep: Jsep) => {
          const descriptions = media === undefined ? [] : this.descriptionsOf(media, description);
          sends.send({ message: { request: 'configure', descriptions }, jsep });
          resolve();
        },
        error: (problem) => reject(new Error(String(problem))),
      });
    });
  }

  private handleMessage(message: Message): void {
    if (message.leaving === 'ok') {
      this.end(message.reason === 'kicked' ? 'kicked' : 'cut');
      return;
    }
    if (message.id === this.me && message.videoroom?.endsWith('talking') === true)
      this.set({ isSpeaking: message.videoroom === 'talking' });
    this.set({ people: afterMessage(this.state.people, message) });
    this.showPictures();
    if (message.publishers !== undefined) void this.receive(message.publishers);
    const gone = message.unpublished ?? message.leaving ?? message.kicked;
    if (gone !== undefined) this.forget(gone);
  }

  /** Has what others send brought here. */
  private async receive(publishers: Publisher[]): Promise<void> {
    const streams = publishers.flatMap((one) => (one.streams ?? []).map((stream) => this.want(one.id, stream)));
    const fresh = streams.filter((one) => one !== null);
    if (fresh.length === 0) return;
    if (this.receives !== null) {
      (await this.receives).send({ message: { request: 'subscribe', streams: fresh } });
      return;
    }
    this.receives = this.receiver();
    (await this.receives).send({
      message: {
        request: 'join',
        ptype: 'subscriber',
        room: this.key.room,
        private_id: this.privateId,
        streams: fresh,
      },
    });
  }

  private want(feed: string, stream: Stream): { feed: string; mid: string } | null {
    const what = `${feed} ${stream.mid}`;
    if (stream.disabled === true) {
      this.wanted.delete(what);
      return null;
    }
    if (this.wanted.has(what)) return null;
    this.wanted.add(what);
    return { feed, mid: stream.mid };
  }

  private receiver(): Promise<Handle> {
    const handle = this.line.attach({
      onMessage: (message, jsep) => {
        if (message.error !== undefined) this.receiveAnew();
        for (const stream of message.streams ?? []) this.feeds.set(stream.mid, stream);
        this.showPictures();
        if (!this.hasPictures && message.streams !== undefined)
          void handle.then((receives) => this.tellPictures(receives));
        if (jsep !== undefined) void handle.then((receives) => this.answer(receives, jsep));
      },
      onTrack: (track, mid) => this.handleTrack(track, mid),
      onIce: (state) => this.watchIce(state),
    });
    return handle;
  }

  /** The server sends pictures on to this page, or keeps them. */
  private tellPictures(receives: Handle): void {
    const streams = [...this.feeds.values()]
      .filter((stream) => stream.type === 'video' && stream.feed_id !== undefined)
      .map(({ mid }) => ({ mid, send: this.hasPictures }));
    if (streams.length > 0) receives.send({ message: { request: 'configure', streams } });
  }

  /** Looks at the line while there are pictures on it. */
  private watchLine(): void {
    this.looks ??= setInterval(() => void this.lookAtLine(), lookEvery);
  }

  private async lookAtLine(): Promise<void> {
    if (!this.hasPictures || (this.pictures.size === 0 && this.picture === null)) return;
    const receives = (await this.receives)?.webrtcStuff.pc;
    const now = await counted(this.sends?.webrtcStuff.pc, receives);
    if (!this.isOver && this.quality.isSlow(now, this.picture !== null)) this.callbacks.onSlow?.();
  }

  /** Somebody has stopped sending just as they were asked for: they are asked for again when they send again. */
  private receiveAnew(): void {
    if (this.feeds.size === 0) this.receives = null;
    const here = new Set([...this.feeds.values()].map((stream) => `${stream.feed_id ?? ''} ${stream.feed_mid ?? ''}`));
    for (const one of [...this.wanted]) if (!here.has(one)) this.wanted.delete(one);
  }

  /** One after the other: an offer that comes while another is being answered waits. */
  private answer(receives: Handle, jsep: Jsep): void {
    this.answered = this.answered.then(
      () =>
        new Promise((done) => {
          receives.createAnswer({
            jsep,
            tracks: [],
            success: (own) => {
              receives.send({ message: { request: 'start' }, jsep: own });
              done();
            },
            error: () => {
              this.end('cut');
              done();
            },
          });
        }),
    );
  }

  /** A place in our connection is used again when somebody else comes: what is there goes on being played. */
  private handleTrack(track: MediaStreamTrack, mid: string): void {
    if (this.isOver) return;
    if (track.kind !== 'audio') {
      this.pictures.set(mid, track);
      this.watchLine();
      this.showPictures();
      return;
    }
    if (this.sounds.has(mid)) return;
    const sound = new Audio();
    sound.srcObject = new MediaStream([track]);
    this.sounds.set(mid, sound);
    this.start(sound);
  }

  private showPictures(): void {
    let { people } = this.state;
    for (const [mid, picture] of this.pictures) {
      const feed = this.feeds.get(mid);
      if (feed?.feed_id === undefined || feed.active === false) continue;
      const person = people.get(feed.feed_id);
      // What was shown stays here for a while after it was switched off.
      const shown = this.hasPictures ? picture : null;
      if (person !== undefined && person.shares !== null && person.picture !== shown)
        people = changed(people, feed.feed_id, { picture: shown });
    }
    this.set({ people });
  }

  private start(sound: HTMLAudioElement): void {
    sound.play().catch((problem: unknown) => {
      if (problem instanceof DOMException && problem.name === 'NotAllowedError') this.set({ isToPress: true });
    });
  }

  private forget(person: string): void {
    for (const one of [...this.wanted]) if (one.startsWith(`${person} `)) this.wanted.delete(one);
  }

  private watchIce(state: RTCIceConnectionState): void {
    clearTimeout(this.interrupted);
    if (state === 'failed') {
      if (!this.hasConnected) this.callbacks.onReach?.(false);
      this.end('cut');
    }
    if (state === 'connected' && !this.hasConnected) {
      this.hasConnected = true;
      this.callbacks.onReach?.(true);
    }
    if (state === 'disconnected') this.interrupted = setTimeout(() => this.end('cut'), patience);
  }

  private end(why: 'kicked' | 'cut'): void {
    if (this.isOver) return;
    this.close();
    this.callbacks.onEnd(why);
  }

  private set(how: Partial<LinkState>): void {
    if (Object.entries(how).every(([key, value]) => this.state[key as keyof LinkState] === value)) return;
    this.state = { ...this.state, ...how };
    this.callbacks.onChange(this.state);
  }
}
