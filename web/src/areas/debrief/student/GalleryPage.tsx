// The gallery on a student's page: the work of all groups, to be read.
import { Suspense, useCallback, useEffect, useState } from 'react';
import { api, take, whole, type Schema, type Whole } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { Shown } from '../shown/Shown';

type Gallery = Schema['GalleryView'];
type Copy = Gallery['copies'][number];
type Piece = Whole<Schema['GalleryPiece']>;

/** A short remark of one's own. */
function Remark({ copy, piece, onPiece }: { copy: Copy; piece: Piece; onPiece: (piece: Piece) => void }) {
  const [text, setText] = useState(piece.remark);
  const [failure, setFailure] = useState('');
  return (
    <form
      className="mt-6 border-t-2 border-ink pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        take(api.PUT('/api/student/gallery/{id}/remark', { params: { path: { id: copy.id } }, body: { text } })).then(
          (fresh) => {
            setFailure('');
            setText(fresh.remark);
            onPiece(whole(fresh));
          },
          (problem: unknown) => setFailure(problemText(problem)),
        );
      }}
    >
      <label className="block font-semibold">
        {m.student_gallery_remark()}
        <input
          value={text}
          maxLength={140}
          onChange={(event) => setText(event.target.value)}
          className="mt-1 block w-full border-2 border-ink bg-sheet px-3 py-2 font-normal"
        />
      </label>
      <p className="mt-2 flex items-center gap-3">
        <Button type="submit" disabled={text.trim() === piece.remark}>
          {text.trim() === '' && piece.remark !== '' ? m.student_gallery_takeBack() : m.student_gallery_send()}
        </Button>
        <span role="status" className="text-soft">
          {failure !== '' ? (
            <span className="font-semibold text-lost">{failure}</span>
          ) : (
            piece.remark !== '' && piece.remark === text.trim() && m.student_gallery_sent()
          )}
        </span>
      </p>
    </form>
  );
}

/** One piece of work, with what others say of it where it is one's own. */
function PieceView({ copy, remarks, onBack }: { copy: Copy; remarks: boolean; onBack: () => void }) {
  const [piece, setPiece] = useState<Piece | null>(null);
  useEffect(() => {
    take(api.GET('/api/student/gallery/{id}', { params: { path: { id: copy.id } } })).then(
      (fresh) => setPiece(whole(fresh)),
      onBack, // it was closed
    );
  }, [copy.id, onBack]);
  return (
    <>
      <Button look="quiet" className="-ms-2 mb-3" onClick={onBack}>
        {m.student_gallery_all()}
      </Button>
      {piece !== null && (
        <Suspense>
          <Shown
            shown={{ by: '', frozen: false, pieces: [piece.work] }}
            mediaAt={(id) => `/api/student/gallery/${copy.id}/media/${id}`}
            heading="h1"
          />
          {copy.mine && piece.remarks.length > 0 && (
            <ul aria-label={m.student_gallery_remarks()} className="mt-6 space-y-2 border-t-2 border-ink pt-3">
              {piece.remarks.map((remark) => (
                <li key={remark.id} className="border-s-4 border-ink bg-sheet px-3 py-2 wrap-anywhere">
                  <b>{remark.name}</b> {remark.text}
                </li>
              ))}
            </ul>
          )}
          {remarks && !copy.mine && <Remark copy={copy} piece={piece} onPiece={setPiece} />}
        </Suspense>
      )}
    </>
  );
}

export function GalleryPage({ onBack }: { onBack: () => void }) {
  const [gallery, setGallery] = useState<Gallery | null>(null);
  const [opened, setOpened] = useState<Copy | null>(null);
  useEffect(() => {
    take(api.GET('/api/student/gallery')).then(setGallery, onBack);
  }, [onBack]);
  const close = useCallback(() => setOpened(null), []);
  if (gallery === null) return <p className="text-soft">{m.student_loading()}</p>;
  if (opened !== null) return <PieceView copy={opened} remarks={gallery.remarks} onBack={close} />;
  return (
    <>
      <Button look="quiet" className="-ms-2 mb-3" onClick={onBack}>
        {m.student_debrief_away()}
      </Button>
      <h1 className="mb-4 text-3xl">{m.student_gallery_title()}</h1>
      {gallery.copies.length === 0 && <p className="text-soft">{m.student_gallery_empty()}</p>}
      <ul className="grid grid-cols-2 gap-3">
        {gallery.copies.map((copy) => {
          const colour = copy.mark === null ? 'var(--ink)' : markOf(copy.mark).colour;
          return (
            <li key={copy.id}>
              <button
                type="button"
                onClick={() => setOpened(copy)}
                className="flex min-h-24 w-full flex-col gap-1 border-2 bg-sheet p-3 text-start"
                style={{ borderColor: colour }}
              >
                {copy.mark !== null && <Sign mark={copy.mark} size={26} />}
                <span className="font-head text-lg leading-tight font-semibold wrap-anywhere">{copy.name}</span>
                <span className="text-sm text-soft wrap-anywhere">
                  {copy.title}
                  {copy.mine && ` · ${m.student_gallery_yours()}`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </>
  );
}
