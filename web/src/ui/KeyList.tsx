import { words } from '../words';
import { Sheet } from './Sheet';

/** The keys of a page, shown by `?`. */
export function KeyList({
  open,
  onClose,
  keys,
}: {
  open: boolean;
  onClose: () => void;
  keys: readonly (readonly [string, string])[];
}) {
  return (
    <Sheet open={open} onClose={onClose} title={words.lesson.helpTitle}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {keys.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-semibold">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
