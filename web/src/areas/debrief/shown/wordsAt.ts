// A text as words that can be pointed at, with what stands between them.

/** @param n which word, from 0; null: what stands between two */
export interface TextPart {
  text: string;
  n: number | null;
}

/** The parts of a text in order: put together again they are the text. */
export function wordsAt(text: string): TextPart[] {
  let n = 0;
  return (text.match(/\s+|\S+/gu) ?? []).map((part) => ({ text: part, n: /^\s/u.test(part) ? null : n++ }));
}
