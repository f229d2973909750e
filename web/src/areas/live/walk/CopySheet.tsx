// One page of a copy, opened.
import { use, useEffect, useState } from 'react';
import type { Schema, Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/slips/Sheet';
import * as m from '#messages';
import { LessonPartsContext } from '../laterParts';
import { Answers } from './Answers';
import { neighbour, type Row } from './rows';

interface At {
  copy: string;
  page: string;
}
const arrows = ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'] as const;

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable], [role="listbox"]') !== null;

interface CopyProps {
  rows: Row[];
  row: Row;
  page: Whole<Schema['CopyView']>['pages'][number];
  lesson: Schema['LessonView'];
  onGo: (to: At) => void;
  /** Goes to another group, room and copy; undefined while groups are not at work. */
  onVisit?: ((group: string) => void) | undefined;
}

/** Arrows lead to the next group and the next page, wherever nobody types. */
function useArrows({ rows, row, page, onGo }: Pick<CopyProps, 'rows' | 'row' | 'page' | 'onGo'>) {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const key = arrows.find((one) => one === event.key);
      if (key === undefined || event.altKey || event.ctrlKey || event.metaKey || isTyping(event.target)) return;
      event.preventDefault();
      const next = neighbour(rows, { copy: row.copy.id, page: page.id }, key);
      if (next.copy !== row.copy.id || next.page !== page.id) onGo(next);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [rows, row, page, onGo]);
}

/** Where to go from here: the next group to visit, and the pages and copies around. */
function Ways({ rows, row, page, lesson, onGo, onVisit }: CopyProps) {
  const next = lesson.visits.find(({ groupId }) => groupId !== row.group?.id);
  const nextName = lesson.floor.groups.find((group) => group.id === next?.groupId)?.name;
  const at = { copy: row.copy.id, page: page.id };
  const to = (key: (typeof arrows)[number]) => neighbour(rows, at, key);
  const works = (key: (typeof arrows)[number]) => to(key).copy !== at.copy || to(key).page !== at.page;
  const { pages } = row.copy;
  const { WorkPress } = use(LessonPartsContext);
  return (
    <nav aria-label={m.work_go()} className="mb-4 flex flex-wrap items-center gap-2 border-b border-line pb-3 text-sm">
      {onVisit !== undefined && next !== undefined && nextName !== undefined && (
        <Button className="px-3 py-1 font-semibold" onClick={() => onVisit(next.groupId)}>
          {m.round_onTo({ group: nextName })}
        </Button>
      )}
      {arrows.map((key) => (
        <Button key={key} className="px-2 py-1" disabled={!works(key)} onClick={() => onGo(to(key))}>
          {m.work_arrows({ key: key })}
        </Button>
      ))}
      {pages.length > 1 && (
        <span className="text-soft">
          {m.copy_page({ n: pages.findIndex((one) => one.id === page.id) + 1, all: pages.length })}
          {page.title === '' ? '' : `: ${page.title}`}
        </span>
      )}
      <span className="ms-auto">
        <WorkPress lesson={lesson} place={{ copy: row.copy.id, page: page.id }} byKey />
      </span>
    </nav>
  );
}

/** One page of a copy in full, to read, to write beside, and to go on from. */
export function CopySheet({
  since,
  onClose,
  ...shown
}: CopyProps & {
  /** Up to when it had been seen before it was opened. */
  since: number;
  onClose: () => void;
}) {
  const { row, page, lesson } = shown;
  const key = `${row.copy.id}${page.id}`;
  // What is new stays marked while it is read.
  const [marked, setMarked] = useState({ key, since });
  if (marked.key !== key) setMarked({ key, since });
  useArrows(shown);
  return (
    <Sheet open onClose={onClose} title={row.copy.name} wide>
      <Ways {...shown} />
      <Answers key={key} copy={row.copy} page={page} members={row.members} lesson={lesson} full since={marked.since} />
    </Sheet>
  );
}
