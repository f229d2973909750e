// The picture or the recording of a block.
import { useContext, useEffect, useRef, useState } from 'react';
import { api, longFetch, take } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { base64, smallEnough } from '../bytes';
import { MediaContext } from '../media';
import { canRecord, useRecorder } from './useRecorder';

type MediaKind = 'picture' | 'spokenNote';

/** Keeps a picture or a recording; what was typed meanwhile stays. */
function useKeep(kind: MediaKind, onChange: (media: string) => void) {
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
  });
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const keep = async (bytes: Blob) => {
    setBusy(true);
    setTrouble('');
    try {
      const content = await base64(kind === 'picture' ? await smallEnough(bytes) : bytes);
      const kept = await take(api.POST('/api/staff/media', { body: { content }, fetch: longFetch }));
      latest.current(kept.id);
    } catch (error) {
      setTrouble(problemText(error));
    } finally {
      setBusy(false);
    }
  };
  return { keep, busy, trouble, setTrouble };
}

function Shown({ kind, media }: { kind: MediaKind; media: string }) {
  const place = useContext(MediaContext);
  if (media === '') return null;
  if (kind === 'picture') return <img src={place.at(media)} alt="" className="mb-2 max-h-48" />;
  // eslint-disable-next-line jsx-a11y/media-has-caption -- it is the teacher's own voice
  return <audio controls preload="metadata" src={place.at(media)} className="mb-2 w-full" />;
}

/** Chooses a file of the device. */
function ChooseFile({
  kind,
  media,
  busy,
  disabled,
  onFile,
}: {
  kind: MediaKind;
  media: string;
  busy: boolean;
  disabled: boolean;
  onFile: (files: FileList | null) => void;
}) {
  const file = useRef<HTMLInputElement>(null);
  const isPicture = kind === 'picture';
  return (
    <>
      <input
        ref={file}
        type="file"
        className="sr-only"
        tabIndex={-1}
        accept={isPicture ? 'image/png,image/jpeg,image/webp' : 'audio/*,video/webm'}
        aria-label={isPicture ? m.edit_choosePicture() : m.edit_chooseSound()}
        onChange={(event) => {
          onFile(event.target.files);
          event.target.value = '';
        }}
      />
      <Button
        look={isPicture ? 'plain' : 'quiet'}
        busy={busy}
        disabled={disabled}
        onClick={() => file.current?.click()}
      >
        {isPicture ? (media === '' ? m.edit_choosePicture() : m.edit_anotherPicture()) : m.edit_chooseSound()}
      </Button>
    </>
  );
}

/** Records what is spoken, and stops. */
function Record({ media, busy, recorder }: { media: string; busy: boolean; recorder: ReturnType<typeof useRecorder> }) {
  const { seconds } = recorder;
  return (
    <Button busy={busy} onClick={() => (seconds === null ? void recorder.start() : recorder.stop())}>
      {seconds !== null ? m.edit_stopRecording({ seconds }) : media === '' ? m.edit_record() : m.edit_recordAgain()}
    </Button>
  );
}

/** The picture or the recording of a block: chosen, pasted, dropped, or spoken here. */
export function MediaEditor({
  kind,
  media,
  onChange,
}: {
  kind: MediaKind;
  media: string;
  onChange: (media: string) => void;
}) {
  const [over, setOver] = useState(false);
  const { keep, busy, trouble, setTrouble } = useKeep(kind, onChange);
  const recorder = useRecorder(
    (sound) => void keep(sound),
    () => setTrouble(m.edit_noMicrophone()),
  );
  const isRecording = recorder.seconds !== null;
  const first = (files: FileList | null) => {
    const one = files?.[0];
    if (one !== undefined) void keep(one);
  };
  const hint = isRecording ? m.edit_recording() : kind === 'picture' ? m.edit_pictureHint() : '';
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
      <Shown kind={kind} media={media} />
      <div className="flex flex-wrap items-center gap-2 text-sm">
        {kind === 'spokenNote' && canRecord() && <Record media={media} busy={busy} recorder={recorder} />}
        <ChooseFile kind={kind} media={media} busy={busy} disabled={isRecording} onFile={first} />
        <span role="status" className="text-soft">
          {busy ? m.edit_keeping() : hint}
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
