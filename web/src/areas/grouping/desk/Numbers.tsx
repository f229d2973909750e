// The sheet of seat numbers, on the desk.
import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Field } from '../../../ui/fields/Field';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import type { Desk } from './useDesk';

interface TaskLine {
  numbers: string;
  task: string;
}

const numbersIn = (text: string) =>
  text
    .split(/[^0-9]+/)
    .filter((one) => one !== '')
    .map(Number)
    .filter((one) => one >= 1 && one <= 40);

/** What is written on the sheet, and what is kept of it. */
function useNumbers(desk: Desk) {
  const [roles, setRoles] = useState<Record<number, string>>(() =>
    Object.fromEntries((desk.numbers.roles ?? []).map((role) => [role.number, role.role])),
  );
  const [tasks, setTasks] = useState<TaskLine[]>(() => [
    ...(desk.numbers.tasks ?? []).map((task) => ({ numbers: task.numbers.join(', '), task: task.task })),
    { numbers: '', task: '' },
  ]);
  const [names, setNames] = useState(desk.groupNames.join('\n'));
  const now = (): Schema['SetGrouping'] => ({
    numbers: {
      roles: Object.entries(roles)
        .filter(([, role]) => role.trim() !== '')
        .map(([number, role]) => ({ number: Number(number), role: role.trim() })),
      tasks: tasks
        .filter((task) => task.task.trim() !== '' && numbersIn(task.numbers).length > 0)
        .map((task) => ({ numbers: numbersIn(task.numbers), task: task.task.trim() })),
    },
    groupNames: names
      .split('\n')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
  });
  const [before] = useState(() => JSON.stringify(now()));
  return {
    roles,
    setRole: (number: number, role: string) => setRoles({ ...roles, [number]: role }),
    tasks,
    addTask: () => setTasks([...tasks, { numbers: '', task: '' }]),
    changeTask: (i: number, part: Partial<TaskLine>) =>
      setTasks(tasks.map((task, at) => (at === i ? { ...task, ...part } : task))),
    names,
    setNames,
    /** What has changed; null: nothing has. */
    changed: () => (JSON.stringify(now()) === before ? null : now()),
  };
}

type Written = ReturnType<typeof useNumbers>;

/** @param props.most the highest number there is */
function Roles({ written: { roles, setRole }, most }: { written: Written; most: number }) {
  return (
    <div className="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
      {Array.from({ length: most }, (_, i) => i + 1).map((number) => (
        <Field
          key={number}
          label={m.desk_roleOf({ n: number })}
          value={roles[number] ?? ''}
          maxLength={40}
          onChange={(event) => setRole(number, event.target.value)}
        />
      ))}
    </div>
  );
}

function Tasks({ written: { tasks, addTask, changeTask } }: { written: Written }) {
  return (
    <div className="mt-4 space-y-2">
      {tasks.map((task, i) => (
        <div key={i} className="grid grid-cols-[7rem_minmax(0,1fr)] gap-3">
          <Field
            label={m.desk_taskNumbers()}
            placeholder={m.desk_taskNumbersHint()}
            value={task.numbers}
            onChange={(event) => changeTask(i, { numbers: event.target.value })}
          />
          <Field
            label={m.desk_task()}
            maxLength={200}
            value={task.task}
            onChange={(event) => changeTask(i, { task: event.target.value })}
          />
        </div>
      ))}
      <Button look="quiet" onClick={addTask}>
        {m.desk_addTask()}
      </Button>
    </div>
  );
}

/** What the numbers of the seats carry: roles, tasks; and what the groups are called. */
export function Numbers({
  desk,
  open,
  onClose,
  onSet,
  onHandOut,
}: {
  desk: Desk;
  open: boolean;
  onClose: () => void;
  onSet: (change: Schema['SetGrouping']) => void;
  onHandOut: () => void;
}) {
  const written = useNumbers(desk);
  const largest = Math.min(8, Math.max(4, ...desk.floor.groups.map((group) => group.students.length)));
  /** However the sheet is closed, what was written is kept. */
  const close = () => {
    const change = written.changed();
    if (change !== null) onSet(change);
    onClose();
  };
  const handOut = () => {
    onHandOut();
    close();
  };
  return (
    <Sheet open={open} onClose={close} title={m.desk_numbers()} wide>
      <p className="text-sm text-soft">{m.desk_numbersLead()}</p>
      <Roles written={written} most={largest} />
      <Tasks written={written} />
      <label className="mt-4 block text-sm font-semibold">
        {m.desk_groupNames()}
        <textarea
          rows={4}
          value={written.names}
          onChange={(event) => written.setNames(event.target.value)}
          className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5 font-normal"
        />
        <span className="font-normal text-soft">{m.desk_groupNamesHint()}</span>
      </label>
      <div className="mt-5 flex flex-wrap items-center gap-4">
        <Button look="main" onClick={close}>
          {m.common_save()}
        </Button>
        {(desk.numbers.roles ?? []).length > 0 && (
          <span className="text-sm">
            <Button onClick={handOut}>{m.desk_handOut()}</Button>{' '}
            <span className="text-soft">{m.desk_handOutHint()}</span>
          </span>
        )}
      </div>
    </Sheet>
  );
}
