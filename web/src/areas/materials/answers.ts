// What comes over the stream about copies, put into the copies that are shown.
import type { Schema, Whole } from '../../api/client';
import type { Message } from '../../api/stream/message';

type Answer = Whole<Schema['AnswerView']>;
type Copy = Whole<Schema['CopyView']>;

/** A long answer goes out as what has changed in it. */
export type AnswerChange = Message<'ChangeMessage'>;

/** A margin note was written, seen or answered; or deleted. */
export type MarginMessage = Message<'MarginMessage'>;

/** What came over the stream about a copy. */
export type AnswerMessage = Message<'AnswerMessage'> | AnswerChange | MarginMessage;

/** Whether it is about what stands in a copy. */
export const isOfCopy = (message: { kind: string } | AnswerMessage): message is AnswerMessage =>
  message.kind === 'answer' || message.kind === 'change' || message.kind === 'margin';

/** Puts a margin note into a copy, or takes it out. */
function withNote(copy: Copy, message: MarginMessage): Copy {
  const id = message.note?.id ?? message.gone;
  const others = copy.notes.filter((one) => one.id !== id);
  if (message.note === null) return { ...copy, notes: others };
  return { ...copy, notes: [...others, message.note].sort((a, b) => (a.id < b.id ? -1 : 1)) };
}

const same = (a: Answer, b: { slot: string; owner: string }) => a.slot === b.slot && a.owner === b.owner;

/** Puts an answer into a copy; an older one than ours is passed over. */
function withAnswer(copy: Copy, answer: Answer): Copy {
  const old = copy.answers.find((one) => same(one, answer));
  if (old !== undefined && old.revision >= answer.revision) return copy;
  return { ...copy, answers: [...copy.answers.filter((one) => !same(one, answer)), answer] };
}

/** Puts what came over the stream into a copy. @returns null where that cannot be told from here: ask for the copy */
export function withMessage(copy: Copy, message: AnswerMessage): Copy | null {
  if (copy.id !== message.copy) return copy;
  if (message.kind === 'answer') return withAnswer(copy, message.answer);
  if (message.kind === 'margin') return withNote(copy, message);
  const old = copy.answers.find((one) => same(one, message));
  if (old !== undefined && old.revision >= message.revision) return copy;
  if (message.put === null || (old?.revision ?? 0) !== message.revision - 1) return null;
  const signs = Array.from(old?.text ?? '');
  signs.splice(message.at ?? 0, message.gone ?? 0, message.put);
  const { slot, owner, revision, author, when, share, caret } = message;
  return withAnswer(copy, { slot, owner, revision, author, at: when, share, text: signs.join(''), caret });
}

/** What has come over the stream since each of the askings that are still under way. */
const underWay = new Set<AnswerMessage[]>();

/** Tells askings under way of what came over the stream: their answer may have left before it. */
export function heard(message: AnswerMessage): void {
  for (const since of underWay) since.push(message);
}

/**
 * Asks for copies and puts into them what was heard meanwhile, so that an answer that overtook them on the way is not
 * lost. Where that cannot be told from here, it asks once more.
 */
export async function asked(ask: () => Promise<Copy[]>, again = true): Promise<Copy[]> {
  const since: AnswerMessage[] = [];
  underWay.add(since);
  try {
    const copies = await ask();
    const now = since.reduce<(Copy | null)[]>(
      (all, message) => all.map((copy) => (copy === null ? null : withMessage(copy, message))),
      copies,
    );
    if (again && now.includes(null)) return await asked(ask, false);
    return now.map((copy, i) => copy ?? copies[i]).filter((copy) => copy !== undefined);
  } finally {
    underWay.delete(since);
  }
}
