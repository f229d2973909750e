// The page on which groups are made.
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { problemText } from '../../../api/problem';
import { KeyList } from '../../../ui/keys/KeyList';
import { useMessages } from '../../../ui/page/messages';
import { Page } from '../../../ui/page/Page';
import { useKeys } from '../../../ui/keys/useKeys';
import * as m from '#messages';
import { deskKeys } from '../../../ui/keys/shortcuts';
import { EditText } from '../../roster/EditText';
import { useLift } from '../../roster/RuleList';
import { useMarkAbsent } from '../../roster/useMarkAbsent';
import { Floor } from '../floor/Floor';
import { UsedBy } from '../UsedBy';
import { LensContext, useLens } from '../lens';
import { hereAt } from '../floor/Table';
import { useFloor } from '../floor/useFloor';
import { asSeated } from './proposal/asFloor';
import { Numbers } from './Numbers';
import { ConflictBar, ProposalBar } from './proposal/ProposalBar';
import { RepairBar } from './RepairBar';
import { ToolBar } from './ToolBar';
import { useDesk, useSetDesk, whole, type Desk, type Settings } from './useDesk';
import { useProposal } from './proposal/useProposal';
import { useWhy } from './useWhy';
import { Variants } from './Variants';
import { Ways } from './Ways';

/** What the page knows of the desk, and what its presses do. */
function useDeskActions(desk: Desk) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const control = useFloor(['desk', desk.id], desk.floor);
  const set = useSetDesk(desk.id);
  const settings = useMemo(() => whole(desk.settings), [desk.settings]);
  const proposed = useProposal(desk, settings, control);
  const refresh = () => queries.invalidateQueries({ queryKey: ['desk', desk.id] });
  const markAbsent = useMarkAbsent(refresh, fail);
  /** From a way that does not mind what was just added to one that does; said, and to be turned back. */
  const turnFrom = (ways: Settings['method'][], change: Partial<Settings> = {}): boolean => {
    if (!ways.includes(settings.method)) return false;
    const kept = { ...settings, ...change };
    set.mutate({ settings: { ...kept, method: 'balance' } });
    say(m.desk_nowBalance(), () => set.mutate({ settings: kept }));
    return true;
  };
  return {
    control,
    set,
    settings,
    proposed,
    refresh,
    turnFrom,
    setAbsent: (student: { id: string }, absent: boolean) => markAbsent.mutate({ id: student.id, absent }),
    setSettings: (change: Partial<Settings>) => {
      proposed.search.drop();
      // A goal counts only where groups are placed by goals.
      const adds = change.goals !== undefined && change.goals.length > settings.goals.length;
      if (!adds || !turnFrom(['deal', 'countOff', 'byTable'], change))
        set.mutate({ settings: { ...settings, ...change } });
    },
  };
}

type DeskActions = ReturnType<typeof useDeskActions>;

/** What has been found, or why nothing can be. */
function Proposed({ desk, actions, nameOf }: { desk: Desk; actions: DeskActions; nameOf: (id: string) => string }) {
  const { proposal, search, round, setRound, takeUp, start } = actions.proposed;
  const { lift } = useLift(desk.classId, nameOf, actions.refresh);
  if (proposal === null) return null;
  if (proposal.rounds.length > 0) {
    return (
      <ProposalBar
        proposal={proposal}
        search={search}
        round={round}
        onRound={setRound}
        onUse={() => takeUp(proposal)}
        onAgain={start}
      />
    );
  }
  return (
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
  );
}

function DeskFloor({
  desk,
  actions,
  lens,
  asList,
}: {
  desk: Desk;
  actions: DeskActions;
  lens: ReturnType<typeof useLens>;
  asList: boolean;
}) {
  const { floor, editing, proposal } = actions.proposed;
  const [held, setHeld] = useState<string | null>(null);
  const why = useWhy(desk, actions.settings, held);
  const students = useMemo(() => desk.students.map(asSeated), [desk.students]);
  return (
    <LensContext value={lens.seen}>
      <Floor
        floor={floor}
        students={students}
        control={editing}
        live={false}
        asList={asList}
        noteOf={() => ''}
        tableNote={(group) => String(hereAt(group, students))}
        onAbsent={actions.setAbsent}
        onHold={setHeld}
        {...(why === undefined || proposal !== null
          ? {}
          : { effects: new Map(why.effects.map((effect) => [effect.group, effect])), reasons: why.reasons })}
      />
    </LensContext>
  );
}

/** Below the floor: it comes while somebody is marked absent, and nothing moves under the hand. */
function Repair({ desk, actions, nameOf }: { desk: Desk; actions: DeskActions; nameOf: (id: string) => string }) {
  const seated = new Set(desk.floor.groups.flatMap((group) => group.students));
  const away = desk.students.filter((student) => student.absent && seated.has(student.id)).length;
  const late =
    desk.floor.groups.length === 0
      ? 0
      : desk.students.filter((student) => !student.absent && !seated.has(student.id)).length;
  const { settings, proposed, control } = actions;
  if (proposed.proposal !== null || away + late === 0 || settings.method === 'byHand' || desk.signUp !== null)
    return null;
  return (
    <RepairBar
      groupingId={desk.id}
      away={away}
      late={late}
      nameOf={nameOf}
      onTake={(mended) => control.take('repair', [mended])}
    />
  );
}

type OpenSheet = 'keys' | 'variants' | 'numbers' | null;

function DeskSheets({
  desk,
  actions: { control, set },
  nameOf,
  sheet,
  onClose,
}: {
  desk: Desk;
  actions: DeskActions;
  nameOf: (id: string) => string;
  sheet: OpenSheet;
  onClose: () => void;
}) {
  return (
    <>
      <KeyList open={sheet === 'keys'} onClose={onClose} keys={deskKeys()} />
      <Variants
        desk={desk}
        open={sheet === 'variants'}
        nameOf={nameOf}
        onClose={onClose}
        onUse={(variant) => control.take('variant', [{ name: '', groups: variant.groups }])}
      />
      {sheet === 'numbers' && (
        <Numbers
          desk={desk}
          open
          onClose={onClose}
          onSet={(change) => set.mutate(change)}
          onHandOut={control.handOutRoles}
        />
      )}
    </>
  );
}

function DeskOf({ desk }: { desk: Desk }) {
  const actions = useDeskActions(desk);
  const { control, settings, proposed } = actions;
  const [asList, setAsList] = useState(false);
  const [sheet, setSheet] = useState<OpenSheet>(null);
  const names = useMemo(() => new Map(desk.students.map((student) => [student.id, student.name])), [desk.students]);
  const nameOf = (id: string) => names.get(id) ?? '';
  const lens = useLens(desk.students);
  const somebodyIsHere = desk.students.some((student) => !student.absent);
  useKeys({
    '?': () => setSheet('keys'),
    n: () => {
      if (!['byHand', 'signUp'].includes(settings.method) && somebodyIsHere) proposed.start();
    },
    l: () => setAsList(!asList),
    'Ctrl z': () => desk.floor.undo !== null && control.undo(),
    'Ctrl y': () => desk.floor.redo !== null && control.redo(),
  });
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
        <Proposed desk={desk} actions={actions} nameOf={nameOf} />
        {desk.usedBy.length > 0 && <UsedBy uses={desk.usedBy} />}
        <DeskFloor desk={desk} actions={actions} lens={lens} asList={asList} />
        <Repair desk={desk} actions={actions} nameOf={nameOf} />
      </main>
      <Ways
        desk={desk}
        settings={settings}
        onSet={actions.setSettings}
        busy={control.busy}
        proposed={proposed}
        onRules={() => void actions.refresh()}
        onMust={() => actions.turnFrom(['countOff', 'byTable'])}
      />
      <DeskSheets desk={desk} actions={actions} nameOf={nameOf} sheet={sheet} onClose={() => setSheet(null)} />
    </div>
  );
}

function Trail({ desk, onRename }: { desk: Desk; onRename: (name: string) => void }) {
  return (
    <div className="flex min-w-0 flex-wrap items-baseline gap-x-2 sm:flex-nowrap">
      <Link
        to={`/classes/${desk.classId}`}
        className="min-h-6 max-w-[16rem] truncate underline decoration-line underline-offset-4 hover:decoration-ink"
      >
        {desk.className}
      </Link>
      <span aria-hidden="true">·</span>
      <EditText
        as="h1"
        className="font-head text-lg font-semibold"
        label={m.desk_rename()}
        value={desk.name}
        maxLength={80}
        onSave={onRename}
      />
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
        trail={data !== undefined && <Trail desk={data} onRename={(name) => set.mutate({ name })} />}
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
