// A student's worksheets of earlier lessons.
import { Suspense, useCallback, useEffect, useState } from 'react';
import { api, take, whole, type Schema, type Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { dayText } from '../../../words/when';
import { MediaContext } from '../media';
import { CopyPage } from './CopyPage';
import { mediaOf } from './mediaOf';

type Earlier = Schema['EarlierCopy'];
type Copy = Whole<Schema['CopyView']>;

interface Open {
  copy: Copy;
  members: Earlier['members'];
}

/** One lesson, with the worksheets there were. */
function LessonSheets({ copies, onShow }: { copies: Earlier[]; onShow: (copy: Earlier) => void }) {
  const [first] = copies;
  if (first === undefined) return null;
  return (
    <section className="border-t-2 border-ink pt-2">
      <h2 className="font-sans text-lg font-semibold wrap-anywhere">{first.lesson}</h2>
      <p className="text-sm text-soft">{dayText(first.startsAt)}</p>
      {copies.map((one) => (
        <Button key={one.id} className="mt-2 w-full py-3 text-start wrap-anywhere" onClick={() => onShow(one)}>
          {one.title}
          {!one.mayWrite && <span className="ms-2 text-sm text-soft">{m.elsewhere_earlierRead()}</span>}
        </Button>
      ))}
    </section>
  );
}

/** By lesson, in the order they came. */
function byLesson(list: Earlier[]): [string, Earlier[]][] {
  const lessons = new Map<string, Earlier[]>();
  for (const one of list) {
    const lesson = `${one.startsAt} ${one.lesson}`;
    lessons.set(lesson, [...(lessons.get(lesson) ?? []), one]);
  }
  return [...lessons];
}

function OpenSheet({ open: { copy, members }, me }: { open: Open; me: string }) {
  return (
    <MediaContext value={mediaOf(copy.id)}>
      <Suspense>
        <CopyPage key={copy.id} copy={copy} me={me} members={members} />
      </Suspense>
    </MediaContext>
  );
}

/** Worksheets of earlier lessons that were the student's, or their group's. */
export default function EarlierSheets({ me, onBack }: { me: string; onBack: () => void }) {
  const [list, setList] = useState<Earlier[] | null>(null);
  const [open, setOpen] = useState<Open | null>(null);
  const [failed, setFailed] = useState(false);
  const look = useCallback(() => {
    take(api.GET('/api/student/copies')).then(
      (found) => {
        setFailed(false);
        setList(found);
      },
      () => setFailed(true),
    );
  }, []);
  useEffect(look, [look]);
  const show = (one: Earlier) =>
    take(api.GET('/api/student/copies/{id}', { params: { path: { id: one.id } } })).then(
      (copy) => setOpen({ copy: whole(copy), members: one.members }),
      () => setFailed(true),
    );
  return (
    <div className="flex flex-col gap-4">
      <Button look="quiet" className="-ms-2 self-start" onClick={() => (open === null ? onBack() : setOpen(null))}>
        {m.elsewhere_earlierBack()}
      </Button>
      {failed && (
        <p role="alert" className="font-semibold">
          {m.elsewhere_failed()}{' '}
          <Button onClick={look} className="ms-2">
            {m.elsewhere_again()}
          </Button>
        </p>
      )}
      {open !== null ? (
        <OpenSheet open={open} me={me} />
      ) : (
        <>
          <h1 className="text-3xl font-bold">{m.elsewhere_earlier()}</h1>
          {list?.length === 0 && <p className="text-lg text-soft">{m.elsewhere_earlierNone()}</p>}
          {byLesson(list ?? []).map(([lesson, copies]) => (
            <LessonSheets key={lesson} copies={copies} onShow={(one) => void show(one)} />
          ))}
        </>
      )}
    </div>
  );
}
