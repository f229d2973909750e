// Who gets which worksheet, and how: one column a worksheet, one row a group.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { useRef, useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { Choices, Do } from '../../../ui/fields/Choices';
import { markOf } from '../../../ui/signs/marks';
import { useMessages } from '../../../ui/page/messages';
import { Sideways } from '../../../ui/page/Sideways';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { attributesOf, ByValue, ByWhat } from './VariantsBy';

/** When a worksheet opens by itself, in words. */
const opensText = (minute: number | null) => (minute === null ? m.edit_opensNever() : m.edit_opens({ minute }));

type Lesson = Schema['LessonView'];
type Row = Schema['RowView'];
type Way = Schema['HandOutWay'];

const ways: Way[] = ['together', 'each', 'read', 'all', 'nothing'];
const planOf = (row: Row): Schema['RowPlan'] => ({
  original: row.original,
  way: row.way,
  variant: row.variant,
  cells: row.cells,
  by: row.by ?? null,
  opensWith: row.opensWith,
});

/**
 * Everybody gets it in this way, also groups of which something else was said before; each keeps its variant. What is
 * one for the whole class is no group's own.
 */
export const withWay = (row: Schema['RowPlan'], way: Way): Schema['RowPlan'] => ({
  ...row,
  way,
  cells: way === 'all' ? [] : (row.cells ?? []).map((cell) => ({ ...cell, way })),
});

/** The whole plan is sent at every change: what is shown is what is kept. */
export function usePlan(lesson: Lesson) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const path = { params: { path: { id: lesson.round.id } } };
  // Presses that follow each other go out one after the other, each made on what the one before has left.
  const [wanted, setWanted] = useState<Schema['RowPlan'][] | null>(null);
  const underWay = useRef(0);
  const put = useMutation({
    scope: { id: `plan.${lesson.round.id}` },
    mutationFn: (body: Schema['SavePlan']) => take(api.PUT('/api/staff/rounds/{id}/hand-out', { ...path, body })),
    onError: fail,
    onSettled: async () => {
      await queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
      if (--underWay.current === 0) setWanted(null);
    },
  });
  const rows = wanted ?? lesson.handOut.map(planOf);
  return {
    rows,
    put: (next: Schema['RowPlan'][]) => {
      setWanted(next);
      underWay.current++;
      put.mutate({ rows: next, knew: rows.map((row) => row.original) });
    },
  };
}

/** The plan of a lesson as it is wanted by now, and what can be changed of it. */
function useGrid(lesson: Lesson) {
  const { say } = useMessages();
  const plan = usePlan(lesson);
  const { groups } = lesson.floor;
  const set = (row: Schema['RowPlan']) => plan.put(plan.rows.map((one) => (one.original === row.original ? row : one)));
  // An answer may still be on its way.
  const rows = lesson.handOut.flatMap((row): Row[] => {
    const wanted = plan.rows.find((one) => one.original === row.original);
    if (wanted === undefined) return [];
    const { way, variant = '', cells = [], by = null, opensWith = null } = wanted;
    return [{ ...row, way, variant, cells, by, opensWith }];
  });
  return {
    groups,
    attributes: attributesOf(lesson.students),
    rows,
    set,
    /** The segments a worksheet can open with: those in which everybody works alone. */
    alone: lesson.order.segments.filter((segment) => segment.kind === 'alone'),
    /** When work opens that everybody does alone: by the minute, as several segments may have one name. */
    minuteOf: (segment: string) => {
      const at = lesson.order.segments.findIndex((one) => one.id === segment);
      return at < 0 ? null : lesson.order.segments.slice(0, at).reduce((sum, one) => sum + one.minutes, 0);
    },
    setCell: (row: Row, group: string, cell: { way: Way; variant: string } | null) =>
      set({
        ...planOf(row),
        cells: [...row.cells.filter((one) => one.group !== group), ...(cell === null ? [] : [{ group, ...cell }])],
      }),
    /** The variants go to the groups in turn. */
    inTurn: (row: Row) =>
      set({
        ...planOf(row),
        cells: groups.map((group, n) => ({
          group: group.id,
          way: cellOf(row, group.id)?.way ?? row.way,
          variant: row.variants[n % row.variants.length]?.id ?? '',
        })),
      }),
    remove: (row: Row) => {
      const before = plan.rows;
      plan.put(plan.rows.filter((one) => one.original !== row.original));
      say(m.edit_tookFromPlan({ title: row.title }), () => plan.put(before));
    },
  };
}

type Grid = ReturnType<typeof useGrid>;
const cellOf = (row: Row, group: string) => row.cells.find((one) => one.group === group);

function RowMenu({ grid, row }: { grid: Grid; row: Row }) {
  const { alone, set } = grid;
  return (
    <Choices label="…" name={m.edit_blockMenu({ kind: row.title })} className="!px-2 !py-0.5">
      {row.opensWith === null && <Do onPress={() => set({ ...planOf(row), cells: [] })}>{m.edit_forAll()}</Do>}
      {alone
        .filter((segment) => segment.id !== row.opensWith)
        .map((segment) => (
          <Do key={segment.id} onPress={() => set({ ...planOf(row), way: 'each', cells: [], opensWith: segment.id })}>
            {m.edit_openWith({ minute: grid.minuteOf(segment.id) ?? 0 })}
          </Do>
        ))}
      {row.opensWith !== null && (
        <Do onPress={() => set({ ...planOf(row), opensWith: null })}>{m.edit_openWithRound()}</Do>
      )}
      <Do onPress={() => grid.remove(row)}>{m.edit_takeFromPlan({ title: row.title })}</Do>
    </Choices>
  );
}

/** A worksheet's title, over its column. */
function RowHead({ grid, row, shown, onShow }: { grid: Grid; row: Row; shown: boolean; onShow: () => void }) {
  return (
    <th
      scope="col"
      className={clsx(
        grid.rows.length > 2 ? 'min-w-52' : 'min-w-80',
        'max-w-80 border-b-2 border-ink px-2 py-1.5 align-top',
        shown && 'bg-wash',
      )}
    >
      <span className="flex items-start gap-1">
        <button
          type="button"
          aria-current={shown ? 'true' : undefined}
          onClick={onShow}
          className="min-h-6 min-w-0 flex-1 text-start font-semibold underline decoration-line underline-offset-4 wrap-anywhere"
        >
          {row.title}
        </button>
        <RowMenu grid={grid} row={row} />
      </span>
      {row.opensWith !== null && (
        <span className="block font-normal text-soft">{opensText(grid.minuteOf(row.opensWith))}</span>
      )}
      {row.variants.length > 0 && row.opensWith === null && (
        <>
          <Button look="quiet" className="-ms-2 text-sm font-normal" onClick={() => grid.inTurn(row)}>
            {m.edit_inOrder()}
          </Button>
          <ByWhat row={row} attributes={grid.attributes} onChange={(by) => grid.set({ ...planOf(row), by })} />
        </>
      )}
    </th>
  );
}

/** What everyone gets of one worksheet. */
function AllCell({ grid: { attributes, set }, row }: { grid: Grid; row: Row }) {
  return (
    <>
      {row.opensWith === null ? (
        <Choice
          hidden
          label={m.edit_wayOf({ title: row.title, group: m.edit_planAll() })}
          value={row.way}
          options={ways.map((way) => ({ value: way, label: m.edit_ways({ key: way }) }))}
          onChange={(way) => set(withWay(planOf(row), way))}
        />
      ) : (
        <span className="block py-1">{m.edit_ways({ key: 'each' })}</span>
      )}
      {row.variants.length > 0 && (
        <VariantChoice
          label={m.edit_variantOf({ title: row.title, group: m.edit_planAll() })}
          row={row}
          value={row.variant}
          onChange={(variant) => set({ ...planOf(row), variant })}
        />
      )}
      {row.by != null && (
        <ByValue
          row={row}
          by={row.by}
          attributes={attributes}
          onChange={(by) => set({ ...planOf(row), by: by.values.length > 0 ? by : null })}
        />
      )}
    </>
  );
}

function GroupRow({
  grid,
  group,
  shown,
}: {
  grid: Grid;
  group: Lesson['floor']['groups'][number];
  shown: string | null;
}) {
  return (
    <tr>
      <th
        scope="row"
        className="inset-s-0 z-10 border-b border-s-4 border-line bg-sheet px-2 py-1 sm:sticky"
        style={{ borderInlineStartColor: markOf(group.mark).colour }}
      >
        <span className="flex items-center gap-1.5 wrap-anywhere">
          <Sign mark={group.mark} size={16} /> {group.name}
        </span>
      </th>
      {grid.rows.map((row) => (
        <td key={row.original} className={clsx('border-b border-line px-2 py-1', row.original === shown && 'bg-wash')}>
          {row.opensWith === null && (
            <GroupCell
              row={row}
              group={group}
              cell={cellOf(row, group.id)}
              onChange={(cell) => grid.setCell(row, group.id, cell)}
            />
          )}
        </td>
      ))}
    </tr>
  );
}

/** Originals by groups: who gets what, in which variant. */
export function HandOutGrid({
  lesson,
  shown,
  onShow,
}: {
  lesson: Lesson;
  shown: string | null;
  onShow: (original: string) => void;
}) {
  const grid = useGrid(lesson);
  const { groups, rows } = grid;
  const [asked, setAsked] = useState(false);
  /** Groups get rows of their own only if one of them differs from “Everyone”, or the teacher asks for them. */
  const byGroup = groups.length > 0 && (asked || rows.some((row) => row.cells.length > 0));
  const head = 'inset-s-0 z-10 bg-sheet px-2 sm:sticky';
  return (
    <Sideways label={m.edit_plan()} className="px-5 pt-4">
      <table className="border-collapse text-start text-sm">
        <caption className="sr-only">{m.edit_plan()}</caption>
        <thead>
          <tr>
            <th scope="col" className={`${head} min-w-36 border-b-2 border-ink py-1`}>
              <span className="sr-only">{m.floor_group()}</span>
            </th>
            {rows.map((row) => (
              <RowHead
                key={row.original}
                grid={grid}
                row={row}
                shown={row.original === shown}
                onShow={() => onShow(row.original)}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row" className={`${head} border-b border-line py-1.5 align-top`}>
              {m.edit_planAll()}
            </th>
            {rows.map((row) => (
              <td
                key={row.original}
                className={clsx('border-b border-line px-2 py-1.5 align-top', row.original === shown && 'bg-wash')}
              >
                <AllCell grid={grid} row={row} />
              </td>
            ))}
          </tr>
          {byGroup && groups.map((group) => <GroupRow key={group.id} grid={grid} group={group} shown={shown} />)}
        </tbody>
      </table>
      {groups.length > 1 && rows.some((row) => row.opensWith === null) && !byGroup && (
        <Button look="quiet" className="mt-1 text-sm" onClick={() => setAsked(true)}>
          {m.edit_differ()}
        </Button>
      )}
    </Sideways>
  );
}

/** What one group gets of one worksheet. */
function GroupCell({
  row,
  group,
  cell,
  onChange,
}: {
  row: Row;
  group: Lesson['floor']['groups'][number];
  cell: Row['cells'][number] | undefined;
  onChange: (cell: { way: Way; variant: string } | null) => void;
}) {
  return (
    <div className="flex gap-1 [&>*]:min-w-0 [&>*]:flex-1">
      <Choice
        hidden
        label={m.edit_wayOf({ title: row.title, group: group.name })}
        className={clsx(cell === undefined && 'opacity-70')}
        value={cell?.way ?? ''}
        options={[
          { value: '', label: m.edit_asAll() },
          ...ways.filter((way) => way !== 'all').map((way) => ({ value: way, label: m.edit_ways({ key: way }) })),
        ]}
        onChange={(way) => onChange(way === '' ? null : { way, variant: cell?.variant ?? row.variant })}
      />
      {row.variants.length > 0 && (
        <VariantChoice
          label={m.edit_variantOf({ title: row.title, group: group.name })}
          row={row}
          value={cell?.variant ?? row.variant}
          onChange={(variant) => onChange({ way: cell?.way ?? row.way, variant })}
        />
      )}
    </div>
  );
}

function VariantChoice({
  label,
  row,
  value,
  onChange,
}: {
  label: string;
  row: Row;
  value: string | undefined;
  onChange: (variant: string) => void;
}) {
  return (
    <Choice
      hidden
      label={label}
      value={value ?? ''}
      options={[
        { value: '', label: m.edit_plain() },
        ...row.variants.map((variant) => ({ value: variant.id, label: variant.name })),
      ]}
      onChange={onChange}
    />
  );
}

/** What can be done about the whole: write another, or take one that is there. */
export function PlanActions({ busy, onNew, onTake }: { busy: boolean; onNew: () => void; onTake: () => void }) {
  return (
    <span className="flex flex-wrap gap-2">
      <Button busy={busy} onClick={onNew}>
        {m.edit_writeNew()}
      </Button>
      <Button onClick={onTake}>{m.edit_fromMyWorksheets()}</Button>
    </span>
  );
}
