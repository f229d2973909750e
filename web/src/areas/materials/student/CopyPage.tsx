// A copy on a student’s page.
import { Suspense } from 'react';
import { useServerNow } from '../../../api/clock';
import { api, take, type Schema } from '../../../api/client';
import * as m from '#messages';
import { list } from '../../../words/list';
import { whenText } from '../../../words/when';
import { lazily } from '../../../ui/later/lazily';
import { isAlone, isSlot, isText } from '../kinds/rules';
import { fillersOf, type Block, type Copy } from '../blocks';
import { Fill } from '../kinds/Fill';
import { ReadingBlock } from '../kinds/ReadingBlock';
import { Margin } from './Margin';
import { SlotField, SlotNote } from './SlotField';
import { useSlot, type SlotOf } from './useSlot';

type Answer = Schema['AnswerView'];
type Mate = Pick<Schema['Mate'], 'id' | 'name'>;

/** Nothing can be written in it: it is there to be read, or its lesson is over and the teacher wants it so. */
const isToRead = (copy: Copy) => copy.way === 'read' || copy.locked;
const lookEvery = 5_000;

const writingFor = 4_000;
const History = lazily(() => import('../kinds/History'));
const ReadOut = lazily(() => import('../kinds/ReadOut'));
const Heard = lazily(() => import('../kinds/Heard'));

/** The way to what stood in a slot before; for a member, who may bring any of it back. */
function Before({ of, block, members }: { of: SlotOf; block: Block; members: Mate[] }) {
  if ((of.answer?.revision ?? 0) < 2) return null;
  const params = { path: { id: of.copyId, slot: of.slot, owner: of.owner } };
  return (
    <Suspense fallback={null}>
      <History
        block={block}
        nameOf={(id) => members.find((mate) => mate.id === id)?.name ?? m.student_copy_somebody()}
        load={() => take(api.GET('/api/student/copies/{id}/slots/{slot}/history/{owner}', { params }))}
        bringBack={(revision) =>
          take(api.POST('/api/student/copies/{id}/slots/{slot}/history/{owner}', { params, body: { revision } }))
        }
      />
    </Suspense>
  );
}

function find(copy: Copy, slot: string, owner: string): Answer | undefined {
  return copy.answers.find((answer) => answer.slot === slot && answer.owner === owner);
}

function Column({ mate, answer, writing }: { mate: Mate; answer: Answer | undefined; writing: boolean }) {
  const text = answer?.text ?? '';
  return (
    <li className="border-s-4 border-line py-1 ps-3">
      <p className="text-sm font-semibold">
        {mate.name} {writing && <span className="font-normal text-soft">· {m.student_copy_isWriting()}</span>}
      </p>
      <p className="whitespace-pre-wrap wrap-anywhere">
        {text.trim() === '' ? <span className="text-soft">{m.student_copy_notYet()}</span> : text}
      </p>
    </li>
  );
}

/** A slot that holds things, kept in step while several are at it. */
function ThingsField({
  of,
  block,
  others,
  writing,
}: {
  of: SlotOf;
  block: Block;
  others: { name: string; value: string }[];
  writing: string[];
}) {
  const sync = useSlot(of);
  const { text } = sync;
  return (
    <>
      <Fill block={block} value={text} onChange={(value) => sync.type(value, null, text)} others={others} />
      <SlotNote sync={sync} writing={writing} />
    </>
  );
}

/** A slot that is only to be read: others of the group fill it, or nobody does any more. */
function ShownSlot({ copy, block, me, members }: { copy: Copy; block: Block; me: string; members: Mate[] }) {
  const fillers = fillersOf(copy, block.id);
  if (fillers?.private === true && !fillers.students.includes(me))
    return <p className="text-soft">{m.copy_notShown()}</p>;
  const whose = isAlone(block) ? members.filter((mate) => fillers?.students.includes(mate.id) ?? true) : [];
  if (isAlone(block) && isText(block))
    return (
      <ul className="space-y-3">
        {whose.map((mate) => (
          <Column key={mate.id} mate={mate} answer={find(copy, block.id, mate.id)} writing={false} />
        ))}
      </ul>
    );
  const text = find(copy, block.id, copy.id)?.text ?? '';
  if (isText(block))
    return (
      <p className="whitespace-pre-wrap wrap-anywhere">
        {text.trim() === '' ? <span className="text-soft">{m.student_copy_notYet()}</span> : text}
      </p>
    );
  const others = whose.map((mate) => ({ name: mate.name, value: find(copy, block.id, mate.id)?.text ?? '' }));
  return <Fill block={block} value={text} onChange={null} others={others.filter((other) => other.value !== '')} />;
}

/** For whom of the group a slot is. */
function ForWhom({ copy, slot, me, members }: { copy: Copy; slot: string; me: string; members: Mate[] }) {
  const fillers = fillersOf(copy, slot);
  if (fillers === undefined || copy.studentId !== null) return null;
  const names = members.filter((mate) => mate.id !== me && fillers.students.includes(mate.id)).map((mate) => mate.name);
  const mine = fillers.students.includes(me);
  return (
    <p className={`-mt-2 mb-3 ${mine ? 'font-semibold' : 'text-soft'}`}>
      {mine ? m.copy_forUs({ others: list(names) }) : m.copy_forOthers({ names: list(names) })}
    </p>
  );
}

function Slot({ copy, block, me, members: all }: { copy: Copy; block: Block; me: string; members: Mate[] }) {
  const fillers = fillersOf(copy, block.id);
  const members = fillers === undefined ? all : all.filter((mate) => fillers.students.includes(mate.id));
  const now = useServerNow(1_000);
  const isWriting = (answer: Answer | undefined) =>
    answer !== undefined && answer.author !== me && now - answer.at < writingFor;
  const mates = members.filter((mate) => mate.id !== me);
  const alone = isAlone(block);
  const owner = alone ? me : copy.id;
  const answer = find(copy, block.id, owner);
  const writer = alone ? undefined : members.find((mate) => mate.id === answer?.author);
  const writing = isWriting(answer) && writer !== undefined ? [writer.name] : [];
  const of = { copyId: copy.id, slot: block.id, owner, answer };
  const others = alone
    ? mates.map((mate) => ({ name: mate.name, value: find(copy, block.id, mate.id)?.text ?? '' }))
    : [];
  if (copy.locked || (fillers !== undefined && !fillers.students.includes(me)))
    return <ShownSlot copy={copy} block={block} me={me} members={all} />;
  if (copy.way === 'read')
    return isText(block) ? (
      <p className="whitespace-pre-wrap text-soft">{answer?.text ?? ''}</p>
    ) : (
      <Fill block={block} value={answer?.text ?? ''} onChange={null} />
    );
  if (!isText(block))
    return (
      <>
        <ThingsField of={of} block={block} writing={writing} others={others.filter((other) => other.value !== '')} />
        <Before of={of} block={block} members={members} />
      </>
    );
  return (
    <>
      <SlotField
        {...of}
        label={alone ? m.student_copy_mine() : m.student_copy_together()}
        writing={writing}
        me={me}
        mates={mates}
        now={now}
      />
      <Before of={of} block={block} members={members} />
      {alone && mates.length > 0 && copy.studentId === null && (
        <ul className="mt-3 space-y-3">
          {mates.map((mate) => {
            const theirs = find(copy, block.id, mate.id);
            return <Column key={mate.id} mate={mate} answer={theirs} writing={isWriting(theirs)} />;
          })}
        </ul>
      )}
    </>
  );
}

/** Whether it can only be read, and until when it can be written in. */
function HowLong({ copy }: { copy: Copy }) {
  const { closesAt } = copy;
  if (closesAt !== null)
    return (
      <p className="text-soft">{copy.locked ? m.copy_closed() : m.copy_openUntil({ when: whenText(closesAt) })}</p>
    );
  return isToRead(copy) ? <p className="text-soft">{copy.locked ? m.copy_locked() : m.student_copy_toRead()}</p> : null;
}

/** A copy: all whose it is work in it at the same time. */
export function CopyPage({
  copy: shown,
  me,
  members,
  lang,
}: {
  copy: Copy;
  me: string;
  members: Mate[];
  /** In which language texts are read out to somebody who cannot read yet. */
  lang?: string | undefined;
}) {
  const now = useServerNow(lookEvery);
  const copy = shown.closesAt !== null && now >= shown.closesAt ? { ...shown, locked: true } : shown;
  const htmlOf = (block: Block) => copy.html.find((one) => one.block === block.id)?.html ?? '';
  return (
    <div className="space-y-6">
      <h1 className="text-2xl font-semibold wrap-anywhere">{copy.title}</h1>
      <HowLong copy={copy} />
      {copy.pages.map((page, i) => (
        <section key={page.id} className="space-y-6">
          {copy.pages.length > 1 && (
            <p className="border-b-2 border-line pt-4 pb-1 text-sm text-soft">
              {page.title === '' ? m.copy_page({ n: i + 1, all: copy.pages.length }) : page.title}
            </p>
          )}
          {page.blocks.map((block) =>
            isSlot(block) ? (
              <section key={block.id} className="border-t-2 border-ink pt-3">
                {lang !== undefined && (
                  <Suspense>
                    <ReadOut texts={[block.text, ...block.settings.items.map((item) => item.text)]} lang={lang} />
                  </Suspense>
                )}
                <h2 className="mb-3 font-sans text-lg font-semibold wrap-anywhere">{block.text}</h2>
                <ForWhom copy={copy} slot={block.id} me={me} members={members} />
                <Margin copy={copy} slot={block.id} me={me} members={members} />
                <Slot copy={copy} block={block} me={me} members={members} />
              </section>
            ) : (
              <div key={block.id}>
                {lang !== undefined && block.kind === 'text' && (
                  <Suspense>
                    <ReadOut texts={[]} html={htmlOf(block)} lang={lang} />
                  </Suspense>
                )}
                <ReadingBlock block={block} html={htmlOf(block)} />
              </div>
            ),
          )}
        </section>
      ))}
      <Suspense>
        <Heard copy={copy} me={me} members={members} />
      </Suspense>
    </div>
  );
}
