import { useLine } from '../api/line';

/**
 * Says that the line is slow or down, and what that means here.
 *
 * @param over over the head of the page, so that nothing on it moves
 */
export function LineNote({ slow, down, over = false }: { slow: string; down: string; over?: boolean }) {
  const line = useLine();
  return (
    <div role="status" className={over ? 'fixed inset-x-0 top-0 z-40' : 'sticky top-0 z-30'}>
      {line !== 'good' && (
        <p className="border-b-2 border-ink bg-ink px-5 py-1.5 text-center font-semibold text-ground">
          {line === 'down' ? down : slow}
        </p>
      )}
    </div>
  );
}
