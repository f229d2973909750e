// What is rarely needed of a student on the class list.
import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import * as m from '#messages';
import { Beside } from '../../../ui/slips/Beside';
import type { Edit, Student } from './useStudentActions';

interface About {
  student: Student;
  onEdit: (edit: Edit) => void;
  onFree: () => void;
  onNewPass: () => void;
  onRemove: () => void;
}

/** What is rarely done with a student. */
function Presses({
  student,
  onEdit,
  onFree,
  onNewPass,
  onRemove,
  act,
}: About & { act: (what: () => void) => () => void }) {
  const { id, name } = student;
  const seatable = student.seatable !== false;
  return (
    <div className="mt-3 flex flex-col items-start gap-1 border-t border-line pt-2">
      {student.guest === true && (
        <>
          <Button look="quiet" onClick={act(() => onEdit({ id, guest: false }))}>
            {m.roster_keepGuest()}
          </Button>
          <p className="px-2 text-xs text-soft">{m.roster_keepGuestHint()}</p>
        </>
      )}
      <Button look="quiet" onClick={act(() => onEdit({ id, seatable: !seatable }))}>
        {seatable ? m.roster_seatable() : m.roster_seatableOn()}
      </Button>
      <p className="px-2 text-xs text-soft">{m.roster_seatableHint()}</p>
      {student.claimed && (
        <Button look="quiet" aria-label={m.roster_freeOf({ name })} onClick={act(onFree)}>
          {m.roster_free()}
        </Button>
      )}
      <Button look="quiet" aria-label={m.roster_newPassOf({ name })} onClick={act(onNewPass)}>
        {m.roster_newPass()}
      </Button>
      <Button look="quiet" aria-label={m.roster_removeOf({ name })} onClick={act(onRemove)}>
        {m.roster_remove()}
      </Button>
    </div>
  );
}

/** The rarer things about one student. */
export function StudentMore({ at, onClose, ...about }: About & { at: DOMRect; onClose: () => void }) {
  const { student, onEdit } = about;
  const [schoolId, setSchoolId] = useState(student.schoolId ?? '');
  const [email, setEmail] = useState(student.email ?? '');
  const act = (what: () => void) => () => {
    what();
    onClose();
  };
  const save = act(() => {
    const edit = {
      ...(schoolId.trim() !== (student.schoolId ?? '') && { schoolId }),
      ...(email.trim() !== (student.email ?? '') && { email }),
    };
    if (Object.keys(edit).length > 0) onEdit({ id: student.id, ...edit });
  });
  return (
    <Beside at={at} title={student.name} onClose={onClose} onLeave={save}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Field
          label={m.roster_schoolId()}
          value={schoolId}
          maxLength={120}
          onChange={(event) => setSchoolId(event.target.value)}
        />
        <Field
          label={m.roster_email()}
          className="mt-3"
          type="email"
          value={email}
          maxLength={180}
          onChange={(event) => setEmail(event.target.value)}
        />
        <Button type="submit" className="mt-2">
          {m.common_save()}
        </Button>
      </form>
      <Presses {...about} act={act} />
    </Beside>
  );
}
