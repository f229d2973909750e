import { useMutation, useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { useRef, useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Choices, Do } from '../../ui/Choices';
import { markOf } from '../../ui/marks';
import { useMessages } from '../../ui/messages';
import { Sideways } from '../../ui/Sideways';
import { Sign } from '../../ui/Sign';
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
  const { say } = useMessages();
  const plan = usePlan(lesson);
  const { groups } = lesson.floor;
  const attributes = attributesOf(lesson.students);
  const alone = lesson.order.segments.filter((segment) => segment.kind === 'alone');
  /** When work opens that everybody does alone: by the minute, as several segments may have one name. */
  const whenOf = (segment: string) => {
    const at = lesson.order.segments.findIndex((one) => one.id === segment);
    return at < 0 ? null : lesson.order.segments.slice(0, at).reduce((sum, one) => sum + one.minutes, 0);
  };
  const set = (row: Schema['RowPlan']) => plan.put(plan.rows.map((one) => (one.original === row.original ? row : one)));
  /** The row as it is wanted by now: an answer may still be on its way. */
  const shownRows = lesson.handOut
    .map((row) => ({ row, plan: plan.rows.find((one) => one.original === row.original) }))
    .flatMap(({ row, plan: wanted }): Row[] =>
      wanted === undefined
        ? []
        : [
            {
              ...row,
              way: wanted.way,
              variant: wanted.variant ?? '',
              cells: wanted.cells ?? [],
              by: wanted.by ?? null,
              opensWith: wanted.opensWith ?? null,
            },
          ],
    );
  const cellOf = (row: Row, group: string) => row.cells.find((one) => one.group === group);
  const setCell = (row: Row, group: string, cell: { way: Way; variant: string } | null) =>
    set({
      ...planOf(row),
      cells: [...row.cells.filter((one) => one.group !== group), ...(cell === null ? [] : [{ group, ...cell }])],
    });
  const inOrder = (row: Row) =>
    set({
      ...planOf(row),
      cells: groups.map((group, n) => ({
        group: group.id,
        way: cellOf(row, group.id)?.way ?? row.way,
        variant: row.variants[n % row.variants.length]?.id ?? '',
      })),
    });
  const differs = shownRows.some((row) => row.cells.length > 0);
  const [asked, setAsked] = useState(false);
  /** Groups get rows of their own only if one of them differs from “Everyone”, or the teacher asks for them. */
  const byGroup = groups.length > 0 && (differs || asked);
  return (
    <Sideways label={m.edit_plan()} className="px-5 pt-4">
      <table className="border-collapse text-start text-sm">
        <caption className="sr-only">{m.edit_plan()}</caption>
        <thead>
          <tr>
            <th scope="col" className="inset-s-0 z-10 min-w-36 border-b-2 border-ink bg-sheet px-2 py-1 sm:sticky">
              <span className="sr-only">{m.floor_group()}</span>
            </th>
            {shownRows.map((row) => (
              <th
                key={row.original}
                scope="col"
                className={clsx(
                  shownRows.length > 2 ? 'min-w-52' : 'min-w-80',
                  'max-w-80 border-b-2 border-ink px-2 py-1.5 align-top',
                  row.original === shown && 'bg-wash',
                )}
              >
                <span className="flex items-start gap-1">
                  <button
                    type="button"
                    aria-current={row.original === shown ? 'true' : undefined}
                    onClick={() => onShow(row.original)}
                    className="min-h-6 min-w-0 flex-1 text-start font-semibold underline decoration-line underline-offset-4 wrap-anywhere"
                  >
                    {row.title}
                  </button>
                  <Choices label="…" name={m.edit_blockMenu({ kind: row.title })} className="!px-2 !py-0.5">
                    {row.opensWith === null && (
                      <Do onPress={() => set({ ...planOf(row), cells: [] })}>{m.edit_forAll()}</Do>
                    )}
                    {alone
                      .filter((segment) => segment.id !== row.opensWith)
                      .map((segment) => (
                        <Do
                          key={segment.id}
                          onPress={() => set({ ...planOf(row), way: 'each', cells: [], opensWith: segment.id })}
                        >
                          {m.edit_openWith({ minute: whenOf(segment.id) ?? 0 })}
                        </Do>
                      ))}
                    {row.opensWith !== null && (
                      <Do onPress={() => set({ ...planOf(row), opensWith: null })}>{m.edit_openWithRound()}</Do>
                    )}
                    <Do
                      onPress={() => {
                        const before = plan.rows;
                        plan.put(plan.rows.filter((one) => one.original !== row.original));
                        say(m.edit_tookFromPlan({ title: row.title }), () => plan.put(before));
                      }}
                    >
                      {m.edit_takeFromPlan({ title: row.title })}
                    </Do>
                  </Choices>
                </span>
                {row.opensWith !== null && (
                  <span className="block font-normal text-soft">{opensText(whenOf(row.opensWith))}</span>
                )}
                {row.variants.length > 0 && row.opensWith === null && (
                  <>
                    <Button look="quiet" className="-ms-2 text-sm font-normal" onClick={() => inOrder(row)}>
                      {m.edit_inOrder()}
                    </Button>
                    <ByWhat row={row} attributes={attributes} onChange={(by) => set({ ...planOf(row), by })} />
                  </>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row" className="inset-s-0 z-10 border-b border-line bg-sheet px-2 py-1.5 align-top sm:sticky">
              {m.edit_planAll()}
            </th>
            {shownRows.map((row) => (
              <td
                key={row.original}
                className={clsx('border-b border-line px-2 py-1.5 align-top', row.original === shown && 'bg-wash')}
              >
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
              </td>
            ))}
          </tr>
          {(byGroup ? groups : []).map((group) => (
            <tr key={group.id}>
              <th
                scope="row"
                className="inset-s-0 z-10 border-b border-s-4 border-line bg-sheet px-2 py-1 sm:sticky"
                style={{ borderInlineStartColor: markOf(group.mark).colour }}
              >
                <span className="flex items-center gap-1.5 wrap-anywhere">
                  <Sign mark={group.mark} size={16} /> {group.name}
                </span>
              </th>
              {shownRows.map((row) => (
                <td
                  key={row.original}
                  className={clsx('border-b border-line px-2 py-1', row.original === shown && 'bg-wash')}
                >
                  {row.opensWith === null && (
                    <GroupCell
                      row={row}
                      group={group}
                      cell={cellOf(row, group.id)}
                      onChange={(cell) => setCell(row, group.id, cell)}
                    />
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {groups.length > 1 && shownRows.some((row) => row.opensWith === null) && !byGroup && (
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
