// How a group at work stands, in words.
import type { Schema } from '../../api/client';
import * as m from '#messages';
import { lasting } from '../../words/lasting';
import { list } from '../../words/list';
import type { TableState } from '../grouping/floor/Table';

type Lesson = Schema['LessonView'];
type Signal = Schema['GroupSignalView'];
type Next = Schema['NextVisitView'];

export const signalOf = (lesson: Pick<Lesson, 'signals'>, group: string): Signal | undefined =>
  lesson.signals.find((one) => one.groupId === group);

/** Why a group is next, in words. */
export function reasonText(next: Next, signal: Signal | undefined, now: number): string {
  const time = lasting((now - next.since) / 1_000);
  switch (next.reason) {
    case 'called':
      return m.round_why_called({ about: m.round_about({ key: signal?.call?.about ?? 'question' }), time });
    case 'still':
      return m.round_why_still({ time });
    case 'behind':
      return m.round_why_behind();
    case 'nobody':
      return m.round_why_nobody();
    case 'missing':
      return m.round_why_missing({ n: next.since });
    case 'silent':
      return m.round_why_silent({ n: next.since });
    case 'notYet':
      return m.round_why_notYet();
    case 'longAgo':
      return m.round_why_longAgo({ time });
  }
}

/** Whether nothing has stirred in a group for a while, and it is not done. */
export const isStill = (signal: Signal, now: number): boolean =>
  !signal.done && !signal.nobody && now >= signal.stillFrom;

/** What stands under a table while its group is at work: what asks for attention first. */
export function stateOf(signal: Signal, now: number, nameOf: (student: string) => string = () => ''): TableState {
  const mark = signal.mark === null ? '' : ` · ${m.round_marks({ key: signal.mark })}`;
  if (signal.call !== null) {
    const about = m.round_about({ key: signal.call.about });
    return { text: m.round_table_calls({ about }) + mark, short: about + mark, strong: true };
  }
  if (signal.waitsFor.length > 0)
    return { text: m.round_waits_table({ names: list(signal.waitsFor.map(nameOf)) }) + mark, strong: true };
  if (signal.name !== null) return { text: m.round_table_with({ name: signal.name }) + mark, strong: false };
  if (signal.nobody) return { text: m.round_table_nobody() + mark, strong: true };
  if (signal.done)
    return { text: `${m.round_table_done()} · ${m.round_table_visits({ n: signal.visits })}${mark}`, strong: false };
  if (isStill(signal, now))
    return {
      text: m.round_table_still({ time: lasting((now - signal.stirredAt) / 1_000) }) + mark,
      strong: true,
    };
  const work = signal.slots === 0 ? '' : `${m.round_table_slots({ done: signal.filled, all: signal.slots })} · `;
  return { text: `${work}${m.round_table_visits({ n: signal.visits })}${mark}`, strong: false };
}
