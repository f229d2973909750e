// A student's worksheet, with the way back and to the other ones.
import { Suspense, useEffect } from 'react';
import { secondsUntil } from '../../../api/clock';
import type { Schema, Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Duration } from '../../../ui/signs/Duration';
import { lazily } from '../../../ui/later/lazily';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { MediaContext } from '../../materials/media';
import { mediaOf } from '../../materials/student/mediaOf';
import { clockOf, type Phase } from '../phase';
import { GoButton } from './GoButton';

const loadSheet = () => import('../../materials/student/CopyPage').then((file) => ({ default: file.CopyPage }));
const CopyPage = lazily(loadSheet);

type Now = Schema['StudentNow'];

/** The sheet's script is here before it is pressed for. */
export function useSheetScript(wanted: boolean) {
  useEffect(() => {
    if (wanted) loadSheet().catch(() => undefined);
  }, [wanted]);
}

function SheetHead({
  young,
  group,
  sheets,
  left,
  open,
  onOpen,
  onBack,
}: {
  young: boolean;
  /** Whose worksheet it is; null for the student's own. */
  group: Schema['MyGroup'] | null;
  sheets: { id: string; title: string; own: boolean }[];
  /** Seconds to the end of the round; null where there is none to count to. */
  left: number | null;
  open: string;
  onOpen: (copy: string) => void;
  onBack: () => void;
}) {
  return (
    <div className="mb-5 flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
      {group !== null && <Sign mark={group.mark} size={24} />}
      <span className="min-w-0 flex-1 font-head text-lg font-semibold wrap-anywhere">{group?.name}</span>
      {left !== null && (
        <span role="timer" className="font-semibold whitespace-nowrap tabular-nums">
          <Duration seconds={left} /> <span className="font-normal">{m.student_now_timeLeft()}</span>
        </span>
      )}
      <Button look="quiet" aria-label={m.student_copy_back()} className={young ? 'text-4xl' : ''} onClick={onBack}>
        {young ? '←' : m.student_copy_back()}
      </Button>
      {sheets.length > 1 && (
        <nav aria-label={m.student_now_openSheet()} className="flex w-full flex-wrap gap-2">
          {sheets.map((one) => (
            <Button
              key={one.id}
              aria-current={one.id === open ? 'page' : undefined}
              className={one.id === open ? 'bg-wash font-semibold' : ''}
              onClick={() => onOpen(one.id)}
            >
              {one.own ? m.student_now_openOwn({ title: one.title }) : one.title}
            </Button>
          ))}
        </nav>
      )}
    </div>
  );
}

/** Seconds to the end of the round; null where there is none to count to. */
const secondsLeft = ({ moments }: Now, phase: Phase, serverNow: number) =>
  phase === 'out' && moments?.endsAt != null ? secondsUntil(moments.endsAt, clockOf(moments, serverNow)) : null;

/** What the student works on alone opens by itself, whatever their group does. */
export const isOwn = (now: Now, copy: { id: string }) => now.alone.some((one) => one.id === copy.id);

export function SheetView({
  now,
  phase,
  serverNow,
  copy,
  onOpen,
}: {
  now: Now;
  phase: Phase;
  serverNow: number;
  copy: Whole<Schema['CopyView']>;
  onOpen: (copy: string | null) => void;
}) {
  const isAlone = isOwn(now, copy);
  const group = isAlone ? null : now.group;
  const sheets =
    group === null
      ? now.alone.map((one) => ({ ...one, own: true }))
      : group.copies.map((one) => ({ ...one, own: one.way === 'each' }));
  return (
    <>
      <SheetHead
        young={now.young !== null}
        group={group}
        sheets={sheets}
        left={secondsLeft(now, phase, serverNow)}
        open={copy.id}
        onOpen={onOpen}
        onBack={() => onOpen(null)}
      />
      <MediaContext value={mediaOf(copy.id)}>
        <Suspense fallback={<p className="mt-6 text-soft">{m.student_loading()}</p>}>
          <CopyPage key={copy.id} copy={copy} me={now.id} members={group?.members ?? []} lang={now.young?.language} />
        </Suspense>
      </MediaContext>
      {phase === 'back' && !isAlone && (
        <div className="mt-8">
          <GoButton>{m.student_now_goMain()}</GoButton>
        </div>
      )}
    </>
  );
}
