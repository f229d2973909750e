import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { words } from '../../words';
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
          label={words.roster.schoolId}
          value={schoolId}
          maxLength={120}
          onChange={(event) => setSchoolId(event.target.value)}
        />
        <Field
          label={words.roster.email}
          className="mt-3"
          type="email"
          value={email}
          maxLength={180}
          onChange={(event) => setEmail(event.target.value)}
        />
        <Button type="submit" className="mt-2">
          {words.common.save}
        </Button>
      </form>
      <div className="mt-3 flex flex-col items-start gap-1 border-t border-line pt-2">
        {student.guest === true && (
          <>
            <Button look="quiet" onClick={act(() => onEdit({ id: student.id, guest: false }))}>
              {words.roster.keepGuest}
            </Button>
            <p className="px-2 text-xs text-soft">{words.roster.keepGuestHint}</p>
          </>
        )}
        <Button look="quiet" onClick={act(() => onEdit({ id: student.id, seatable: !seatable }))}>
          {seatable ? words.roster.seatable : words.roster.seatableOn}
        </Button>
        <p className="px-2 text-xs text-soft">{words.roster.seatableHint}</p>
        {student.claimed && (
          <Button look="quiet" aria-label={words.roster.freeOf(student.name)} onClick={act(onFree)}>
            {words.roster.free}
          </Button>
        )}
        <Button look="quiet" aria-label={words.roster.newPassOf(student.name)} onClick={act(onNewPass)}>
          {words.roster.newPass}
        </Button>
        <Button look="quiet" aria-label={words.roster.removeOf(student.name)} onClick={act(onRemove)}>
          {words.roster.remove}
        </Button>
      </div>
    </Beside>
  );
}
