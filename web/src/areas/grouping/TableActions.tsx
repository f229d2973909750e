import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import * as m from '#messages';
import { Beside } from '../../ui/Beside';
import type { Edit } from './floorMoves';
import type { Group } from './Table';

/** What can be done with a table: another name, or away with it. */
export function TableActions({
  group,
  at,
  onEdit,
  more,
  onClose,
}: {
  group: Group;
  at: DOMRect;
  onEdit: (edit: Edit) => void;
  /** What else can be done with it just now. */
  more?: ReactNode;
  onClose: () => void;
}) {
  const [name, setName] = useState(group.name);
  const save = () => {
    if (name.trim() !== group.name) onEdit({ kind: 'rename', group: group.id, name });
    onClose();
  };
  return (
    <Beside at={at} title={group.name} onClose={onClose} onLeave={name.trim() === '' ? onClose : save}>
      {more}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Field
          label={m.floor_groupName()}
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
        />
        <div className="mt-3 flex items-center justify-between gap-2">
          <Button type="submit">{m.common_save()}</Button>
          <Button
            look="quiet"
            onClick={() => {
              onEdit({ kind: 'removeTable', group: group.id });
              onClose();
            }}
          >
            {m.floor_removeTable()}
          </Button>
        </div>
      </form>
    </Beside>
  );
}
