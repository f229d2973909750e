// Work that is shown to everybody: on phones, on the wall, and on the teacher's own page.
import clsx from 'clsx';
import { Suspense, useEffect, useRef, type MouseEvent } from 'react';
import type { Schema, Whole } from '../../../api/client';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import type { Block } from '../../materials/blocks';
import { Fill } from '../../materials/kinds/Fill';
import { ReadingBlock } from '../../materials/kinds/ReadingBlock';
import { isAlone, isSlot, isText, readsAsText } from '../../materials/kinds/rules';
import { MediaContext } from '../../materials/media';
import { SumPicture } from '../sum/SumPicture';
import { wordsAt } from './wordsAt';

type View = Schema['ShownView'];
type Piece = Whole<Schema['ShownPiece']>;
type Answer = Piece['answers'][number];

/** An answer that is a text, word by word: each word is a place that can be pointed at. */
function TextAnswer({ answer }: { answer: Answer }) {
  return (
    <blockquote className="border-s-4 border-ink bg-sheet px-3 py-2 wrap-anywhere whitespace-pre-wrap">
      {answer.name !== '' && <p className="text-[0.75em] font-semibold text-soft">{answer.name}</p>}
      {wordsAt(answer.text).map((part) =>
        part.n === null ? (
          part.text
        ) : (
          <span key={part.n} data-place={`${answer.slot}:${answer.key}:${part.n}`}>
            {part.text}
          </span>
        ),
      )}
    </blockquote>
  );
}

/** What stands in one place. */
function SlotAnswers({ block, answers }: { block: Block; answers: Answer[] }) {
  if (answers.length === 0) return <p className="text-soft">{m.work_empty()}</p>;
  if (isText(block) || readsAsText(block))
    return (
      <div className="space-y-2">
        {answers.map((answer) => (
          <TextAnswer key={answer.key} answer={answer} />
        ))}
      </div>
    );
  if (isAlone(block))
    return (
      <Fill
        block={block}
        value=""
        onChange={null}
        others={answers.map((answer, i) => ({
          name: answer.name === '' ? m.debrief_someone({ n: i + 1 }) : answer.name,
          value: answer.text,
        }))}
      />
    );
  return answers.map((answer) => <Fill key={answer.key} block={block} value={answer.text} onChange={null} />);
}

/** One piece of work. */
function ShownWork({ piece, heading }: { piece: Piece; heading: 'h1' | 'h2' }) {
  const Heading = heading;
  if (piece.sum !== null) return <SumPicture sum={piece.sum} />;
  const places = piece.pages.reduce((n, page) => n + page.blocks.length, 0);
  return (
    <article className="min-w-0">
      <Heading className="mb-3 flex flex-wrap items-center gap-2 text-[1.15em] leading-tight font-semibold wrap-anywhere">
        {piece.group?.mark != null && <Sign mark={piece.group.mark} size={26} />}
        {piece.group !== null && <span>{piece.group.name}</span>}
        {(piece.group === null || places > 1) && (
          <span className={clsx(piece.group !== null && 'text-soft')}>{piece.title}</span>
        )}
      </Heading>
      <div className="space-y-4">
        {piece.pages.map((page) =>
          page.blocks.map((block) => (
            <section key={block.id} data-place={block.id}>
              {isSlot(block) ? (
                <>
                  <p className="mb-1 font-semibold wrap-anywhere">{block.text}</p>
                  <SlotAnswers block={block} answers={piece.answers.filter((answer) => answer.slot === block.id)} />
                </>
              ) : (
                <ReadingBlock block={block} html={piece.html.find((one) => one.block === block.id)?.html ?? ''} />
              )}
            </section>
          )),
        )}
      </div>
    </article>
  );
}

/** Where in a piece of work a press was: the place of the innermost element that has one. */
const placeOf = (target: EventTarget | null): string | null =>
  target instanceof Element ? (target.closest('[data-place]')?.getAttribute('data-place') ?? null) : null;

/** What the teacher points at is lit up in what is drawn. */
function usePointed(pointer: string) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const all = [...(box.current?.querySelectorAll('[data-place]') ?? [])];
    for (const one of all) one.toggleAttribute('data-pointed', one.getAttribute('data-place') === pointer);
    all.find((one) => one.hasAttribute('data-pointed'))?.scrollIntoView({ block: 'nearest' });
  });
  return box;
}

function Pointable({
  piece,
  heading,
  onPoint,
}: {
  piece: Piece;
  heading: 'h1' | 'h2';
  onPoint: ((pointer: string) => void) | undefined;
}) {
  const box = usePointed(piece.pointer);
  const press = (event: MouseEvent) => {
    const place = placeOf(event.target);
    if (place !== null) onPoint?.(place === piece.pointer ? '' : place);
  };
  return (
    // What can be reached by keyboard is inside; pointing says nothing that is not said aloud, too.
    // eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-static-element-interactions
    <div ref={box} className={clsx('shown-work', onPoint !== undefined && 'can-point')} onClick={press}>
      <Suspense fallback={null}>
        <ShownWork piece={piece} heading={heading} />
      </Suspense>
    </div>
  );
}

/**
 * @param props.mediaAt where its pictures are
 * @param props.onPoint points at a place in the first or the second of two
 * @param props.heading of each piece
 */
export function Shown({
  shown,
  mediaAt,
  onPoint,
  heading = 'h2',
}: {
  shown: View;
  mediaAt: (id: string) => string;
  onPoint?: (position: number, pointer: string) => void;
  heading?: 'h1' | 'h2';
}) {
  const pieces = shown.pieces as Piece[];
  return (
    <MediaContext value={{ at: mediaAt }}>
      <div className={clsx('grid gap-6', pieces.length > 1 && 'md:grid-cols-2')}>
        {pieces.map((piece, i) => (
          <Pointable
            key={i}
            piece={piece}
            heading={heading}
            onPoint={onPoint === undefined ? undefined : (pointer) => onPoint(i, pointer)}
          />
        ))}
      </div>
    </MediaContext>
  );
}
