import { whenText } from '../../words/when';

/** A lesson's title; where another one beside it has the same, with its date. */
export function titleBeside(
  lesson: { title: string; startsAt: number | null },
  others: readonly { title: string }[],
): string {
  const same = others.some((other) => other !== lesson && other.title.trim() === lesson.title.trim());
  return same && lesson.startsAt !== null ? `${lesson.title}, ${whenText(lesson.startsAt)}` : lesson.title;
}
