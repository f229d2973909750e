import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { words } from '../../words';
import { Beside } from '../../ui/Beside';
import type { Edit } from './floorMoves';
import type { Group } from './Table';

/** What can be done with a table: another name, or away with it. */
export function TableActions({
  group,
  at,
  onEdit,
  onClose,
}: {
  group: Group;
  at: DOMRect;
  onEdit: (edit: Edit) => void;
  onClose: () => void;
}) {
  const [name, setName] = useState(group.name);
  const save = () => {
    if (name.trim() !== group.name) onEdit({ kind: 'rename', group: group.id, name });
    onClose();
  };
  return (
    <Beside at={at} title={group.name} onClose={onClose} onLeave={name.trim() === '' ? onClose : save}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Field
          label={words.floor.groupName}
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
        />
        <div className="mt-3 flex items-center justify-between gap-2">
          <Button type="submit">{words.common.save}</Button>
          <Button
            look="quiet"
            onClick={() => {
              onEdit({ kind: 'removeTable', group: group.id });
              onClose();
            }}
          >
            {words.floor.removeTable}
          </Button>
        </div>
      </form>
    </Beside>
  );
}
