import { useLine } from '../api/line';

/** Says that the line is slow or down, and what that means here. */
export function LineNote({ slow, down }: { slow: string; down: string }) {
  const line = useLine();
  return (
    <div role="status" className="sticky top-0 z-30">
      {line !== 'good' && (
        <p className="border-b-2 border-ink bg-ink px-5 py-2 text-center font-semibold text-ground">
          {line === 'down' ? down : slow}
        </p>
      )}
    </div>
  );
}
