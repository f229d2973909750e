// The work of the group that reports.
import type { Schema } from '../../api/client';
import { use } from 'react';
import * as m from '#messages';
import { Answers } from '../live/walk/Answers';
import { LessonPartsContext } from '../live/laterParts';
import { useCopies } from '../live/walk/useCopies';

/** All copies of a group, page by page; each page and each answer can be shown in one press. */
export function TurnWork({ lesson, group, name }: { lesson: Schema['LessonView']; group: string; name: string }) {
  const copies = useCopies(lesson.round.id);
  const { WorkPress } = use(LessonPartsContext);
  const members = lesson.floor.groups.find((one) => one.id === group)?.students ?? [];
  const theirs = (copies.data ?? []).filter((copy) => copy.groupId === group);
  if (copies.isSuccess && theirs.length === 0) return <p className="text-soft">{m.debrief_noWork({ group: name })}</p>;
  return (
    <div className="space-y-4">
      {theirs.map((copy) =>
        copy.pages.map((page, i) => (
          <section key={`${copy.id}${page.id}`} className="border border-ink bg-sheet p-4">
            <header className="mb-3 flex flex-wrap items-center gap-3 border-b border-line pb-2">
              <h3 className="min-w-0 flex-1 font-head text-lg font-semibold wrap-anywhere">
                {page.title === '' ? m.copy_page({ n: i + 1, all: copy.pages.length }) : page.title}
              </h3>
              <WorkPress lesson={lesson} place={{ copy: copy.id, page: page.id }} />
            </header>
            <Answers copy={copy} page={page} members={members} lesson={lesson} full since={Infinity} />
          </section>
        )),
      )}
    </div>
  );
}
