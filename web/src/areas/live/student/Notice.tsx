// What the teacher says to everybody, on a student's page.
import { useEffect, useState, type ReactNode } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { drawer } from '../../../ui/drawer';
import { useShown } from '../../../ui/useShown';
import * as m from '#messages';

const noticeShownFor = 900_000;
const readUpTo = drawer('notice.read');
const seenUpTo = drawer('notice.seen');

/** What the teacher says to everybody stays in view, wherever the page is scrolled to, until it has been read. */
export function Notice({ notices, serverNow }: { notices: Schema['NoticeView'][]; serverNow: number }) {
  const [read, setRead] = useState(() => Number(readUpTo.load() ?? 0));
  const newest = notices[0];
  if (newest === undefined || newest.at <= read || serverNow - newest.at > noticeShownFor) return null;
  const close = () => {
    readUpTo.save(String(newest.at));
    setRead(newest.at);
  };
  return (
    <NoticeText key={newest.seq} notice={newest}>
      <button type="button" onClick={close} className="mt-2 min-h-9 border-2 border-current px-3 text-base">
        {m.student_now_noticeRead()}
      </button>
    </NoticeText>
  );
}

/** The teacher is told that it stood on a screen long enough to be read, and not in a pocket. */
function NoticeText({ notice, children }: { notice: Schema['NoticeView']; children: ReactNode }) {
  const [place, shown] = useShown();
  const { seq, text } = notice;
  useEffect(() => {
    if (!shown || seq <= Number(seenUpTo.load() ?? 0)) return;
    take(api.POST('/api/student/notices/{seq}/seen', { params: { path: { seq: `${seq}` } } })).then(
      () => seenUpTo.save(String(seq)),
      () => undefined,
    );
  }, [seq, shown]);
  return (
    <div
      ref={place}
      role="status"
      className="sticky top-2 z-20 mb-4 border-2 border-ink bg-accent px-4 py-3 text-lg text-on-accent wrap-anywhere"
    >
      <p className="text-sm">{m.student_now_notice()}</p>
      <p className="font-semibold">{text}</p>
      {children}
    </div>
  );
}
