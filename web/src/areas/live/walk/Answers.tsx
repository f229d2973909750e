// What a group has written on a page.
import clsx from 'clsx';
import { use, type ReactNode } from 'react';
import { api, take, type Schema, type Whole } from '../../../api/client';
import * as m from '#messages';
import { list } from '../../../words/list';
import { fillersOf, type Block } from '../../materials/blocks';
import { Fill } from '../../materials/kinds/Fill';
import History from '../../materials/kinds/History';
import { inShort } from '../../materials/kinds/inShort';
import { ReadingBlock } from '../../materials/kinds/ReadingBlock';
import { isAlone, isSlot, isText, readsAsText } from '../../materials/kinds/rules';
import { LessonPartsContext } from '../laterParts';
import { Margin } from './Margin';

type Copy = Whole<Schema['CopyView']>;
type Page = Copy['pages'][number];
const historyOf = '/api/staff/copies/{id}/slots/{slot}/history/{owner}';

const forWhom = (names: string[]) => (names.length === 0 ? m.work_forNobody() : m.work_forSome({ names: list(names) }));

/** Whose answers stand in a slot where everybody has their own: members', and whoever wrote there before. */
function columns(copy: Copy, slot: string, members: string[]): string[] {
  const former = copy.answers
    .filter((answer) => answer.slot === slot && answer.text !== '')
    .map((answer) => answer.owner);
  return [...new Set([...members, ...former])];
}

function EachAnswer({
  owners,
  textOf,
  nameOf,
  full,
  block,
  pressOf,
}: {
  owners: string[];
  textOf: (owner: string) => string;
  nameOf: (id: string) => string;
  full: boolean;
  block: Block;
  /** What can be done with one answer. */
  pressOf: (owner: string) => ReactNode;
}) {
  const silent = owners.filter((owner) => textOf(owner).trim() === '');
  const spoken = owners.filter((owner) => !silent.includes(owner));
  return (
    <>
      {readsAsText(block) ? (
        <ul className="mt-0.5 space-y-1">
          {spoken.map((owner) => (
            <li key={owner} className={clsx(!full && 'line-clamp-2')}>
              <span className="font-semibold">{nameOf(owner)}</span>{' '}
              <span className="whitespace-pre-wrap wrap-anywhere">{textOf(owner)}</span> {pressOf(owner)}
            </li>
          ))}
        </ul>
      ) : (
        spoken.length > 0 && (
          <Fill
            block={block}
            value=""
            onChange={null}
            others={spoken.map((owner) => ({ name: nameOf(owner), value: textOf(owner) }))}
          />
        )
      )}
      {silent.length > 0 && <p className="text-soft">{m.work_emptyOf({ names: list(silent.map(nameOf)) })}</p>}
    </>
  );
}

/** What a slot of a copy holds, and who is who there. */
function reading(copy: Copy, lesson: Schema['LessonView']) {
  const studentOf = (id: string) => lesson.students.find((student) => student.id === id)?.name;
  const answerOf = (slot: string, owner: string) =>
    copy.answers.find((answer) => answer.slot === slot && answer.owner === owner);
  return {
    studentOf,
    nameOf: (id: string) => studentOf(id) ?? m.work_formerMember(),
    textOf: (slot: string, owner: string) => answerOf(slot, owner)?.text ?? '',
    shareOf: (slot: string) => answerOf(slot, copy.id)?.share ?? 0,
    isNew: (slot: string, since: number) =>
      copy.answers.some((answer) => answer.slot === slot && answer.at > since) ||
      copy.notes.some((note) => note.slot === slot && (note.answeredAt ?? 0) > since),
  };
}

interface Shown {
  copy: Copy;
  members: string[];
  lesson: Schema['LessonView'];
  full: boolean;
}

/** The one answer of a group. */
function TogetherAnswer({ copy, block, lesson, full }: Omit<Shown, 'members'> & { block: Block }) {
  const { textOf, shareOf } = reading(copy, lesson);
  const text = textOf(block.id, copy.id);
  if (text.trim() === '') return <span className="text-soft">{m.work_empty()}</span>;
  if (isText(block))
    return <span className={clsx('whitespace-pre-wrap wrap-anywhere', !full && 'line-clamp-3')}>{text}</span>;
  return full ? <Fill block={block} value={text} onChange={null} /> : inShort(block, text, shareOf(block.id));
}

/** How the one answer of a group came about. */
function AnswerHistory({ copy, block, lesson }: Pick<Shown, 'copy' | 'lesson'> & { block: Block }) {
  const { studentOf } = reading(copy, lesson);
  const path = { id: copy.id, slot: block.id, owner: copy.id };
  return (
    <History
      block={block}
      nameOf={(id) => studentOf(id) ?? m.work_oneOfStaff()}
      load={() => take(api.GET(historyOf, { params: { path } }))}
      bringBack={(revision) => take(api.POST(historyOf, { params: { path }, body: { revision } }))}
    />
  );
}

function SlotAnswers({ copy, members, lesson, full, block, since }: Shown & { block: Block; since: number }) {
  const { nameOf, textOf, isNew } = reading(copy, lesson);
  const notes = copy.notes.filter((note) => note.slot === block.id).length;
  const fillers = fillersOf(copy, block.id)?.students;
  const { WorkPress } = use(LessonPartsContext);
  const press = (owner?: string) =>
    full && (
      <WorkPress
        lesson={lesson}
        place={{ copy: copy.id, slot: block.id, ...(owner === undefined ? {} : { owner }) }}
        small
      />
    );
  return (
    <div className={clsx(isNew(block.id, since) && '-ms-2 border-s-4 border-accent ps-1')}>
      <p className={clsx('font-semibold', !full && 'line-clamp-1')}>
        {block.text}
        {!full && notes > 0 && <span className="font-normal text-soft"> · {m.work_notes({ n: notes })}</span>} {press()}
      </p>
      {fillersOf(copy, block.id) !== undefined && <p className="text-soft">{forWhom(fillers?.map(nameOf) ?? [])}</p>}
      {isAlone(block) ? (
        <EachAnswer
          block={block}
          owners={columns(copy, block.id, fillers ?? members)}
          textOf={(owner) => textOf(block.id, owner)}
          nameOf={nameOf}
          full={full}
          pressOf={press}
        />
      ) : (
        <div className="mt-0.5">
          <TogetherAnswer copy={copy} block={block} lesson={lesson} full={full} />
        </div>
      )}
      {full && (
        <Margin
          copy={copy}
          roundId={lesson.round.id}
          slot={block.id}
          owners={isAlone(block) ? (fillers ?? members) : []}
          nameOf={nameOf}
        />
      )}
      {full && !isAlone(block) && <AnswerHistory copy={copy} block={block} lesson={lesson} />}
    </div>
  );
}

/** What stands on one page of a copy: in short, or in full with its margin. What is newer than `since` is marked. */
export function Answers({ page, since, ...shown }: Shown & { page: Page; since: number }) {
  const { copy, full } = shown;
  return (
    <div className="space-y-3 text-sm">
      {page.blocks.map((block) =>
        isSlot(block) ? (
          <SlotAnswers key={block.id} block={block} since={since} {...shown} />
        ) : full ? (
          <ReadingBlock
            key={block.id}
            block={block}
            html={copy.html.find((one) => one.block === block.id)?.html ?? ''}
          />
        ) : null,
      )}
    </div>
  );
}
