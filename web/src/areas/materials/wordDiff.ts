// What has changed between two texts, word by word.
export interface Piece {
  text: string;
  kind: 'same' | 'gone' | 'new';
}

const parts = (text: string) => text.match(/\s+|[^\s]+/gu) ?? [];

/**
 * How one text became another, word by word: a longest common run of words (Hunt and McIlroy, 1976, by the plain
 * table). O(n·m) for n and m words; above 600 of either it is one change.
 */
export function wordDiff(before: string, after: string): Piece[] {
  const a = parts(before);
  const b = parts(after);
  if (a.length > 600 || b.length > 600)
    return before === after
      ? [{ text: after, kind: 'same' }]
      : [
          { text: before, kind: 'gone' },
          { text: after, kind: 'new' },
        ];
  const common: number[][] = Array.from({ length: a.length + 1 }, () => Array<number>(b.length + 1).fill(0));
  const at = (i: number, j: number) => common[i]?.[j] ?? 0;
  for (let i = a.length - 1; i >= 0; i--) {
    for (let j = b.length - 1; j >= 0; j--) {
      const row = common[i];
      if (row !== undefined) row[j] = a[i] === b[j] ? at(i + 1, j + 1) + 1 : Math.max(at(i + 1, j), at(i, j + 1));
    }
  }
  const pieces: Piece[] = [];
  const add = (text: string | undefined, kind: Piece['kind']) => {
    if (text === undefined) return;
    const last = pieces.at(-1);
    if (last?.kind === kind) last.text += text;
    else pieces.push({ text, kind });
  };
  let i = 0;
  let j = 0;
  while (i < a.length || j < b.length) {
    if (i < a.length && j < b.length && a[i] === b[j]) {
      add(a[i++], 'same');
      j++;
    } else if (j >= b.length || (i < a.length && at(i + 1, j) >= at(i, j + 1))) add(a[i++], 'gone');
    else add(b[j++], 'new');
  }
  return pieces;
}
