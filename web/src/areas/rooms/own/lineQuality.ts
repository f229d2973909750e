// Whether a line is too slow for pictures, from what the browser counts.

/** What was counted until now, of everything that arrives and of what may be sent. */
export interface Counted {
  received: number;
  lost: number;
  /** Bits a second this line can send, as far as the browser knows. */
  canSend: number | null;
}

/** More than this share of packets lost: sound suffers, too. */
const mostLost = 0.08;
/** Bits a second that one camera and sound take. */
const leastToSend = 150_000;
/** Fewer packets say nothing. */
const leastPackets = 50;
/** One bad moment is not a slow line. */
const badInARow = 2;

/** Looks at one line from time to time. */
export class LineQuality {
  private before: Counted | null = null;
  private bad = 0;

  /**
   * @param sendsPicture a camera or a screen is sent just now
   * @returns whether the line has been too slow for pictures twice in a row
   */
  isSlow(now: Counted, sendsPicture: boolean): boolean {
    const { before } = this;
    this.before = now;
    if (before === null) return false;
    const lost = Math.max(0, now.lost - before.lost);
    const all = Math.max(0, now.received - before.received) + lost;
    const isBad =
      (all >= leastPackets && lost > all * mostLost) ||
      (sendsPicture && now.canSend !== null && now.canSend < leastToSend);
    this.bad = isBad ? this.bad + 1 : 0;
    return this.bad >= badInARow;
  }

  /** What comes next is judged anew. */
  forget(): void {
    this.before = null;
    this.bad = 0;
  }
}

/** @returns what the browser has counted on both connections */
export async function counted(...connections: (RTCPeerConnection | null | undefined)[]): Promise<Counted> {
  const all: Counted = { received: 0, lost: 0, canSend: null };
  for (const connection of connections) {
    if (connection == null) continue;
    (await connection.getStats()).forEach((report: RTCStats) => {
      if (report.type === 'inbound-rtp') {
        const { packetsReceived = 0, packetsLost = 0 } = report as RTCInboundRtpStreamStats;
        all.received += packetsReceived;
        all.lost += packetsLost;
      }
      if (report.type === 'candidate-pair') {
        const { availableOutgoingBitrate } = report as RTCIceCandidatePairStats;
        if (availableOutgoingBitrate !== undefined) all.canSend = availableOutgoingBitrate;
      }
    });
  }
  return all;
}
