import { useEffect, useState } from 'react';
import type { Schema, Whole } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import * as m from '#messages';
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

/**
 * One page of a copy in full, to read, to write beside, and to go on from: arrows lead to the next group and the next
 * page.
 */
export function CopySheet({
  rows,
  row,
  page,
  lesson,
  since,
  onGo,
  onClose,
  onVisit,
}: {
  rows: Row[];
  row: Row;
  page: Whole<Schema['CopyView']>['pages'][number];
  lesson: Schema['LessonView'];
  /** Up to when it had been seen before it was opened. */
  since: number;
  onGo: (to: At) => void;
  onClose: () => void;
  /** Goes to another group, room and copy; undefined while groups are not at work. */
  onVisit?: ((group: string) => void) | undefined;
}) {
  const visits = lesson.visits.find(({ groupId }) => groupId !== row.group?.id);
  const nextName = lesson.floor.groups.find((group) => group.id === visits?.groupId)?.name;
  const at = { copy: row.copy.id, page: page.id };
  // What is new stays marked while it is read.
  const [marked, setMarked] = useState({ key: `${at.copy}${at.page}`, since });
  if (marked.key !== `${at.copy}${at.page}`) setMarked({ key: `${at.copy}${at.page}`, since });
  const to = (key: (typeof arrows)[number]) => neighbour(rows, at, key);
  const works = (key: (typeof arrows)[number]) => to(key).copy !== at.copy || to(key).page !== at.page;
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
  const { pages } = row.copy;
  return (
    <Sheet open onClose={onClose} title={row.copy.name} wide>
      <nav
        aria-label={m.work_go()}
        className="mb-4 flex flex-wrap items-center gap-2 border-b border-line pb-3 text-sm"
      >
        {onVisit !== undefined && visits !== undefined && nextName !== undefined && (
          <Button className="px-3 py-1 font-semibold" onClick={() => onVisit(visits.groupId)}>
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
      </nav>
      <Answers
        key={`${at.copy}${at.page}`}
        copy={row.copy}
        page={page}
        members={row.members}
        lesson={lesson}
        full
        since={marked.since}
      />
    </Sheet>
  );
}
