// Question: pictures of their own.
import { useContext, useEffect, useRef } from 'react';
import * as m from '#messages';
import { base64, smallEnough } from '../../bytes';
import { MediaContext } from '../../media';
import { between, things, without, written, type OwnPicture } from '../../things';
import type { FillProps } from '../FillProps';
import { useWaitingPictures } from './useWaitingPictures';

const most = 12;

type Held = Record<string, OwnPicture>;
type Placed = [string, OwnPicture][];

/**
 * Puts pictures that have been kept into the answer, whatever others have put in meanwhile.
 *
 * @returns takes the picture's id and where it is kept
 */
function usePutIn(value: string, onChange: FillProps['onChange']) {
  const latest = useRef(things<OwnPicture>(value));
  /** Passed to `onChange` but not in `value` yet. The next change must include them, or they would be lost. */
  const onTheWay = useRef<Held>({});
  const change = useRef(onChange);
  useEffect(() => {
    change.current = onChange;
  });
  useEffect(() => {
    latest.current = things<OwnPicture>(value);
    onTheWay.current = Object.fromEntries(Object.entries(onTheWay.current).filter(([key]) => !(key in latest.current)));
  }, [value]);
  return (id: string, kept: string) => {
    const now = { ...latest.current, ...onTheWay.current };
    const last = Math.max(0, ...Object.values(now).map((other) => other.place));
    onTheWay.current[id] = { media: kept, place: last + 1 };
    change.current?.(written({ ...now, ...onTheWay.current }));
  };
}

/** What is written under a picture, and where it stands. */
function PictureEdit({
  picture,
  n,
  onCaption,
  onEarlier,
  onRemove,
}: {
  picture: OwnPicture;
  /** From 1. */
  n: number;
  onCaption: (caption: string) => void;
  onEarlier: (() => void) | null;
  onRemove: () => void;
}) {
  return (
    <>
      <textarea
        rows={1}
        maxLength={300}
        value={picture.caption ?? ''}
        placeholder={m.copy_caption()}
        aria-label={`${m.copy_pictureNth({ n })}: ${m.copy_caption()}`}
        onChange={(event) => onCaption(event.target.value)}
        className="mt-1 block field-sizing-content w-full resize-none border-2 border-ink bg-sheet px-3 py-2"
      />
      <p className="mt-1 flex gap-2 text-sm">
        {onEarlier !== null && (
          <button
            type="button"
            className="min-h-11 px-2 underline"
            aria-label={m.copy_pictureEarlier({ n })}
            onClick={onEarlier}
          >
            {m.copy_pictureLeft()}
          </button>
        )}
        <button
          type="button"
          className="min-h-11 px-2 underline"
          aria-label={m.copy_takePictureAway({ n })}
          onClick={onRemove}
        >
          {m.copy_takeAway()}
        </button>
      </p>
    </>
  );
}

function Pictures({ held, onChange }: { held: Held; onChange: FillProps['onChange'] }) {
  const media = useContext(MediaContext);
  const pictures: Placed = Object.entries(held).sort(([, a], [, b]) => a.place - b.place);
  const set = (key: string, picture: OwnPicture) => onChange?.(written({ ...held, [key]: picture }));
  const earlier = (i: number) => {
    const [key, picture] = pictures[i] ?? [];
    if (key === undefined || picture === undefined) return;
    set(key, { ...picture, place: between(pictures[i - 2]?.[1].place, pictures[i - 1]?.[1].place) });
  };
  return pictures.map(([key, picture], i) => (
    <li key={key}>
      <img
        src={media.at(picture.media)}
        alt={picture.caption ?? m.copy_pictureNth({ n: i + 1 })}
        className="max-h-96 max-w-full border border-line"
      />
      {onChange === null ? (
        <p className="mt-1 wrap-anywhere">{picture.caption}</p>
      ) : (
        <PictureEdit
          picture={picture}
          n={i + 1}
          onCaption={(caption) =>
            set(key, { media: picture.media, place: picture.place, ...(caption === '' ? {} : { caption }) })
          }
          onEarlier={i > 0 ? () => earlier(i) : null}
          onRemove={() => onChange(written(without(held, key)))}
        />
      )}
    </li>
  ));
}

/** Pictures that have not been kept yet. */
function Waiting({ pictures, isAway }: { pictures: { id: string; content: string }[]; isAway: boolean }) {
  const n = pictures.length;
  return (
    <p role="status" className={`my-2 min-h-6 text-sm ${isAway && n > 0 ? 'font-semibold' : 'text-soft'}`}>
      {n === 0 ? '' : isAway ? m.copy_picturesWait({ n }) : m.copy_pictureKeeping()}
    </p>
  );
}

/** @param props.room for so many more */
function AddPicture({ room, onFiles }: { room: number; onFiles: (files: File[]) => void }) {
  const file = useRef<HTMLInputElement>(null);
  return (
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
          onFiles(files.slice(0, room));
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
  );
}

/** Photos and drawings of the students' own, each with what is written under it. */
export default function OwnPictures({ block, value, onChange }: FillProps) {
  const { sheet, put } = useContext(MediaContext);
  const held = things<OwnPicture>(value);
  const putIn = usePutIn(value, onChange);
  const { waiting, isAway, trouble, add } = useWaitingPictures(
    `${sheet ?? ''}.${block.id}`,
    onChange === null ? undefined : put,
    (picture, kept) => putIn(picture.id, kept),
  );
  const count = Object.keys(held).length;
  return (
    <div>
      {count + waiting.length === 0 && <p className="text-soft">{m.copy_noPictures()}</p>}
      <ul className="space-y-5">
        <Pictures held={held} onChange={onChange} />
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
      <Waiting pictures={waiting} isAway={isAway} />
      {trouble !== '' && (
        <p role="alert" className="mb-2 font-semibold">
          {trouble}
        </p>
      )}
      {onChange !== null && put !== undefined && (
        <AddPicture
          room={most - count - waiting.length}
          onFiles={(files) => void add(files.map(async (one) => base64(await smallEnough(one))))}
        />
      )}
    </div>
  );
}
