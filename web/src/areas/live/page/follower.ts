// When a lesson that is shown is asked for again, and how much of it.
import type { QueryClient } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';

type Lesson = Schema['LessonView'];

const together = 120;
/** While students write, how far groups are is asked for so often. */
const followEvery = 2_500;

/** Asks for a lesson anew when it has been told of something newer than what is shown. */
export class Follower {
  private soon: ReturnType<typeof setTimeout> | undefined;
  private later: ReturnType<typeof setTimeout> | undefined;
  /** The last event of the lesson that was told of; infinite: something else that has no number. */
  private told = 0;
  private readonly queries: QueryClient;
  private readonly key: readonly ['lesson', string];

  constructor(queries: QueryClient, id: string) {
    this.queries = queries;
    this.key = ['lesson', id];
  }

  /** Hints that come together are one look, and what is known already is none. */
  look(seq = Infinity) {
    this.told = Math.max(this.told, seq);
    this.soon ??= setTimeout(() => {
      this.soon = undefined;
      void this.catchUp(this.told);
      this.told = 0;
    }, together);
  }

  /** Somebody has written: how far groups are is asked for now and then, and nothing else of the lesson. */
  lookLater(roundId: string) {
    this.later ??= setTimeout(() => {
      this.later = undefined;
      void this.putSignals(roundId).catch(() => {
        this.look();
      });
    }, followEvery);
  }

  stop() {
    clearTimeout(this.soon);
    clearTimeout(this.later);
  }

  /** Where the whole lesson was asked for meanwhile, it can't be told which of both is newer: it is asked for again. */
  private async putSignals(roundId: string) {
    const since = this.queries.getQueryState(this.key)?.dataUpdatedAt;
    const { seq, ...fresh } = await take(
      api.GET('/api/staff/rounds/{id}/signals', { params: { path: { id: roundId } } }),
    );
    const state = this.queries.getQueryState<Lesson>(this.key);
    const shown = state?.data;
    if (shown?.round.id !== roundId) return;
    if (state?.fetchStatus === 'idle' && state.dataUpdatedAt === since && shown.seq === seq) {
      this.queries.setQueryData<Lesson>(this.key, { ...shown, ...fresh });
    } else {
      this.look();
    }
  }

  private isBehind(seq: number) {
    return seq > (this.queries.getQueryData<Lesson>(this.key)?.seq ?? 0);
  }

  /** Asks until the lesson is as new as what was told of; what is being asked already may be new enough. */
  private async catchUp(seq: number) {
    const key = { queryKey: this.key };
    if (seq !== Infinity && this.isBehind(seq)) await this.queries.invalidateQueries(key, { cancelRefetch: false });
    if (this.isBehind(seq)) await this.queries.invalidateQueries(key);
  }
}
