// The media server's own client, with the few things of it that are used here, typed.
import Janus from 'janus-gateway';
import adapter from 'webrtc-adapter';

export interface Jsep {
  type: string;
  sdp: string;
}

/** A stream of the media server's, as it describes it. */
export interface Stream {
  mid: string;
  type: 'audio' | 'video' | 'data';
  feed_id?: string;
  feed_mid?: string;
  active?: boolean;
  disabled?: boolean;
  talking?: boolean;
  description?: string;
}

export interface Publisher {
  id: string;
  display?: string;
  talking?: boolean;
  streams?: Stream[];
}

/** What its room plugin says. */
export interface Message {
  videoroom?: string;
  id?: string;
  room?: string;
  private_id?: number;
  display?: string;
  publishers?: Publisher[];
  attendees?: Publisher[];
  joining?: Publisher;
  leaving?: string;
  unpublished?: string;
  kicked?: string;
  reason?: string;
  mid?: string;
  streams?: Stream[];
  error?: string;
  error_code?: number;
}

export interface Track {
  type: 'audio' | 'video' | 'screen';
  capture?: MediaStreamTrack;
  recv: false;
  mid?: string;
  add?: boolean;
  remove?: boolean;
  sendEncodings?: RTCRtpEncodingParameters[];
}

export interface Handle {
  send(message: { message: Record<string, unknown>; jsep?: Jsep | undefined }): void;
  createOffer(asked: {
    tracks?: Track[];
    iceRestart?: boolean;
    success: (jsep: Jsep) => void;
    error: (error: unknown) => void;
  }): void;
  createAnswer(asked: { jsep: Jsep; tracks: []; success: (jsep: Jsep) => void; error: (error: unknown) => void }): void;
  handleRemoteJsep(answer: { jsep: Jsep }): void;
  detach(): void;
  webrtcStuff: { pc: RTCPeerConnection | null };
}

export interface Heard {
  onMessage: (message: Message, jsep: Jsep | undefined) => void;
  onTrack?: (track: MediaStreamTrack, mid: string) => void;
  onIce?: (state: RTCIceConnectionState) => void;
}

interface Session {
  attach(asked: Record<string, unknown>): void;
  destroy(asked: Record<string, unknown>): void;
}

const Client = Janus as unknown as {
  init(asked: Record<string, unknown>): void;
  useDefaultDependencies(asked: Record<string, unknown>): unknown;
  new (asked: Record<string, unknown>): Session;
};

const ready = new Promise<void>((resolve) => {
  Client.init({
    debug: false,
    dependencies: Client.useDefaultDependencies({ adapter }),
    callback: resolve,
  });
});

/** Milliseconds; the media server forgets a session it hears nothing of for 20 s. */
const keepAlive = 8_000;

/** One connection to the media server. */
export class Line {
  private constructor(private readonly session: Session) {}

  /**
   * @param address on this origin
   * @param relay   for networks that let no UDP through
   * @param onLost  the connection is cut; nothing more can be sent
   */
  static async open(address: string, relay: RTCIceServer | null, onLost: () => void): Promise<Line> {
    await ready;
    const server = new URL(address, window.location.href);
    server.protocol = server.protocol === 'https:' ? 'wss:' : 'ws:';
    return new Promise((resolve, reject) => {
      let isOpen = false;
      const session = new Client({
        server: server.href,
        iceServers: relay === null ? [] : [relay],
        keepAlivePeriod: keepAlive,
        destroyOnUnload: true,
        success: () => {
          isOpen = true;
          resolve(new Line(session));
        },
        error: (problem: unknown) => {
          if (isOpen) onLost();
          else reject(new Error(String(problem)));
        },
        destroyed: onLost,
      });
    });
  }

  attach({ onMessage, onTrack, onIce }: Heard): Promise<Handle> {
    return new Promise((resolve, reject) => {
      this.session.attach({
        plugin: 'janus.plugin.videoroom',
        success: resolve,
        error: (problem: unknown) => reject(new Error(String(problem))),
        onmessage: onMessage,
        onremotetrack: (track: MediaStreamTrack, mid: string, on: boolean) => (on ? onTrack?.(track, mid) : undefined),
        iceState: (state: RTCIceConnectionState) => onIce?.(state),
      });
    });
  }

  close(): void {
    this.session.destroy({ unload: false, notifyDestroyed: false });
  }
}
