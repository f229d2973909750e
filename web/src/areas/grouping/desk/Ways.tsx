import { Button } from '../../../ui/Button';
import * as m from '#messages';
import { RuleList } from '../../roster/RuleList';
import { GoalList } from './GoalList';
import { MethodPanel } from './MethodPanel';
import { SignUpPanel } from './SignUpPanel';
import { Uses } from './Uses';
import type { Desk, Settings } from './useDesk';
import { useKeeping } from './useKeeping';
import type { useProposal } from './useProposal';

/** About how many groups the settings make of so many students. */
function groupsOf(settings: Settings, present: number): number {
  if (settings.shape === 'groups') return settings.groups;
  return settings.shape === 'size' ? Math.max(1, Math.round(present / settings.size)) : settings.sizes.length;
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
}: {
  desk: Desk;
  settings: Settings;
  onSet: (change: Partial<Settings>) => void;
  busy: boolean;
  proposed: ReturnType<typeof useProposal>;
  onRules: () => void;
  /** A rule has been added. */
  onMust: () => void;
}) {
  const { copy, remove, plan } = useKeeping(desk);
  const present = desk.students.filter((student) => !student.absent);
  const groups = groupsOf(settings, present.length);
  const { proposal } = proposed;
  const standings = proposal !== null && proposal.rounds.length > 0 ? proposal.goals : desk.standings.goals;
  return (
    <aside
      aria-label={m.desk_how()}
      className="flex w-full shrink-0 flex-col gap-5 overflow-y-auto border-s-2 border-ink bg-sheet p-5 lg:w-84 print:hidden"
    >
      <section aria-label={m.desk_how()} className="flex flex-col gap-3">
        <MethodPanel settings={settings} onSet={onSet} />
        {settings.method === 'signUp' ? (
          <SignUpPanel desk={desk} present={present.length} />
        ) : (
          settings.method !== 'byHand' && (
            <Button
              look={proposal === null ? 'main' : 'plain'}
              className="w-full"
              busy={proposed.search.looking || busy}
              disabled={present.length === 0}
              onClick={proposed.start}
            >
              {settings.method === 'byTable'
                ? m.desk_goByTable()
                : m.desk_go({ key: settings.method, n: present.length, g: groups })}
            </Button>
          )
        )}
      </section>
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
    </aside>
  );
}
