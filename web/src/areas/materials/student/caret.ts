/** A comparison of longer stretches would be felt while typing. */
const most = 250_000;

interface Word {
  at: number;
  text: string;
}

/**
 * Where the caret belongs after a text was replaced under it: at the same place of the same word, wherever others have
 * written beside it; between words, where it touches none of them if there is such a place.
 */
export function movedCaret(before: string, after: string, caret: number): number {
  const was = wordsOf(before);
  const is = wordsOf(after);
  const at = was.findIndex((word) => endOf(word) >= caret);
  const next = was[at];
  if (next !== undefined && next.at < caret) {
    const to = partner(was, is, at);
    if (to !== undefined) return to.at + caret - next.at;
    return rewritten(was, is, at, caret - next.at) ?? between(before, after, caret);
  }
  const last = at < 0 ? was.at(-1) : was[at - 1];
  const from = last === undefined ? { at: 0, text: '' } : partner(was, is, was.indexOf(last));
  const to = next === undefined ? after.length : partner(was, is, at)?.at;
  const behind = from === undefined ? undefined : endOf(from) + caret - (last === undefined ? 0 : endOf(last));
  const ahead = to === undefined ? undefined : Math.max(0, to + caret - (next?.at ?? before.length));
  if (behind !== undefined && isFree(after, behind)) return behind;
  const least = from === undefined ? 0 : endOf(from);
  for (let free = ahead ?? -1; free >= least; free--) if (isFree(after, free)) return free;
  return ahead ?? behind ?? between(before, after, caret);
}

/** Whether a caret there touches no word. */
export const isFree = (text: string, caret: number) =>
  caret <= text.length && !/\S/u.test(text.slice(Math.max(0, caret - 1), caret + 1));

/**
 * Where others' words have closed in on a caret that touched none, what is typed there next stays a word of its own.
 *
 * @param caret where it stood
 * @param typed the text as it is now: something more is in it in front of `now`
 * @returns the text with white space where it is wanted
 */
export function keptApart(typed: string, caret: number, now: number): { text: string; caret: number } {
  const piece = typed.slice(caret, now);
  const touches = (sign: string | undefined) => sign !== undefined && /\S/u.test(sign);
  if (!touches(piece)) return { text: typed, caret: now };
  const front = touches(typed[caret - 1]) && touches(piece[0]) ? ' ' : '';
  const back = touches(typed[now]) && touches(piece.at(-1)) ? ' ' : '';
  return { text: typed.slice(0, caret) + front + piece + back + typed.slice(now), caret: now + front.length };
}

const endOf = (word: Word) => word.at + word.text.length;

const wordsOf = (text: string): Word[] =>
  Array.from(text.matchAll(/\S+/gu), (match) => ({ at: match.index, text: match[0] }));

/** The longest common run of words says which word of one text is which of the other. */
function partner(was: Word[], is: Word[], of: number): Word | undefined {
  const same = (i: number, j: number) => was[i]?.text === is[j]?.text;
  const short = Math.min(was.length, is.length);
  let head = 0;
  while (head < short && same(head, head)) head++;
  if (of < head) return is[of];
  let tail = 0;
  while (tail < short - head && same(was.length - 1 - tail, is.length - 1 - tail)) tail++;
  if (of >= was.length - tail) return is[of + is.length - was.length];

  const rows = was.length - tail - head;
  const columns = is.length - tail - head;
  if (rows * columns > most) return undefined;
  const run = Array.from({ length: rows + 1 }, () => new Uint16Array(columns + 1));
  const at = (i: number, j: number) => run[i]?.[j] ?? 0;
  for (let i = rows - 1; i >= 0; i--) {
    for (let j = columns - 1; j >= 0; j--) {
      const row = run[i];
      if (row === undefined) continue;
      row[j] = same(head + i, head + j) ? 1 + at(i + 1, j + 1) : Math.max(at(i + 1, j), at(i, j + 1));
    }
  }
  for (let i = 0, j = 0; i < rows && j < columns;) {
    if (same(head + i, head + j)) {
      if (head + i === of) return is[head + j];
      i++;
      j++;
    } else if (at(i + 1, j) >= at(i, j + 1)) i++;
    else j++;
  }
  return undefined;
}

/**
 * Where a caret belongs in a word that others have written in as well, or that went elsewhere when texts came together:
 * in the word that still has most of what stands before and behind the caret, between the same neighbours if there is
 * one.
 */
function rewritten(was: Word[], is: Word[], of: number, caret: number): number | undefined {
  const word = was[of]?.text ?? '';
  const left = word.slice(0, caret);
  const right = word.slice(caret);
  const from = of === 0 ? undefined : partner(was, is, of - 1);
  const to = of === was.length - 1 ? undefined : partner(was, is, of + 1);
  const best = (among: Word[], least: number) => {
    let found: number | undefined;
    for (const one of among) {
      const at = one.text.indexOf(left);
      const score = at < 0 ? 0 : left.length + (one.text.slice(at + left.length).includes(right) ? right.length : 0);
      if (score > least) {
        least = score;
        found = one.at + at + left.length;
      }
    }
    return found;
  };
  const start = from === undefined ? 0 : is.indexOf(from) + 1;
  const end = to === undefined ? is.length : is.indexOf(to);
  const between = is.slice(start, end);
  const all = word.length - 1;
  return best(between, all) ?? best(is, Math.max(1, all)) ?? best(between, 0) ?? best(is, 1);
}

/** Between the same signs as far as they are still there, where the text was changed in one place. */
function between(before: string, after: string, caret: number): number {
  let head = 0;
  const least = Math.min(before.length, after.length);
  while (head < least && before[head] === after[head]) head++;
  if (caret <= head) return caret;
  let tail = 0;
  while (tail < least - head && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail++;
  if (caret >= before.length - tail) return caret + after.length - before.length;
  return Math.min(after.length - tail, head + (caret - head));
}
