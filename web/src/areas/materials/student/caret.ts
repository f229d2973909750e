/**
 * Where the caret belongs after a text was replaced under it: it stays between the same signs as far as they are still
 * there.
 */
export function movedCaret(before: string, after: string, caret: number): number {
  let head = 0;
  const most = Math.min(before.length, after.length);
  while (head < most && before[head] === after[head]) head++;
  if (caret <= head) return caret;
  let tail = 0;
  while (tail < most - head && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail++;
  if (caret >= before.length - tail) return caret + after.length - before.length;
  return Math.min(after.length - tail, head + (caret - head));
}
