// Opens all work to the whole class, and closes it again.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Tick } from '../../../ui/fields/Tick';
import * as m from '#messages';
import { dayText } from '../../../words/when';
import { useDebrief, useGallery, type Debrief } from '../useDebrief';

/** The end of a day, in milliseconds; null for no day. */
const endOf = (day: string): number | null => (day === '' ? null : new Date(`${day}T23:59:59`).getTime());
const dayOf = (until: number | null): string => {
  if (until === null) return '';
  const date = new Date(until);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
};

type Gallery = ReturnType<typeof useGallery>;

interface OpenProps {
  lesson: Schema['LessonView'];
  shown: NonNullable<Debrief['gallery']>;
  gallery: Gallery;
}

/** What students have remarked, to be removed where it must be. */
function Written({ lesson, shown, gallery }: OpenProps) {
  const nameOf = (id: string) => {
    const copy = lesson.copies.find((one) => one.id === id);
    return lesson.floor.groups.find((one) => one.id === copy?.groupId)?.name ?? copy?.name ?? '';
  };
  if (shown.written.length === 0) return null;
  return (
    <ul aria-label={m.debrief_gallery_written()} className="mt-2 max-h-48 overflow-y-auto border-y border-line">
      {shown.written.map((remark) => (
        <li key={remark.id} className="flex items-start gap-2 border-b border-line py-1 last:border-0">
          <span className="min-w-0 flex-1 wrap-anywhere">
            <b>{remark.name}</b> <span className="text-soft">{nameOf(remark.copy)}</span>
            <br />
            {remark.text}
          </span>
          <Button
            look="quiet"
            aria-label={m.debrief_gallery_remove({ name: remark.name })}
            onClick={() => gallery.removeRemark.mutate(remark.id)}
          >
            {m.debrief_gallery_removeShort()}
          </Button>
        </li>
      ))}
    </ul>
  );
}

function Open({ lesson, shown, gallery }: OpenProps) {
  /** What was ticked, until the server has said so. */
  const [wanted, setWanted] = useState<boolean | null>(null);
  return (
    <div className="text-sm">
      <p role="status" className="mb-2 font-semibold">
        {shown.until === null ? m.debrief_gallery_isOpen() : m.debrief_gallery_openUntil({ day: dayText(shown.until) })}
      </p>
      <Tick
        checked={wanted ?? shown.remarks}
        onChange={(remarks) => {
          setWanted(remarks);
          gallery.open.mutate({ remarks, until: shown.until }, { onSettled: () => setWanted(null) });
        }}
        label={m.debrief_gallery_remarks()}
      />
      <label className="mt-2 block">
        {m.debrief_gallery_until()}
        <input
          type="date"
          value={dayOf(shown.until)}
          min={dayOf(lesson.serverNow)}
          onChange={(event) => gallery.open.mutate({ remarks: shown.remarks, until: endOf(event.target.value) })}
          className="ms-2 border border-ink bg-sheet px-2 py-1"
        />
      </label>
      <Written lesson={lesson} shown={shown} gallery={gallery} />
      <Button className="mt-3" busy={gallery.close.isPending} onClick={() => gallery.close.mutate()}>
        {m.debrief_gallery_close()}
      </Button>
    </div>
  );
}

export function GalleryPanel({ lesson }: { lesson: Schema['LessonView'] }) {
  const debrief = useDebrief(lesson);
  const gallery = useGallery(lesson.id);
  if (debrief === undefined || lesson.copies.length === 0) return null;
  return (
    <section aria-label={m.debrief_gallery_title()} className="border-t-2 border-ink pt-1.5">
      <h2 className="mb-1 font-sans text-sm font-semibold text-soft">{m.debrief_gallery_title()}</h2>
      {debrief.gallery === null ? (
        <Button
          className="w-full"
          busy={gallery.open.isPending}
          onClick={() => gallery.open.mutate({ remarks: false, until: null })}
        >
          {m.debrief_gallery_open()}
        </Button>
      ) : (
        <Open lesson={lesson} shown={debrief.gallery} gallery={gallery} />
      )}
    </section>
  );
}
