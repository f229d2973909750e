// How the round goes: what to do, how long, and what happens by itself.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { useMessages } from '../../../ui/page/messages';
import { NumberField } from '../../../ui/fields/NumberField';
import { SavedText } from '../../../ui/fields/SavedText';
import * as m from '#messages';
import { segmentName } from '../../lesson/segmentName';
import { useOrder } from '../../lesson/useOrder';
import { Prepared } from './Prepared';

type Lesson = Schema['LessonView'];
type Save = (body: Schema['EditSegment']) => Promise<unknown>;

function Instructions({ lesson: { round }, save }: { lesson: Lesson; save: Save }) {
  const { fail } = useMessages();
  return (
    <div className="col-span-2">
      <SavedText
        key={round.id}
        label={m.next_instructions()}
        hint={m.next_instructionsHint()}
        value={round.instructions}
        maxLength={2000}
        onSave={(instructions) =>
          save({ instructions }).catch((problem: unknown) => {
            fail(problem);
            throw problem;
          })
        }
      />
    </div>
  );
}

function Times({ lesson: { round }, save }: { lesson: Lesson; save: Save }) {
  return (
    <>
      <NumberField
        key={`minutesOut${round.id}`}
        label={m.next_minutesOut()}
        value={round.minutes}
        min={1}
        max={600}
        onSave={(minutes) => save({ minutes })}
      />
      <NumberField
        key={`lookSeconds${round.id}`}
        label={m.next_lookSeconds()}
        value={round.lookSeconds}
        min={0}
        max={120}
        onSave={(lookSeconds) => save({ lookSeconds })}
      />
      <NumberField
        key={`backSeconds${round.id}`}
        label={m.next_backSeconds()}
        value={round.callBackSeconds}
        min={0}
        max={120}
        onSave={(callBackSeconds) => save({ callBackSeconds })}
      />
    </>
  );
}

function AutoCallBack({ lesson: { round }, save }: { lesson: Lesson; save: Save }) {
  const { fail } = useMessages();
  const [auto, setAuto] = useState<boolean | null>(null);
  return (
    <label className="col-span-2 flex items-center gap-2 text-sm">
      <input
        type="checkbox"
        className="size-4 accent-ink"
        checked={auto ?? round.autoCallBack}
        onChange={(event) => {
          setAuto(event.target.checked);
          save({ autoCallBack: event.target.checked })
            .catch(fail)
            .finally(() => setAuto(null));
        }}
      />
      {m.next_autoBack()}
    </label>
  );
}

export function RoundFields({ lesson }: { lesson: Lesson }) {
  const { round } = lesson;
  const control = useOrder(lesson.id, lesson.order);
  const save: Save = (body) => control.edit(round.segmentId, body);
  return (
    <details className="border-b border-line py-2">
      <summary className="min-h-6 font-semibold">
        {segmentName('round', round.number)}{' '}
        <span className="text-sm font-normal text-soft">
          {m.common_minutes({ n: round.minutes })}
          {round.autoCallBack && m.next_thenBack()}
        </span>
      </summary>
      <div className="mt-3 grid grid-cols-2 items-end gap-3">
        <Instructions lesson={lesson} save={save} />
        <Times lesson={lesson} save={save} />
        <AutoCallBack lesson={lesson} save={save} />
        <Prepared key={`prepared${round.id}`} lesson={lesson} />
      </div>
    </details>
  );
}
