/**
 * Where the caret belongs after a text was replaced under it: it stays behind the word it was behind, wherever others have
 * written beside it.
 */
export function movedCaret(before: string, after: string, caret: number): number {
  const to = between(before, after, caret);
  const word = /\S*$/u.exec(before.slice(0, caret))?.[0] ?? '';
  if (word.length < 2 || after.slice(0, to).endsWith(word)) return to; // one letter is in every other word
  const at = [after.lastIndexOf(word, to), after.indexOf(word, to)].find((found) => found >= 0);
  return at === undefined ? to : at + word.length;
}

/** Between the same signs as far as they are still there, where the text was changed in one place. */
function between(before: string, after: string, caret: number): number {
  let head = 0;
  const most = Math.min(before.length, after.length);
  while (head < most && before[head] === after[head]) head++;
  if (caret <= head) return caret;
  let tail = 0;
  while (tail < most - head && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail++;
  if (caret >= before.length - tail) return caret + after.length - before.length;
  return Math.min(after.length - tail, head + (caret - head));
}
