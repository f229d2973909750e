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

/** Worksheets of earlier lessons that were the student's, or their group's. */
export default function EarlierSheets({ me, onBack }: { me: string; onBack: () => void }) {
  const [list, setList] = useState<Earlier[] | null>(null);
  const [open, setOpen] = useState<{ copy: Copy; members: Earlier['members'] } | null>(null);
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
  const lessons = new Map<string, Earlier[]>();
  for (const one of list ?? []) {
    const lesson = `${one.startsAt} ${one.lesson}`;
    lessons.set(lesson, [...(lessons.get(lesson) ?? []), one]);
  }
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
        <MediaContext value={mediaOf(open.copy.id)}>
          <Suspense>
            <CopyPage key={open.copy.id} copy={open.copy} me={me} members={open.members} />
          </Suspense>
        </MediaContext>
      ) : (
        <>
          <h1 className="text-3xl font-bold">{m.elsewhere_earlier()}</h1>
          {list?.length === 0 && <p className="text-lg text-soft">{m.elsewhere_earlierNone()}</p>}
          {[...lessons].map(([lesson, copies]) => (
            <section key={lesson} className="border-t-2 border-ink pt-2">
              <h2 className="font-sans text-lg font-semibold wrap-anywhere">{copies[0]?.lesson}</h2>
              <p className="text-sm text-soft">{copies[0] === undefined ? '' : dayText(copies[0].startsAt)}</p>
              {copies.map((one) => (
                <Button
                  key={one.id}
                  className="mt-2 w-full py-3 text-start wrap-anywhere"
                  onClick={() => void show(one)}
                >
                  {one.title}
                  {!one.mayWrite && <span className="ms-2 text-sm text-soft">{m.elsewhere_earlierRead()}</span>}
                </Button>
              ))}
            </section>
          ))}
        </>
      )}
    </div>
  );
}
