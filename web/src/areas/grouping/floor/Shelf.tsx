// The shelf of a floor: those who have no seat.
import clsx from 'clsx';
import * as m from '#messages';
import { Droppable } from '../../../ui/drag/Drag';
import { useStop } from './roving';
import { NameTag, type Student } from './NameTag';

interface ShelfProps {
  students: Student[];
  absent: Student[];
  live: boolean;
  picked: string | null;
  /** What it would mean to put the held tag where it is held, in whole words; null: nothing to say. */
  meaning?: string | null;
  onOpenTag: (student: Student, at: DOMRect) => void;
}

function Tags({
  tags,
  live,
  picked,
  onOpenTag,
}: Pick<ShelfProps, 'live' | 'picked' | 'onOpenTag'> & { tags: Student[] }) {
  return tags.map((student) => (
    <li key={student.id}>
      <NameTag
        student={student}
        group={null}
        fixed={false}
        live={live}
        picked={picked === student.id}
        onOpen={onOpenTag}
      />
    </li>
  ));
}

/** Where name tags with no seat wait, along the bottom edge of the floor; those absent today lie at its end. */
export function Shelf({ students, absent, meaning = null, ...look }: ShelfProps) {
  const stop = useStop('shelf');
  return (
    <Droppable id="shelf">
      {({ ref, over }) => (
        <section
          ref={ref}
          aria-label={m.floor_shelf()}
          className={clsx('border-t-4 border-ink bg-sheet px-5 py-3', over && 'ring-4 ring-accent ring-inset')}
        >
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
            <button type="button" {...stop} className="min-h-6 text-start font-head font-semibold">
              {m.floor_shelf()}
            </button>
            {meaning === null ? (
              <span className="text-sm text-soft">
                {students.length === 0 ? m.floor_shelfEmpty() : m.floor_shelfLead({ n: students.length })}
              </span>
            ) : (
              <span className="line-clamp-2 min-w-0 flex-1 bg-accent px-2 text-sm font-semibold text-on-accent">
                {meaning}
              </span>
            )}
            {students.length > 0 && (
              <ul className="flex max-h-40 flex-wrap gap-2 overflow-y-auto p-1">
                <Tags tags={students} {...look} />
              </ul>
            )}
            {absent.length > 0 && (
              <div className="ms-auto flex flex-wrap items-center gap-2">
                <span className="text-sm text-soft">{m.floor_away()}</span>
                <ul className="flex flex-wrap gap-2">
                  <Tags tags={absent} {...look} />
                </ul>
              </div>
            )}
          </div>
        </section>
      )}
    </Droppable>
  );
}
