import { useContext, useEffect, useId, useRef, useState } from 'react';
import { problemText } from '../../../api/problem';
import { copy as words } from '../../../words/copy';
import { base64, smallEnough } from '../bytes';
import { freshId } from '../blocks';
import { MediaContext } from '../media';
import { between, things, without, written, type OwnPicture } from '../things';
import type { FillProps } from './FillProps';

const most = 12;

/** Photos and drawings of the students' own, each with what is written under it. */
export default function OwnPictures({ value, onChange }: FillProps) {
  const media = useContext(MediaContext);
  const id = useId();
  const file = useRef<HTMLInputElement>(null);
  const latest = useRef(value);
  const change = useRef(onChange);
  useEffect(() => {
    latest.current = value;
    change.current = onChange;
  });
  const [keeping, setKeeping] = useState(0);
  const [trouble, setTrouble] = useState('');
  const held = things<OwnPicture>(value);
  const pictures = Object.entries(held).sort(([, a], [, b]) => a.place - b.place);
  const { put } = media;

  const add = async (files: File[]) => {
    if (put === undefined || onChange === null) return;
    setTrouble('');
    for (const one of files.slice(0, most - pictures.length)) {
      setKeeping((n) => n + 1);
      try {
        const kept = await put(await base64(await smallEnough(one)));
        const now = things<OwnPicture>(latest.current); // others may have put in theirs meanwhile
        const last = Math.max(0, ...Object.values(now).map((other) => other.place));
        latest.current = written({ ...now, [freshId('p')]: { media: kept.id, place: last + 1 } });
        change.current?.(latest.current);
      } catch (error) {
        setTrouble(problemText(error));
      } finally {
        setKeeping((n) => n - 1);
      }
    }
  };
  const set = (key: string, picture: OwnPicture) => onChange?.(written({ ...held, [key]: picture }));
  const earlier = (i: number) => {
    const [key, picture] = pictures[i] ?? [];
    if (key === undefined || picture === undefined) return;
    set(key, { ...picture, place: between(pictures[i - 2]?.[1].place, pictures[i - 1]?.[1].place) });
  };

  return (
    <div>
      {pictures.length === 0 && keeping === 0 && <p className="text-soft">{words.noPictures}</p>}
      <ul className="space-y-5">
        {pictures.map(([key, picture], i) => (
          <li key={key}>
            <img
              src={media.at(picture.media)}
              alt={picture.caption ?? words.pictureNth(i + 1)}
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
                  placeholder={words.caption}
                  aria-label={`${words.pictureNth(i + 1)}: ${words.caption}`}
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
                      aria-label={words.pictureEarlier(i + 1)}
                      onClick={() => earlier(i)}
                    >
                      {words.pictureLeft}
                    </button>
                  )}
                  <button
                    type="button"
                    className="min-h-11 px-2 underline"
                    aria-label={words.takePictureAway(i + 1)}
                    onClick={() => onChange(written(without(held, key)))}
                  >
                    {words.takeAway}
                  </button>
                </p>
              </>
            )}
          </li>
        ))}
      </ul>
      <p role="status" className="min-h-6 text-sm text-soft">
        {keeping > 0 ? words.pictureKeeping : ''}
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
            aria-label={words.addPicture}
            onChange={(event) => {
              const files = [...(event.target.files ?? [])];
              event.target.value = '';
              void add(files);
            }}
          />
          <button
            type="button"
            disabled={pictures.length >= most}
            onClick={() => file.current?.click()}
            className="min-h-12 border-2 border-ink bg-sheet px-4 py-2 font-semibold disabled:opacity-45"
          >
            {pictures.length >= most ? words.picturesFull : words.addPicture}
          </button>
        </>
      )}
    </div>
  );
}
