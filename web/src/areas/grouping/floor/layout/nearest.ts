// The next thing on a floor in a direction, for arrow keys.
export type Direction = 'ArrowUp' | 'ArrowDown' | 'ArrowLeft' | 'ArrowRight';

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/**
 * Which of several boxes lies nearest in a direction: distance along it counts once, distance across it twice.
 *
 * @returns its index, or -1 where there is none that way
 */
export function nearest(from: Box, boxes: Box[], direction: Direction): number {
  const centre = (box: Box) => ({ x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 });
  const start = centre(from);
  let best = -1;
  let least = Infinity;
  boxes.forEach((box, i) => {
    const { x, y } = centre(box);
    const [along, across] = {
      ArrowUp: [start.y - y, x - start.x],
      ArrowDown: [y - start.y, x - start.x],
      ArrowLeft: [start.x - x, y - start.y],
      ArrowRight: [x - start.x, y - start.y],
    }[direction] as [number, number];
    const distance = along + 2 * Math.abs(across);
    if (along > 4 && distance < least) {
      best = i;
      least = distance;
    }
  });
  return best;
}
