// What comes over the stream and changes what a student’s page shows.
import type { Schema } from '../../../api/client';
import type { Message } from '../../../api/stream/message';

type Now = Schema['StudentNow'];

/** What comes over the stream and changes what a student's page shows. */
export type News =
  | Message<'RoundMessage'>
  | Message<'NoticeMessage'>
  | Message<'SignUpMessage'>
  | Message<'SeenMessage'>
  | Message<'FetchedMessage'>;

const kinds = ['seen', 'fetched', 'signUp', 'notice', 'round'];
export const isNews = (message: { kind: string } | News): message is News => kinds.includes(message.kind);

/** @returns undefined: nothing is said of the group */
const takenIn = ({ taken }: Message<'SignUpMessage'>, group: string): number | undefined =>
  taken.find((seats) => seats.group === group)?.taken;

/** Puts what was heard into what is shown. An older round than ours is passed over; a notice stands once. */
export function withNews(now: Now, news: News): Now {
  switch (news.kind) {
    case 'seen':
      return { ...now, seenIn: news.place };
    case 'fetched':
      return { ...now, fetchedAt: Math.max(news.at, now.fetchedAt ?? 0) };
    case 'signUp':
      return now.signUp === null
        ? now
        : {
            ...now,
            signUp: {
              ...now.signUp,
              tables: now.signUp.tables.map((table) => ({ ...table, taken: takenIn(news, table.id) ?? table.taken })),
            },
          };
    case 'notice':
      return { ...now, notices: [news.notice, ...now.notices.filter((one) => one.seq !== news.notice.seq)] };
    case 'round':
      return news.seq > now.seq ? { ...now, seq: news.seq, moments: news.moments } : now;
  }
}

/** What was heard while askings are under way. */
export class Hearing {
  private readonly underWay = new Set<News[]>();
  private begun = 0;
  private latest = 0;

  hear(news: News): void {
    for (const since of this.underWay) since.push(news);
  }

  /**
   * Asks for what is shown now, and puts into the answer what was heard meanwhile: the answer may have left the server
   * before it.
   *
   * @returns null where an asking that began later has been answered already
   */
  async asked(ask: () => Promise<Now>): Promise<Now | null> {
    const mine = ++this.begun;
    const since: News[] = [];
    this.underWay.add(since);
    try {
      const now = await ask();
      if (mine < this.latest) return null;
      this.latest = mine;
      return since.reduce((all, news) => (isOf(all, news) ? withNews(all, news) : all), now);
    } finally {
      this.underWay.delete(since);
    }
  }
}

/** A lesson we are not in: its numbers are not to be compared with ours. */
const isOf = (now: Now, news: News): boolean => news.lesson === undefined || news.lesson === now.lesson;
