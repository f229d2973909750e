import { useServerNow } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { student as words } from '../../../words/student';
import { SlotField } from './SlotField';

type Copy = Schema['CopyView'];
type Answer = Schema['AnswerView'];
type Mate = Schema['Mate'];

const writingFor = 4_000;

function find(copy: Copy, slot: string, owner: string): Answer | undefined {
  return copy.answers.find((answer) => answer.slot === slot && answer.owner === owner);
}

function Column({ mate, answer, writing }: { mate: Mate; answer: Answer | undefined; writing: boolean }) {
  const text = answer?.text ?? '';
  return (
    <li className="border-l-4 border-line py-1 pl-3">
      <p className="text-sm font-semibold">
        {mate.name} {writing && <span className="font-normal text-soft">· {words.copy.isWriting}</span>}
      </p>
      <p className="whitespace-pre-wrap wrap-anywhere">
        {text.trim() === '' ? <span className="text-soft">{words.copy.notYet}</span> : text}
      </p>
    </li>
  );
}

/** The group's copy: everybody writes in it at the same time. */
export function CopyPage({ copy, me, members }: { copy: Copy; me: string; members: Mate[] }) {
  const now = useServerNow(1_000);
  const isWriting = (answer: Answer | undefined) =>
    answer !== undefined && answer.author !== me && now - answer.at < writingFor;
  return (
    <div className="space-y-6">
      <h1 className="text-2xl font-semibold wrap-anywhere">{copy.title}</h1>
      {copy.blocks.map((block) => {
        if (block.kind === 'text') {
          return (
            <p key={block.id} className="leading-relaxed whitespace-pre-wrap wrap-anywhere">
              {block.text}
            </p>
          );
        }
        const together = find(copy, block.id, copy.id);
        const writer = members.find((mate) => mate.id === together?.author);
        return (
          <section key={block.id} className="border-t-2 border-ink pt-3">
            <h2 className="mb-3 font-sans text-lg font-semibold wrap-anywhere">{block.text}</h2>
            {block.kind === 'together' ? (
              <SlotField
                copyId={copy.id}
                slot={block.id}
                owner={copy.id}
                label={words.copy.together}
                answer={together}
                writing={isWriting(together) && writer !== undefined ? [writer.name] : []}
              />
            ) : (
              <>
                <SlotField
                  copyId={copy.id}
                  slot={block.id}
                  owner={me}
                  label={words.copy.mine}
                  answer={find(copy, block.id, me)}
                  writing={[]}
                />
                <ul className="mt-3 space-y-3">
                  {members
                    .filter((mate) => mate.id !== me)
                    .map((mate) => {
                      const answer = find(copy, block.id, mate.id);
                      return <Column key={mate.id} mate={mate} answer={answer} writing={isWriting(answer)} />;
                    })}
                </ul>
              </>
            )}
          </section>
        );
      })}
    </div>
  );
}
