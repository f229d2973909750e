import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import { useSetUp } from './useSetUp';

/** How far the set-up list is; and what of it could not be done, with the reason and the press that tries it again. */
export function SetUpProgress({ lesson }: { lesson: Schema['LessonView'] }) {
  const { again } = useSetUp(lesson);
  const { setUp } = lesson;
  if (setUp === null) return null;
  const lasting = setUp.failed.filter((step) => !step.again);
  return (
    <section aria-label={m.setUp_title()}>
      {setUp.running && (
        <>
          <progress
            className="block w-full accent-ink"
            max={setUp.of}
            value={setUp.done}
            aria-label={m.setUp_running({ done: setUp.done, of: setUp.of })}
          />
          <p className="text-sm">
            <span className="font-semibold tabular-nums">{m.setUp_running({ done: setUp.done, of: setUp.of })}</span>{' '}
            <span className="wrap-anywhere text-soft">{setUp.now}</span>
          </p>
        </>
      )}
      {setUp.failed.length > 0 && (
        <div className="mt-2 border-s-8 border-lost ps-3">
          {lasting.length > 0 && <h3 className="font-semibold">{m.setUp_failed({ n: lasting.length })}</h3>}
          <ul>
            {setUp.failed.map((step) => (
              <li key={step.position} className="border-b border-line py-1.5 text-sm last:border-0">
                <span className="block wrap-anywhere">{step.says}</span>
                <span className="block wrap-anywhere text-soft">
                  {step.why} {step.again && m.setUp_again()}
                </span>
                {!step.again && (
                  <Button
                    look="quiet"
                    busy={again.isPending}
                    onClick={() => again.mutate({ setUp: setUp.id, position: step.position })}
                  >
                    {m.setUp_tryAgain()}
                  </Button>
                )}
              </li>
            ))}
          </ul>
          {lasting.length > 1 && (
            <Button
              className="mt-1"
              busy={again.isPending}
              onClick={() => again.mutate({ setUp: setUp.id, position: null })}
            >
              {m.setUp_tryAll()}
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
