import { useContext, useEffect, useRef, useState } from 'react';
import { api, longFetch, take } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { base64, smallEnough } from '../bytes';
import { MediaContext } from '../media';
import { canRecord, useRecorder } from './useRecorder';

/** The picture or the recording of a block: chosen, pasted, dropped, or spoken here. */
export function MediaEditor({
  kind,
  media,
  onChange,
}: {
  kind: 'picture' | 'spokenNote';
  media: string;
  onChange: (media: string) => void;
}) {
  const place = useContext(MediaContext);
  const file = useRef<HTMLInputElement>(null);
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
  });
  const [busy, setBusy] = useState(false);
  const [over, setOver] = useState(false);
  const [trouble, setTrouble] = useState('');
  const keep = async (bytes: Blob) => {
    setBusy(true);
    setTrouble('');
    try {
      const content = await base64(kind === 'picture' ? await smallEnough(bytes) : bytes);
      const kept = await take(api.POST('/api/staff/media', { body: { content }, fetch: longFetch }));
      latest.current(kept.id); // what was typed meanwhile stays
    } catch (error) {
      setTrouble(problemText(error));
    } finally {
      setBusy(false);
    }
  };
  const recorder = useRecorder(
    (sound) => void keep(sound),
    () => setTrouble(m.edit_noMicrophone()),
  );
  const first = (files: FileList | undefined) => {
    const one = files?.[0];
    if (one !== undefined) void keep(one);
  };
  return (
    // What is pasted or dropped can be chosen by the button as well.
    // eslint-disable-next-line jsx-a11y/no-static-element-interactions
    <div
      className={`border border-dashed p-2 ${over ? 'border-ink bg-wash' : 'border-line'}`}
      onPaste={(event) => first(event.clipboardData.files)}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        first(event.dataTransfer.files);
      }}
    >
      {media !== '' && kind === 'picture' && <img src={place.at(media)} alt="" className="mb-2 max-h-48" />}
      {media !== '' && kind === 'spokenNote' && (
        // eslint-disable-next-line jsx-a11y/media-has-caption -- it is the teacher's own voice
        <audio controls preload="metadata" src={place.at(media)} className="mb-2 w-full" />
      )}
      <input
        ref={file}
        type="file"
        className="sr-only"
        tabIndex={-1}
        accept={kind === 'picture' ? 'image/png,image/jpeg,image/webp' : 'audio/*,video/webm'}
        aria-label={kind === 'picture' ? m.edit_choosePicture() : m.edit_chooseSound()}
        onChange={(event) => {
          first(event.target.files ?? undefined);
          event.target.value = '';
        }}
      />
      <div className="flex flex-wrap items-center gap-2 text-sm">
        {kind === 'spokenNote' && canRecord() && (
          <Button busy={busy} onClick={() => (recorder.seconds === null ? void recorder.start() : recorder.stop())}>
            {recorder.seconds !== null
              ? m.edit_stopRecording({ seconds: recorder.seconds })
              : media === ''
                ? m.edit_record()
                : m.edit_recordAgain()}
          </Button>
        )}
        <Button
          look={kind === 'picture' ? 'plain' : 'quiet'}
          busy={busy}
          disabled={recorder.seconds !== null}
          onClick={() => file.current?.click()}
        >
          {kind === 'spokenNote'
            ? m.edit_chooseSound()
            : media === ''
              ? m.edit_choosePicture()
              : m.edit_anotherPicture()}
        </Button>
        <span role="status" className="text-soft">
          {busy
            ? m.edit_keeping()
            : recorder.seconds !== null
              ? m.edit_recording()
              : kind === 'picture'
                ? m.edit_pictureHint()
                : ''}
        </span>
      </div>
      {trouble !== '' && (
        <p role="alert" className="mt-2 text-sm font-semibold">
          {trouble}
        </p>
      )}
    </div>
  );
}
