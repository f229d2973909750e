/** Words on the page for the wall. */
export const wall = {
  comeIn: 'Come in',
  orType: 'Hold your phone’s camera at the square, or type',
  word: 'and then these two words',
  look: 'Find your name. Groups begin in',
  goNow: 'Your groups are at work.',
  back: 'Back to the main session in',
  isBack: 'Everybody is back.',
  over: 'This lesson is over.',
  pageOf: (page: number, pages: number) => `${page} of ${pages}`,
  turn: 'Next names',
  nobody: 'nobody yet',
  gone: 'There is no such page. Ask for its address again.',
  noLine: 'No line: the time goes on by itself.',
};
