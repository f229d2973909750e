import { useContext, useEffect, useId, useRef } from 'react';
import * as m from '#messages';
import { base64, smallEnough } from '../bytes';
import { MediaContext } from '../media';
import { between, things, without, written, type OwnPicture } from '../things';
import type { FillProps } from './FillProps';
import { useWaitingPictures } from './useWaitingPictures';

const most = 12;

/** Photos and drawings of the students' own, each with what is written under it. */
export default function OwnPictures({ block, value, onChange }: FillProps) {
  const media = useContext(MediaContext);
  const id = useId();
  const file = useRef<HTMLInputElement>(null);
  const held = things<OwnPicture>(value);
  const latest = useRef(held);
  /** Passed to `onChange` but not in `value` yet. The next change must include them, or they would be lost. */
  const onTheWay = useRef<Record<string, OwnPicture>>({});
  const change = useRef(onChange);
  useEffect(() => {
    change.current = onChange;
  });
  useEffect(() => {
    latest.current = things<OwnPicture>(value);
    onTheWay.current = Object.fromEntries(Object.entries(onTheWay.current).filter(([key]) => !(key in latest.current)));
  }, [value]);
  const pictures = Object.entries(held).sort(([, a], [, b]) => a.place - b.place);
  const { put } = media;
  const { waiting, isAway, trouble, add } = useWaitingPictures(
    `${media.sheet ?? ''}.${block.id}`,
    onChange === null ? undefined : put,
    (picture, kept) => {
      const now = { ...latest.current, ...onTheWay.current }; // others may have put in theirs meanwhile
      const last = Math.max(0, ...Object.values(now).map((other) => other.place));
      onTheWay.current[picture.id] = { media: kept, place: last + 1 };
      change.current?.(written({ ...now, ...onTheWay.current }));
    },
  );
  const room = most - pictures.length - waiting.length;
  const set = (key: string, picture: OwnPicture) => onChange?.(written({ ...held, [key]: picture }));
  const earlier = (i: number) => {
    const [key, picture] = pictures[i] ?? [];
    if (key === undefined || picture === undefined) return;
    set(key, { ...picture, place: between(pictures[i - 2]?.[1].place, pictures[i - 1]?.[1].place) });
  };

  return (
    <div>
      {pictures.length === 0 && waiting.length === 0 && <p className="text-soft">{m.copy_noPictures()}</p>}
      <ul className="space-y-5">
        {pictures.map(([key, picture], i) => (
          <li key={key}>
            <img
              src={media.at(picture.media)}
              alt={picture.caption ?? m.copy_pictureNth({ n: i + 1 })}
              className="max-h-96 max-w-full border border-line"
            />
            {onChange === null ? (
              <p className="mt-1 wrap-anywhere">{picture.caption}</p>
            ) : (
              <>
                <textarea
                  id={`${id}-${key}`}
                  rows={1}
                  maxLength={300}
                  value={picture.caption ?? ''}
                  placeholder={m.copy_caption()}
                  aria-label={`${m.copy_pictureNth({ n: i + 1 })}: ${m.copy_caption()}`}
                  onChange={(event) => {
                    const caption = event.target.value;
                    set(key, { media: picture.media, place: picture.place, ...(caption === '' ? {} : { caption }) });
                  }}
                  className="mt-1 block field-sizing-content w-full resize-none border-2 border-ink bg-sheet px-3 py-2"
                />
                <p className="mt-1 flex gap-2 text-sm">
                  {i > 0 && (
                    <button
                      type="button"
                      className="min-h-11 px-2 underline"
                      aria-label={m.copy_pictureEarlier({ n: i + 1 })}
                      onClick={() => earlier(i)}
                    >
                      {m.copy_pictureLeft()}
                    </button>
                  )}
                  <button
                    type="button"
                    className="min-h-11 px-2 underline"
                    aria-label={m.copy_takePictureAway({ n: i + 1 })}
                    onClick={() => onChange(written(without(held, key)))}
                  >
                    {m.copy_takeAway()}
                  </button>
                </p>
              </>
            )}
          </li>
        ))}
        {waiting.map((picture) => (
          <li key={picture.id}>
            <img
              src={`data:image/jpeg;base64,${picture.content}`}
              alt={m.copy_pictureWaiting()}
              className="max-h-96 max-w-full border-2 border-dashed border-ink opacity-60"
            />
          </li>
        ))}
      </ul>
      <p
        role="status"
        className={`my-2 min-h-6 text-sm ${isAway && waiting.length > 0 ? 'font-semibold' : 'text-soft'}`}
      >
        {waiting.length === 0 ? '' : isAway ? m.copy_picturesWait({ n: waiting.length }) : m.copy_pictureKeeping()}
      </p>
      {trouble !== '' && (
        <p role="alert" className="mb-2 font-semibold">
          {trouble}
        </p>
      )}
      {onChange !== null && put !== undefined && (
        <>
          <input
            ref={file}
            type="file"
            accept="image/png,image/jpeg,image/webp,image/*"
            multiple
            className="sr-only"
            tabIndex={-1}
            aria-label={m.copy_addPicture()}
            onChange={(event) => {
              const files = [...(event.target.files ?? [])];
              event.target.value = '';
              void add(files.slice(0, room).map(async (one) => base64(await smallEnough(one))));
            }}
          />
          <button
            type="button"
            disabled={room <= 0}
            onClick={() => file.current?.click()}
            className="min-h-12 border-2 border-ink bg-sheet px-4 py-2 font-semibold disabled:opacity-45"
          >
            {room <= 0 ? m.copy_picturesFull() : m.copy_addPicture()}
          </button>
        </>
      )}
    </div>
  );
}
