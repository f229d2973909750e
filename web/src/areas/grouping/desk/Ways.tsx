// Beside the floor on the desk: how groups are made.
import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { RuleList } from '../../roster/RuleList';
import { GoalList } from './goals/GoalList';
import { MethodPanel } from './MethodPanel';
import { SignUpPanel } from './SignUpPanel';
import { Uses } from './Uses';
import type { Desk, Settings } from './useDesk';
import { useKeeping } from './useKeeping';
import type { useProposal } from './proposal/useProposal';

/** About how many groups the settings make of so many students. */
function groupsOf(settings: Settings, present: number): number {
  if (settings.shape === 'groups') return settings.groups;
  return settings.shape === 'size' ? Math.max(1, Math.round(present / settings.size)) : settings.sizes.length;
}

/** Has groups made in the way that is chosen. */
function Go({
  method,
  present,
  groups,
  isNext,
  busy,
  onGo,
}: {
  method: Exclude<Settings['method'], 'signUp' | 'byHand'>;
  present: number;
  groups: number;
  isNext: boolean;
  busy: boolean;
  onGo: () => void;
}) {
  return (
    <Button look={isNext ? 'main' : 'plain'} className="w-full" busy={busy} disabled={present === 0} onClick={onGo}>
      {method === 'byTable' ? m.desk_goByTable() : m.desk_go({ key: method, n: present, g: groups })}
    </Button>
  );
}

/** Uses the grouping in a lesson, copies it, or puts it away. */
function Keeping({ desk }: { desk: Desk }) {
  const { copy, remove, plan } = useKeeping(desk);
  return (
    <div className="flex flex-wrap gap-2 border-t border-line pt-2 text-sm">
      {desk.lessonId === null && desk.floor.groups.length > 0 && (
        <Button onClick={() => plan.mutate()} busy={plan.isPending}>
          {m.desk_useInLesson()}
        </Button>
      )}
      <Button look="quiet" onClick={() => copy.mutate()} busy={copy.isPending}>
        {m.desk_copy()}
      </Button>
      {desk.lessonId === null && (
        <Button look="quiet" onClick={() => remove.mutate()} busy={remove.isPending}>
          {m.desk_remove()}
        </Button>
      )}
    </div>
  );
}

interface MethodProps {
  desk: Desk;
  settings: Settings;
  onSet: (change: Partial<Settings>) => void;
  busy: boolean;
  proposed: ReturnType<typeof useProposal>;
}

/** The way of grouping, and the press that has groups made in it. */
function Method({ desk, settings, onSet, busy, proposed }: MethodProps) {
  const present = desk.students.filter((student) => !student.absent).length;
  const { method } = settings;
  return (
    <section aria-label={m.desk_how()} className="flex flex-col gap-3">
      <MethodPanel settings={settings} onSet={onSet} />
      {method === 'signUp' && <SignUpPanel desk={desk} present={present} />}
      {method !== 'signUp' && method !== 'byHand' && (
        <Go
          method={method}
          present={present}
          groups={groupsOf(settings, present)}
          isNext={proposed.proposal === null}
          busy={proposed.search.looking || busy}
          onGo={proposed.start}
        />
      )}
    </section>
  );
}

/** Beside the floor: the way of grouping, goals and musts. */
export function Ways({
  desk,
  settings,
  onSet,
  busy,
  proposed,
  onRules,
  onMust,
}: MethodProps & {
  onRules: () => void;
  /** A rule has been added. */
  onMust: () => void;
}) {
  const { proposal } = proposed;
  const standings = proposal !== null && proposal.rounds.length > 0 ? proposal.goals : desk.standings.goals;
  return (
    <aside
      aria-label={m.desk_how()}
      className="flex w-full shrink-0 flex-col gap-5 overflow-y-auto border-s-2 border-ink bg-sheet p-5 lg:w-84 print:hidden"
    >
      <Method desk={desk} settings={settings} onSet={onSet} busy={busy} proposed={proposed} />
      <GoalList
        desk={desk}
        goals={settings.goals}
        standings={proposed.floor.groups.length === 0 ? [] : standings}
        onGoals={(goals) => onSet({ goals })}
      />
      <RuleList
        classId={desk.classId}
        rules={desk.rules}
        students={desk.students}
        broken={proposal === null ? desk.standings.broken.flatMap((conflict) => conflict.rules) : []}
        onChange={onRules}
        onAdded={onMust}
      />
      <Uses uses={desk.uses} />
      <Keeping desk={desk} />
    </aside>
  );
}
