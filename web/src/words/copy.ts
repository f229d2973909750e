import { count } from './common';

/** Words in the places students fill; the teacher sees the same ones. */
export const copy = {
  putHere: 'Put it here',
  putUnder: (card: string, head: string) => `${card}: under ${head}.`,
  cardsToSort: (n: number) => (n === 0 ? 'All sorted' : `${count(n, 'card', 'cards')} to sort`),
  ownCard: 'A card of your own',
  addCard: 'Add',
  takeAway: 'Take away',
  cell: (row: string, column: string) => `${row}: ${column}`,
  row: (n: number) => `Row ${n}`,
  addRow: 'Add a row',
  mended: (n: number) => `Sentence ${n}, better`,
  markAs: 'Mark as',
  markFirst: 'Press the first word, then the last.',
  markLast: (word: string) => `From “${word}”: press the last word, or the same again.`,
  remark: 'Your remark',
  unmark: 'Take the mark away',
  done: 'Done',
  opensOutside: 'opens in a window of its own',
  page: (n: number, all: number) => `Page ${n} of ${all}`,
};
