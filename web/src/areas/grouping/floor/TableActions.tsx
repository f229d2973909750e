import { useState, type ReactNode } from 'react';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import * as m from '#messages';
import { Action, ActionSection } from '../../../ui/slips/Actions';
import { Beside } from '../../../ui/slips/Beside';
import type { Edit } from './floorMoves';
import type { Group } from './Table';

/** What can be done with a group: visit it, tell it something, change it. */
export function TableActions({
  group,
  at,
  onEdit,
  more,
  actions,
  onClose,
}: {
  group: Group;
  at: DOMRect;
  onEdit: (edit: Edit) => void;
  /** What can be done while groups are at work: sections. */
  more?: ReactNode;
  /** What else can be done with the group itself: actions. */
  actions?: ReactNode;
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
      <ActionSection title={m.floor_groupSection()}>
        {actions}
        <Action
          onPress={() => {
            onEdit({ kind: 'removeTable', group: group.id });
            onClose();
          }}
        >
          {m.floor_removeTable()}
        </Action>
        <form
          className="mt-2 flex items-end gap-2 px-2"
          onSubmit={(event) => {
            event.preventDefault();
            save();
          }}
        >
          <div className="min-w-0 flex-1">
            <Field
              label={m.floor_groupName()}
              value={name}
              maxLength={60}
              onChange={(event) => setName(event.target.value)}
            />
          </div>
          <Button type="submit" className="py-2">
            {m.common_save()}
          </Button>
        </form>
      </ActionSection>
    </Beside>
  );
}
