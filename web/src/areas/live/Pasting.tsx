import { useState } from 'react';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import { list } from '../../words/list';
import { useCopy } from '../../ui/useCopy';

/** Who is with whom, and where to go, as a class reads them in any chat. */
export function pasted(lesson: Schema['LessonView'], origin: string): { groups: string; way: string } {
  const here = new Map(
    lesson.students.filter((student) => !student.absent).map((student) => [student.id, student.name]),
  );
  const lines = lesson.floor.groups.map((group) => {
    const names = group.students.flatMap((id) => here.get(id) ?? []);
    return `${group.name}: ${names.length === 0 ? m.pasting_nobody() : list(names)}`;
  });
  return {
    groups: [m.pasting_groupsOf({ title: lesson.title }), ...lines].join('\n'),
    way: m.pasting_way({ address: `${origin}/student`, word: lesson.doorWord }),
  };
}

function Part({ title, text, rows }: { title: string; text: string; rows: number }) {
  const copy = useCopy();
  return (
    <div className="mt-2">
      <label className="block text-sm font-semibold">
        {title}
        <textarea
          readOnly
          rows={rows}
          value={text}
          onFocus={(event) => event.target.select()}
          className="mt-1 block w-full border border-ink bg-sheet px-2 py-1.5 text-base font-normal"
        />
      </label>
      <Button className="mt-1 text-sm" onClick={() => copy(text, m.pasting_copied())}>
        {m.pasting_copy({ title })}
      </Button>
    </div>
  );
}

/** Text to paste, in two parts: the second is not of use before the first has been read. */
export function Pasting({ lesson }: { lesson: Schema['LessonView'] }) {
  const [open, setOpen] = useState(false);
  const text = pasted(lesson, location.origin);
  return (
    <div className="mt-4 print:hidden">
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        {m.pasting_title()}
      </Button>
      {open && (
        <>
          <Part title={m.pasting_who()} text={text.groups} rows={Math.min(8, lesson.floor.groups.length + 1)} />
          <Part title={m.pasting_where()} text={text.way} rows={2} />
        </>
      )}
    </div>
  );
}
