// A group at work becomes two, or two become one.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import type { Edit } from '../../grouping/floor/floorMoves';

type Lesson = Schema['LessonView'];
type Group = Schema['GroupView'];

/** Who goes: a box beside each name. */
function WhoGoes({
  sitting,
  goes,
  onChange,
}: {
  sitting: Schema['SeatedStudent'][];
  goes: string[];
  onChange: (goes: string[]) => void;
}) {
  return (
    <fieldset>
      <legend>{m.round_splitLead()}</legend>
      <ul className="mt-3 border-y border-ink">
        {sitting.map((one) => (
          <li key={one.id} className="border-b border-line last:border-0">
            <label className="flex items-center gap-2 py-1.5">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={goes.includes(one.id)}
                onChange={(event) =>
                  onChange(event.target.checked ? [...goes, one.id] : goes.filter((id) => id !== one.id))
                }
              />
              <span className="min-w-0 wrap-anywhere">{one.name}</span>
            </label>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}

/** Some of a table go to a new one; the copy stays with whom the teacher says. */
export function SplitSheet({
  lesson,
  group,
  onEdit,
  onClose,
}: {
  lesson: Lesson;
  group: Group;
  onEdit: (edit: Edit) => void;
  onClose: () => void;
}) {
  const [goes, setGoes] = useState<string[]>([]);
  const [keeps, setKeeps] = useState<'stay' | 'go'>('stay');
  const sitting = lesson.students.filter((one) => group.students.includes(one.id));
  const stays = group.students.filter((id) => !goes.includes(id));
  const works = goes.length > 0 && stays.length > 0;
  return (
    <Sheet open onClose={onClose} title={m.round_splitTitle({ name: group.name })}>
      <WhoGoes sitting={sitting} goes={goes} onChange={setGoes} />
      <Choice
        label={m.round_splitKeep()}
        className="mt-4"
        value={keeps}
        options={[
          { value: 'stay', label: m.round_splitStay() },
          { value: 'go', label: m.round_splitGo() },
        ]}
        onChange={setKeeps}
      />
      <Button
        look="main"
        className="mt-5 w-full"
        disabled={!works}
        onClick={() => {
          // A table is its copy and its room: those who keep them stay at it.
          onEdit({ kind: 'split', group: group.id, students: keeps === 'stay' ? goes : stays });
          onClose();
        }}
      >
        {m.round_splitPress({ n: works ? goes.length : 0 })}
      </Button>
    </Sheet>
  );
}

/** Two groups become one, at the table whose copy they go on in. */
export function MergeSheet({
  lesson,
  group,
  onEdit,
  onClose,
}: {
  lesson: Lesson;
  group: Group;
  onEdit: (edit: Edit) => void;
  onClose: () => void;
}) {
  return (
    <Sheet open onClose={onClose} title={m.round_mergeTitle({ name: group.name })}>
      <p>{m.round_mergeLead()}</p>
      <ul className="mt-3 flex flex-col gap-2">
        {lesson.floor.groups
          .filter((one) => one.id !== group.id)
          .map((one) => (
            <li key={one.id}>
              <Button
                className="w-full text-start wrap-anywhere"
                onClick={() => {
                  onEdit({ kind: 'merge', group: group.id, into: one.id });
                  onClose();
                }}
              >
                {m.round_mergePress({ name: group.name, into: one.name })}
              </Button>
            </li>
          ))}
      </ul>
    </Sheet>
  );
}
