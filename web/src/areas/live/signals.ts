import type { Schema } from '../../api/client';
import { list } from '../../words/common';
import { liveWords } from '../../words/live';

type Lesson = Schema['LessonView'];
type Signal = Schema['GroupSignalView'];
type Next = Schema['NextVisitView'];

/** Nothing stirs in a group for so long before it is said to be still, as the server judges it; milliseconds. */
const stillAfter = 150_000;

export const signalOf = (lesson: Pick<Lesson, 'signals'>, group: string): Signal | undefined =>
  lesson.signals.find((one) => one.groupId === group);

/** Why a group is next, in words. */
export function reasonText(next: Next, signal: Signal | undefined, now: number): string {
  const seconds = (now - next.since) / 1_000;
  const { why, about } = liveWords;
  switch (next.reason) {
    case 'called':
      return why.called(about[signal?.call?.about ?? 'question'], seconds);
    case 'still':
      return why.still(seconds);
    case 'missing':
      return why.missing(next.since);
    case 'silent':
      return why.silent(next.since);
    case 'nobody':
      return why.nobody;
    case 'longAgo':
      return why.longAgo(seconds);
    default:
      return why[next.reason];
  }
}

/** Whether nothing has stirred in a group for a while, and it is not done. */
export const isStill = (signal: Signal, now: number): boolean =>
  !signal.done && !signal.nobody && now >= signal.stillFrom;

/** What stands under a table while its group is at work: what asks for attention first. */
export function stateOf(
  signal: Signal,
  now: number,
  nameOf: (student: string) => string = () => '',
): { text: string; strong: boolean } {
  const said = liveWords.table;
  const mark = signal.mark === null ? '' : ` · ${liveWords.marks[signal.mark]}`;
  if (signal.call !== null) return { text: said.calls(liveWords.about[signal.call.about]) + mark, strong: true };
  if (signal.waitsFor.length > 0)
    return { text: liveWords.waits.table(list(signal.waitsFor.map(nameOf))) + mark, strong: true };
  if (signal.name !== null) return { text: said.with(signal.name) + mark, strong: false };
  if (signal.nobody) return { text: said.nobody + mark, strong: true };
  if (signal.done) return { text: `${said.done} · ${said.visits(signal.visits)}${mark}`, strong: false };
  if (isStill(signal, now))
    return { text: said.still((now - signal.stillFrom + stillAfter) / 1_000) + mark, strong: true };
  const work = signal.slots === 0 ? '' : `${said.slots(signal.filled, signal.slots)} · `;
  return { text: `${work}${said.visits(signal.visits)}${mark}`, strong: false };
}
