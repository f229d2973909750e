// The page on which groups are made.
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { problemText } from '../../../api/problem';
import { KeyList } from '../../../ui/KeyList';
import { useMessages } from '../../../ui/messages';
import { Page } from '../../../ui/Page';
import { useKeys } from '../../../ui/useKeys';
import * as m from '#messages';
import { deskKeys } from '../../../ui/shortcuts';
import { EditText } from '../../roster/EditText';
import { useLift } from '../../roster/RuleList';
import { useMarkAbsent } from '../../roster/useMarkAbsent';
import { Floor } from '../Floor';
import { UsedBy } from '../UsedBy';
import { LensContext, useLens } from '../lens';
import { hereAt } from '../Table';
import { useFloor } from '../useFloor';
import { asSeated } from './asFloor';
import { Numbers } from './Numbers';
import { ConflictBar, ProposalBar } from './ProposalBar';
import { RepairBar } from './RepairBar';
import { ToolBar } from './ToolBar';
import { useDesk, useSetDesk, whole, type Desk, type Settings } from './useDesk';
import { useProposal } from './useProposal';
import { useWhy } from './useWhy';
import { Variants } from './Variants';
import { Ways } from './Ways';

function DeskOf({ desk }: { desk: Desk }) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const control = useFloor(['desk', desk.id], desk.floor);
  const set = useSetDesk(desk.id);
  const [asList, setAsList] = useState(false);
  const [sheet, setSheet] = useState<'variants' | 'numbers' | null>(null);
  const [held, setHeld] = useState<string | null>(null);
  const settings = useMemo(() => whole(desk.settings), [desk.settings]);
  const proposed = useProposal(desk, settings, control);
  const { search, proposal, floor, start, takeUp } = proposed;
  const why = useWhy(desk, settings, held);
  const refresh = () => queries.invalidateQueries({ queryKey: ['desk', desk.id] });
  const markAbsent = useMarkAbsent(refresh, fail);
  const names = useMemo(() => new Map(desk.students.map((student) => [student.id, student.name])), [desk.students]);
  const nameOf = (id: string) => names.get(id) ?? '';
  const { lift } = useLift(desk.classId, nameOf, refresh);
  const students = useMemo(() => desk.students.map(asSeated), [desk.students]);
  const lens = useLens(desk.students);
  const present = desk.students.filter((student) => !student.absent);
  const seated = new Set(desk.floor.groups.flatMap((group) => group.students));
  const away = desk.students.filter((student) => student.absent && seated.has(student.id)).length;
  const late = desk.floor.groups.length === 0 ? 0 : present.filter((student) => !seated.has(student.id)).length;

  const [help, setHelp] = useState(false);
  useKeys({
    '?': () => setHelp(true),
    n: () => {
      if (!['byHand', 'signUp'].includes(settings.method) && present.length > 0) start();
    },
    l: () => setAsList(!asList),
    'Ctrl z': () => desk.floor.undo !== null && control.undo(),
    'Ctrl y': () => desk.floor.redo !== null && control.redo(),
  });
  /** From a way that does not mind what was just added to one that does; said, and to be turned back. */
  const turnFrom = (ways: Settings['method'][], change: Partial<Settings> = {}): boolean => {
    if (!ways.includes(settings.method)) return false;
    const kept = { ...settings, ...change };
    set.mutate({ settings: { ...kept, method: 'balance' } });
    say(m.desk_nowBalance(), () => set.mutate({ settings: kept }));
    return true;
  };
  const setSettings = (change: Partial<Settings>) => {
    search.drop();
    // A goal counts only where groups are placed by goals.
    const adds = change.goals !== undefined && change.goals.length > settings.goals.length;
    if (!adds || !turnFrom(['deal', 'countOff', 'byTable'], change))
      set.mutate({ settings: { ...settings, ...change } });
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
      <main className="flex min-h-0 min-w-0 flex-1 flex-col">
        <ToolBar
          desk={desk}
          control={control}
          asList={asList}
          onList={() => setAsList(!asList)}
          lens={lens}
          onVariants={() => setSheet('variants')}
          onNumbers={() => setSheet('numbers')}
        />
        {proposal !== null && proposal.rounds.length > 0 && (
          <ProposalBar
            proposal={proposal}
            search={search}
            round={proposed.round}
            onRound={proposed.setRound}
            onUse={() => takeUp(proposal)}
            onAgain={start}
          />
        )}
        {proposal !== null && proposal.rounds.length === 0 && (
          <ConflictBar
            conflicts={proposal.conflicts}
            desk={desk}
            nameOf={nameOf}
            onLift={(rule) => {
              search.drop();
              lift.mutate(rule);
            }}
            onLeave={search.drop}
          />
        )}
        {desk.usedBy.length > 0 && <UsedBy uses={desk.usedBy} />}
        <LensContext value={lens.seen}>
          <Floor
            floor={floor}
            students={students}
            control={proposed.editing}
            live={false}
            asList={asList}
            noteOf={() => ''}
            tableNote={(group) => String(hereAt(group, students))}
            onAbsent={(student, absent) => markAbsent.mutate({ id: student.id, absent })}
            onHold={setHeld}
            {...(why === undefined || proposal !== null
              ? {}
              : { effects: new Map(why.effects.map((effect) => [effect.group, effect])), reasons: why.reasons })}
          />
        </LensContext>
        {/* Below the floor: it comes while somebody is marked absent, and nothing moves under the hand. */}
        {proposal === null && away + late > 0 && settings.method !== 'byHand' && desk.signUp === null && (
          <RepairBar
            groupingId={desk.id}
            away={away}
            late={late}
            nameOf={nameOf}
            onTake={(mended) => control.take('repair', [mended])}
          />
        )}
      </main>
      <Ways
        desk={desk}
        settings={settings}
        onSet={setSettings}
        busy={control.busy}
        proposed={proposed}
        onRules={() => void refresh()}
        onMust={() => turnFrom(['countOff', 'byTable'])}
      />
      <KeyList open={help} onClose={() => setHelp(false)} keys={deskKeys()} />
      <Variants
        desk={desk}
        open={sheet === 'variants'}
        nameOf={nameOf}
        onClose={() => setSheet(null)}
        onUse={(variant) => control.take('variant', [{ name: '', groups: variant.groups }])}
      />
      {sheet === 'numbers' && (
        <Numbers
          desk={desk}
          open
          onClose={() => setSheet(null)}
          onSet={(change) => set.mutate(change)}
          onHandOut={control.handOutRoles}
        />
      )}
    </div>
  );
}

/** Where groups are planned: the floor, and beside it the ways, goals and musts. */
export function DeskPage() {
  const { id = '' } = useParams();
  const desk = useDesk(id);
  const set = useSetDesk(id);
  const data = desk.data;
  return (
    <div className="lg:h-[calc(100vh-var(--banner,0px))] lg:overflow-hidden print:h-auto print:overflow-visible [&>div]:lg:h-full [&>div]:lg:min-h-0">
      <Page
        title={data === undefined ? undefined : `${data.name} · ${data.className}`}
        trail={
          data !== undefined && (
            <div className="flex min-w-0 flex-wrap items-baseline gap-x-2 sm:flex-nowrap">
              <Link
                to={`/classes/${data.classId}`}
                className="min-h-6 max-w-[16rem] truncate underline decoration-line underline-offset-4 hover:decoration-ink"
              >
                {data.className}
              </Link>
              <span aria-hidden="true">·</span>
              <EditText
                as="h1"
                className="font-head text-lg font-semibold"
                label={m.desk_rename()}
                value={data.name}
                maxLength={80}
                onSave={(name) => set.mutate({ name })}
              />
            </div>
          )
        }
        aside={
          data?.lessonId != null && (
            <Link
              className="inline-block min-h-6 text-sm underline underline-offset-4"
              to={`/lessons/${data.lessonId}`}
            >
              {m.desk_toLesson()}
            </Link>
          )
        }
      >
        {desk.isPending && <p className="p-8 text-soft">{m.common_loading()}</p>}
        {desk.isError && data === undefined && <p className="p-8 font-semibold text-lost">{problemText(desk.error)}</p>}
        {data !== undefined && <DeskOf desk={data} key={data.id} />}
      </Page>
    </div>
  );
}
