// Where pages begin when something is too tall to be shown at once.

/** A line, a row or a paragraph that is not cut: its upper and its lower edge, in pixels from the top of all. */
export interface Piece {
  top: number;
  bottom: number;
}

/**
 * @param pieces from the top to the bottom
 * @param height of a page
 * @param whole  how tall all of it is
 * @returns where each page begins, the first at 0; no piece is cut that fits on a page
 */
export function pageStarts(pieces: Piece[], height: number, whole: number): number[] {
  const starts = [0];
  if (height <= 0) return starts;
  for (let start = 0; start + height < whole;) {
    const cut = pieces.find((piece) => piece.top > start && piece.bottom > start + height);
    // What is taller than a page is cut all the same.
    start = cut === undefined || cut.top > start + height ? start + height : cut.top;
    starts.push(start);
  }
  return starts;
}
