import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, take, type Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Choices, Do } from '../../../ui/Choices';
import { KeyList } from '../../../ui/KeyList';
import { useMessages } from '../../../ui/messages';
import { Page } from '../../../ui/Page';
import { useKeys } from '../../../ui/useKeys';
import { words } from '../../../words';
import { EditText } from '../../roster/EditText';
import { RuleList, useLift } from '../../roster/RuleList';
import { useMarkAbsent } from '../../roster/useMarkAbsent';
import { Floor } from '../Floor';
import type { Student } from '../NameTag';
import { LensContext, useLens } from '../lens';
import { LensChoice } from '../LensChoice';
import { hereAt } from '../Table';
import { useFloor } from '../useFloor';
import { GoalList } from './GoalList';
import { MethodPanel } from './MethodPanel';
import { Numbers } from './Numbers';
import { ConflictBar, ProposalBar } from './ProposalBar';
import { RepairBar } from './RepairBar';
import { SignUpPanel } from './SignUpPanel';
import { useDesk, useSetDesk, whole, type Desk, type Settings } from './useDesk';
import { useSearch, type Proposal } from './useSearch';
import { Variants } from './Variants';

/** Names shown on the floor as if everybody sat there: a plan knows nobody's whereabouts. */
function asSeated(student: Schema['DeskStudent']): Student {
  return {
    id: student.id,
    name: student.name,
    absent: student.absent,
    claimed: false,
    place: 'inPlace',
    because: 'service',
    at: null,
    table: student.table,
    attributes: student.attributes,
    tags: student.tags,
  };
}

/** A proposed round drawn as a floor. */
function asFloor(floor: Schema['FloorView'], round: Schema['ProposedRound']): Schema['FloorView'] {
  const marks = new Map(floor.groups.map((group) => [group.id, group.mark]));
  const used = new Set(marks.values());
  return {
    ...floor,
    groups: round.groups.map((group, i) => {
      let mark = group.id === null ? undefined : marks.get(group.id);
      if (mark === undefined) {
        mark = 0;
        while (used.has(mark)) mark++;
        used.add(mark);
      }
      return { id: group.id ?? `new${i}`, name: group.name, number: i + 1, mark, students: group.students };
    }),
  };
}

function useWhy(desk: Desk, settings: Settings, held: string | null) {
  return useQuery({
    queryKey: ['why', desk.id, desk.floor.step, held, settings.goals],
    queryFn: () =>
      take(
        api.POST('/api/staff/groupings/{id}/why', {
          params: { path: { id: desk.id } },
          body: { student: held ?? '', settings },
        }),
      ),
    enabled: held !== null,
  }).data;
}

function ToolBar({
  desk,
  control,
  asList,
  onList,
  lens,
  onVariants,
  onNumbers,
}: {
  desk: Desk;
  control: ReturnType<typeof useFloor>;
  asList: boolean;
  onList: () => void;
  lens: ReturnType<typeof useLens>;
  onVariants: () => void;
  onNumbers: () => void;
}) {
  const { floor } = desk;
  const what = (step: string | null) => (step === null ? '' : (words.floor.undoWhat[step] ?? ''));
  const exportTo = (format: string) => `/api/staff/groupings/${desk.id}/export/${format}`;
  return (
    <div className="flex flex-wrap items-center gap-x-1 gap-y-1 border-b border-line bg-sheet px-4 py-1 text-sm print:hidden">
      <Button look="quiet" disabled={floor.undo === null} onClick={control.undo} title={what(floor.undo)}>
        {words.common.undo}
      </Button>
      <Button look="quiet" disabled={floor.redo === null} onClick={control.redo} title={what(floor.redo)}>
        {words.common.redo}
      </Button>
      <Button look="quiet" onClick={() => control.edit({ kind: 'addTable' })}>
        {words.floor.addTable}
      </Button>
      <Button look="quiet" onClick={onNumbers}>
        {words.desk.numbers}
      </Button>
      <Button look="quiet" onClick={onVariants}>
        {words.desk.variants} {desk.variants.length > 0 && `(${desk.variants.length})`}
      </Button>
      <Choices
        label={words.desk.print}
        className="border-transparent bg-transparent underline decoration-line underline-offset-4"
      >
        {(
          [
            ['pdf', words.desk.printPdf],
            ['csv', words.desk.printCsv],
            ['json', words.desk.printJson],
          ] as const
        ).map(([format, label]) => (
          <Do key={format} href={exportTo(format)}>
            {label}
          </Do>
        ))}
        <Do onPress={() => window.print()}>{words.desk.printNow}</Do>
      </Choices>
      <LensChoice lens={lens} className="ml-auto" />
      <Button look="quiet" aria-pressed={asList} onClick={onList}>
        {asList ? words.floor.floorView : words.floor.listView}
      </Button>
    </div>
  );
}

function Uses({ uses }: { uses: Schema['UseView'][] }) {
  return (
    <details className="border-t border-line pt-2">
      <summary className="font-semibold">{words.desk.history}</summary>
      {uses.length === 0 && <p className="text-sm text-soft">{words.desk.historyNone}</p>}
      <ul className="mt-1 text-sm">
        {[...uses].reverse().map((use) => (
          <li key={use.at}>
            {use.name} <span className="text-soft">{new Date(use.at).toLocaleDateString()}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

function DeskOf({ desk }: { desk: Desk }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { say, fail } = useMessages();
  const control = useFloor(['desk', desk.id], desk.floor);
  const set = useSetDesk(desk.id);
  const search = useSearch(desk.id);
  const [round, setRound] = useState(0);
  const [asList, setAsList] = useState(false);
  const [sheet, setSheet] = useState<'variants' | 'numbers' | null>(null);
  const [held, setHeld] = useState<string | null>(null);
  const settings = useMemo(() => whole(desk.settings), [desk.settings]);
  const why = useWhy(desk, settings, held);
  const refresh = () => queries.invalidateQueries({ queryKey: ['desk', desk.id] });
  const markAbsent = useMarkAbsent(refresh, fail);
  const names = useMemo(() => new Map(desk.students.map((student) => [student.id, student.name])), [desk.students]);
  const nameOf = (id: string) => names.get(id) ?? '';
  const { lift } = useLift(desk.classId, nameOf, refresh);
  const copy = useMutation({
    mutationFn: () =>
      take(
        api.POST('/api/staff/groupings/{id}/copy', {
          params: { path: { id: desk.id } },
          body: { name: words.desk.copyName(desk.name) },
        }),
      ),
    onSuccess: (made) => void navigate(`/groupings/${made.id}`),
    onError: fail,
  });

  const path = { params: { path: { id: desk.id } } };
  const restore = useMutation({
    mutationFn: () => take(api.POST('/api/staff/groupings/{id}/restore', path)),
    onSettled: () => queries.invalidateQueries({ queryKey: ['class', desk.classId] }),
    onError: fail,
  });
  const remove = useMutation({
    mutationFn: () => take(api.DELETE('/api/staff/groupings/{id}', path)),
    onSuccess: async () => {
      say(words.desk.removed(desk.name), () => restore.mutate());
      await queries.invalidateQueries({ queryKey: ['class', desk.classId] });
      await navigate(`/classes/${desk.classId}`);
    },
    onError: fail,
  });
  const proposal = search.proposal;
  const shown = proposal?.rounds[round] ?? proposal?.rounds[0];
  const floor = shown === undefined ? desk.floor : asFloor(desk.floor, shown);
  const students = useMemo(() => desk.students.map(asSeated), [desk.students]);
  const lens = useLens(desk.students);
  const present = desk.students.filter((student) => !student.absent);
  const seated = new Set(desk.floor.groups.flatMap((group) => group.students));
  const away = desk.students.filter((student) => student.absent && seated.has(student.id)).length;
  const late = desk.floor.groups.length === 0 ? 0 : present.filter((student) => !seated.has(student.id)).length;

  const takeUp = (found: Proposal) => {
    const last = found.rounds.at(-1);
    if (last !== undefined) {
      queries.setQueryData<Desk>(['desk', desk.id], (old) =>
        old === undefined ? old : { ...old, floor: asFloor(old.floor, last) },
      );
    }
    control.take(settings.method, found.rounds);
    search.drop();
    if (found.rounds.length > 1) void queries.invalidateQueries({ queryKey: ['class', desk.classId] });
  };
  const start = () => {
    setRound(0);
    // What is over in a moment is done at once; it can be undone.
    const atOnce = ['deal', 'countOff', 'byTable'].includes(settings.method);
    search.start(settings, (found) => {
      if (!atOnce || found.rounds.length === 0) return false;
      takeUp(found);
      if (found.conflicts.length > 0) say(found.conflicts.map((conflict) => conflict.message).join(' '));
      if (found.unplaced.length > 0) say(words.desk.unplaced(found.unplaced.length));
      return true;
    });
  };
  /** While a proposal is looked at, a move takes it first. */
  const editing: typeof control = {
    ...control,
    edit: (edit) => {
      if (proposal !== null && proposal.rounds.length > 0) takeUp(proposal);
      control.edit(edit);
    },
  };
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
  const setSettings = (change: Partial<Settings>) => {
    search.drop();
    set.mutate({ settings: { ...settings, ...change } });
  };
  const groups =
    settings.shape === 'groups'
      ? settings.groups
      : settings.shape === 'size'
        ? Math.max(1, Math.round(present.length / settings.size))
        : settings.sizes.length;
  const standings = proposal !== null && proposal.rounds.length > 0 ? proposal.goals : desk.standings.goals;
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
            round={round}
            onRound={setRound}
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
        {proposal === null && away + late > 0 && settings.method !== 'byHand' && desk.signUp === null && (
          <RepairBar
            groupingId={desk.id}
            away={away}
            late={late}
            nameOf={nameOf}
            onTake={(mended) => control.take('repair', [mended])}
          />
        )}
        <LensContext value={lens.seen}>
          <Floor
            floor={floor}
            students={students}
            control={editing}
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
      </main>
      <aside
        aria-label={words.desk.how}
        className="flex w-full shrink-0 flex-col gap-5 overflow-y-auto border-l-2 border-ink bg-sheet p-5 lg:w-84 print:hidden"
      >
        <section aria-label={words.desk.how} className="flex flex-col gap-3">
          <MethodPanel settings={settings} onSet={setSettings} />
          {settings.method === 'signUp' ? (
            <SignUpPanel desk={desk} present={present.length} />
          ) : (
            settings.method !== 'byHand' && (
              <Button
                look={proposal === null ? 'main' : 'plain'}
                className="w-full"
                busy={search.looking || control.busy || set.isPending}
                disabled={present.length === 0}
                onClick={start}
              >
                {settings.method === 'byTable'
                  ? words.desk.goByTable
                  : words.desk.go(settings.method, present.length, groups)}
              </Button>
            )
          )}
        </section>
        <GoalList
          desk={desk}
          goals={settings.goals}
          standings={floor.groups.length === 0 ? [] : standings}
          onGoals={(goals) => setSettings({ goals })}
        />
        <RuleList
          classId={desk.classId}
          rules={desk.rules}
          students={desk.students}
          broken={proposal === null ? desk.standings.broken.flatMap((conflict) => conflict.rules) : []}
          onChange={refresh}
        />
        <Uses uses={desk.uses} />
        <div className="flex flex-wrap gap-2 border-t border-line pt-2 text-sm">
          <Button look="quiet" onClick={() => copy.mutate()} busy={copy.isPending}>
            {words.desk.copy}
          </Button>
          {desk.lessonId === null && (
            <Button look="quiet" onClick={() => remove.mutate()} busy={remove.isPending}>
              {words.desk.remove}
            </Button>
          )}
        </div>
      </aside>
      <KeyList open={help} onClose={() => setHelp(false)} keys={words.desk.keys} />
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
    <div className="lg:h-screen lg:overflow-hidden print:h-auto print:overflow-visible [&>div]:lg:h-full [&>div]:lg:min-h-0">
      <Page
        trail={
          data !== undefined && (
            <div className="flex min-w-0 items-baseline gap-2">
              <Link
                to={`/classes/${data.classId}`}
                className="max-w-[16rem] truncate underline decoration-line underline-offset-4 hover:decoration-ink"
              >
                {data.className}
              </Link>
              <span aria-hidden="true">·</span>
              <EditText
                as="h1"
                className="font-head text-lg font-semibold"
                label={words.desk.rename}
                value={data.name}
                maxLength={80}
                onSave={(name) => set.mutate({ name })}
              />
            </div>
          )
        }
        aside={
          data?.lessonId != null && (
            <Link className="text-sm underline underline-offset-4" to={`/lessons/${data.lessonId}`}>
              {words.desk.toLesson}
            </Link>
          )
        }
      >
        {desk.isPending && <p className="p-8 text-soft">{words.common.loading}</p>}
        {desk.isError && data === undefined && <p className="p-8 font-semibold text-lost">{problemText(desk.error)}</p>}
        {data !== undefined && <DeskOf desk={data} key={data.id} />}
      </Page>
    </div>
  );
}
