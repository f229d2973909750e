// Who must or would like to be with whom.
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { ChooseStudent } from '../../ui/fields/ChooseStudent';
import { Choice } from '../../ui/fields/Choice';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/page/messages';
import * as m from '#messages';
import { list } from '../../words/list';

type Rule = Schema['RuleView'];

/** A must or a wish in words: “Ada and Ben apart”, “Ada would like to be with Ben”. */
export function ruleText(rule: Pick<Rule, 'kind' | 'students'>, nameOf: (id: string) => string): string {
  if (rule.kind === 'wish') {
    const [who = '', ...others] = rule.students.map(nameOf);
    return m.desk_wishText({ who, others: list(others, 'or') });
  }
  return m.desk_ruleText({ names: list(rule.students.map(nameOf)), kind: m.desk_ruleKinds({ key: rule.kind }) });
}

/** Lifts a must, with Undo. */
export function useLift(classId: string, nameOf: (id: string) => string, done: () => unknown) {
  const { say, fail } = useMessages();
  const add = useMutation({
    mutationFn: (body: Schema['MakeRule']) =>
      take(api.POST('/api/staff/classes/{id}/rules', { params: { path: { id: classId } }, body })),
    onSuccess: ({ warning }) => {
      if (warning !== '') say(warning);
    },
    onSettled: done,
    onError: fail,
  });
  const lift = useMutation({
    mutationFn: (rule: Rule) => {
      const path = { params: { path: { id: rule.id } } };
      return take(
        rule.kind === 'wish' // its id is that of the student who has it
          ? api.DELETE('/api/staff/students/{id}/wishes', path)
          : api.DELETE('/api/staff/rules/{id}', path),
      );
    },
    onSuccess: (_, rule) =>
      say(m.desk_lifted({ rule: ruleText(rule, nameOf) }), () =>
        add.mutate({ kind: rule.kind, students: rule.students }),
      ),
    onSettled: done,
    onError: fail,
  });
  return { add, lift };
}

function AddRule({
  students,
  busy,
  onAdd,
}: {
  students: { id: string; name: string }[];
  busy: boolean;
  onAdd: (rule: Schema['MakeRule']) => void;
}) {
  const [kind, setKind] = useState<Rule['kind']>('apart');
  const [chosen, setChosen] = useState<string[]>(['', '']);
  const ids = chosen.filter((id) => id !== '');
  return (
    <form
      className="mt-2 border-t border-line pt-2 text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        onAdd({ kind, students: ids });
        setChosen(['', '']);
      }}
    >
      <div className="space-y-1">
        {chosen.map((value, i) => (
          <ChooseStudent
            key={i}
            label={m.desk_ruleStudent({ n: i + 1 })}
            students={students.filter((student) => student.id === value || !chosen.includes(student.id))}
            chosen={value === '' ? null : value}
            onChoose={(id) => setChosen(chosen.map((one, at) => (at === i ? (id ?? '') : one)))}
          />
        ))}
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <Choice
          hidden
          label={m.desk_ruleKind()}
          value={kind}
          options={[
            { value: 'apart', label: m.desk_apart() },
            { value: 'together', label: m.desk_together() },
            { value: 'wish', label: m.desk_wish() },
          ]}
          onChange={(one: Rule['kind']) => setKind(one)}
        />
        <Button type="submit" disabled={ids.length < 2} busy={busy}>
          {m.desk_ruleAdd()}
        </Button>
        <Button look="quiet" onClick={() => setChosen([...chosen, ''])}>
          {m.desk_ruleMore()}
        </Button>
      </div>
    </form>
  );
}

/** Who must be apart, who must be together, and who would like to be with whom. */
export function RuleList({
  classId,
  rules,
  students,
  broken = [],
  onChange,
  onAdded,
}: {
  classId: string;
  rules: Rule[];
  students: { id: string; name: string }[];
  /** Ids of rules the floor breaks. */
  broken?: string[];
  onChange: () => unknown;
  /** A rule has come to the class. */
  onAdded?: (kind: Rule['kind']) => void;
}) {
  const names = new Map(students.map((student) => [student.id, student.name]));
  const nameOf = (id: string) => names.get(id) ?? '';
  const { add, lift } = useLift(classId, nameOf, onChange);
  return (
    <section aria-label={m.desk_rules()}>
      <h2 className="text-lg font-semibold">{m.desk_rules()}</h2>
      <p className="text-sm text-soft">{m.desk_rulesLead()}</p>
      <ul className="mt-2">
        {rules.length === 0 && <li className="text-sm text-soft">{m.desk_rulesNone()}</li>}
        {rules.map((rule) => (
          <li key={rule.id} className="flex items-baseline gap-2 border-b border-line py-1 text-sm last:border-0">
            <span className="min-w-0 flex-1 wrap-anywhere">
              {rule.kind === 'wish' ? (
                <em>{ruleText(rule, nameOf)}</em>
              ) : (
                <>
                  {list(rule.students.map(nameOf))} <strong>{m.desk_ruleKinds({ key: rule.kind })}</strong>
                </>
              )}
              {broken.includes(rule.id) && (
                <span className="ms-2 bg-lost-wash px-1 text-xs text-lost">{m.desk_broken()}</span>
              )}
            </span>
            <Button
              look="quiet"
              aria-label={m.desk_liftOf({ rule: ruleText(rule, nameOf) })}
              onClick={() => lift.mutate(rule)}
            >
              {m.desk_lift()}
            </Button>
          </li>
        ))}
      </ul>
      <AddRule
        students={students}
        busy={add.isPending}
        onAdd={(rule) => add.mutate(rule, { onSuccess: () => onAdded?.(rule.kind) })}
      />
    </section>
  );
}
