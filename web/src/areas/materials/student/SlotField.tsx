// A place to write text in, alone or with others.
import { useId, useLayoutEffect, useRef, type ChangeEvent, type SyntheticEvent } from 'react';
import * as m from '#messages';
import { list } from '../../../words/list';
import { Carets, useCarets } from './Carets';
import { isFree, keptApart, movedCaret } from './caret';
import type { SlotSync } from './slotSync';
import { useSlot, type SlotOf } from './useSlot';

interface SlotFieldProps extends SlotOf {
  label: string;
  writing: string[];
  /** Who is reading here, and who else can be writing in the same place. */
  me: string;
  mates: { id: string; name: string }[];
  now: number;
}

/** Letters that are still being put together from several keys are left to the keyboard. */
const isComposing = (event: Event) => event instanceof InputEvent && event.isComposing;

const stateText = {
  saved: m.student_copy_saved,
  saving: m.student_copy_saving,
  waiting: m.student_copy_waiting,
  full: m.student_copy_full,
  refused: m.student_copy_refused,
};

/** Whether what stands there is saved, and who else is at it. */
export function SlotNote({ sync, writing }: { sync: SlotSync; writing: string[] }) {
  return (
    <p className="flex min-h-6 flex-wrap justify-between gap-2 text-sm text-soft">
      <span
        role="status"
        className={sync.state !== 'saved' && sync.state !== 'saving' ? 'bg-wash px-1 font-semibold text-ink' : ''}
      >
        {sync.text === '' && sync.state === 'saved' ? '' : stateText[sync.state]()}
      </span>
      {writing.length > 0 && (
        <span className="font-semibold text-ink">
          {m.student_copy_writing({ n: writing.length, names: list(writing) })}
        </span>
      )}
    </p>
  );
}

/** The caret: it moves with what others write before it, and the box grows with the text. */
function useCaret(sync: ReturnType<typeof useSlot>) {
  const { text } = sync;
  const box = useRef<HTMLTextAreaElement>(null);
  const shown = useRef(text);
  const caret = useRef(0);
  const closedIn = useRef(false);

  useLayoutEffect(() => {
    const area = box.current;
    if (area === null) return;
    if (text !== shown.current && document.activeElement === area) {
      const to = movedCaret(shown.current, text, caret.current);
      closedIn.current = !isFree(text, to) && (closedIn.current || isFree(shown.current, caret.current));
      area.setSelectionRange(to, to);
      caret.current = to;
    }
    shown.current = text;
    area.style.height = 'auto';
    area.style.height = `${area.scrollHeight + 4}px`;
  });

  return {
    box,
    onChange: (event: ChangeEvent<HTMLTextAreaElement>) => {
      const { value, selectionStart } = event.target;
      const typed =
        closedIn.current && !isComposing(event.nativeEvent) && value.length > text.length
          ? keptApart(value, caret.current, selectionStart)
          : { text: value, caret: selectionStart };
      closedIn.current = false;
      shown.current = value;
      caret.current = selectionStart;
      sync.type(typed.text, typed.caret, text);
    },
    onSelect: (event: SyntheticEvent<HTMLTextAreaElement>) => {
      const { selectionStart } = event.currentTarget;
      if (selectionStart !== caret.current) closedIn.current = false;
      caret.current = selectionStart;
    },
  };
}

/** A place to write in. It is saved as it is typed, and says so. */
export function SlotField(props: SlotFieldProps) {
  const sync = useSlot(props);
  const { text } = sync;
  const carets = useCarets(props.answer, props.me);
  const id = useId();
  const { box, onChange, onSelect } = useCaret(sync);
  return (
    <div>
      <label htmlFor={id} className="text-sm font-semibold">
        {props.label}
      </label>
      <div className="relative mt-1">
        <textarea
          id={id}
          ref={box}
          rows={3}
          maxLength={20_000}
          value={text}
          onChange={onChange}
          onSelect={onSelect}
          className="block w-full resize-none overflow-hidden border-2 border-ink bg-sheet px-3 py-2 text-lg leading-relaxed"
        />
        <Carets
          carets={carets}
          text={sync.text}
          now={props.now}
          nameOf={(author) => props.mates.find((mate) => mate.id === author)?.name}
        />
      </div>
      <SlotNote sync={sync} writing={props.writing} />
    </div>
  );
}
