import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import * as m from '#messages';
import { Beside } from '../../ui/Beside';
import type { Edit, Student } from './useStudentActions';

/** The rarer things about one student. */
export function StudentMore({
  student,
  at,
  onEdit,
  onFree,
  onNewPass,
  onRemove,
  onClose,
}: {
  student: Student;
  at: DOMRect;
  onEdit: (edit: Edit) => void;
  onFree: () => void;
  onNewPass: () => void;
  onRemove: () => void;
  onClose: () => void;
}) {
  const [schoolId, setSchoolId] = useState(student.schoolId ?? '');
  const [email, setEmail] = useState(student.email ?? '');
  const seatable = student.seatable !== false;
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
      <div className="mt-3 flex flex-col items-start gap-1 border-t border-line pt-2">
        {student.guest === true && (
          <>
            <Button look="quiet" onClick={act(() => onEdit({ id: student.id, guest: false }))}>
              {m.roster_keepGuest()}
            </Button>
            <p className="px-2 text-xs text-soft">{m.roster_keepGuestHint()}</p>
          </>
        )}
        <Button look="quiet" onClick={act(() => onEdit({ id: student.id, seatable: !seatable }))}>
          {seatable ? m.roster_seatable() : m.roster_seatableOn()}
        </Button>
        <p className="px-2 text-xs text-soft">{m.roster_seatableHint()}</p>
        {student.claimed && (
          <Button look="quiet" aria-label={m.roster_freeOf({ name: student.name })} onClick={act(onFree)}>
            {m.roster_free()}
          </Button>
        )}
        <Button look="quiet" aria-label={m.roster_newPassOf({ name: student.name })} onClick={act(onNewPass)}>
          {m.roster_newPass()}
        </Button>
        <Button look="quiet" aria-label={m.roster_removeOf({ name: student.name })} onClick={act(onRemove)}>
          {m.roster_remove()}
        </Button>
      </div>
    </Beside>
  );
}
