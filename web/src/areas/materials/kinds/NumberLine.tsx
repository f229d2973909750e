// The numbers of all groups as dots on one line.
import * as m from '#messages';
import { blocksOf, type Block, type Copy } from '../blocks';
import { median } from './numberValue';

interface Dot {
  number: number;
  /** Whose: the student’s name. */
  name: string;
  colour: string;
}

/** So many dots fit side by side; those of numbers closer together are stacked. */
const places = 36;
const size = 1.1;

/** Where each dot goes: how far along the line, and how many are below it. */
function stack(dots: Dot[], least: number, most: number): (Dot & { at: number; below: number })[] {
  const heights = new Map<number, number>();
  return [...dots]
    .sort((a, b) => a.number - b.number)
    .map((dot) => {
      const place = most === least ? places / 2 : Math.round(((dot.number - least) / (most - least)) * places);
      const below = heights.get(place) ?? 0;
      heights.set(place, below + 1);
      return { ...dot, at: (100 * place) / places, below };
    });
}

/** The numbers of one question, a dot for each student on one line. */
function NumberLine({ question, dots }: { question: string; dots: Dot[] }) {
  const numbers = dots.map((dot) => dot.number);
  const [least, most] = [Math.min(...numbers), Math.max(...numbers)];
  const middle = Math.round(median(numbers) * 100) / 100;
  const stacked = stack(dots, least, most);
  const rows = Math.max(...stacked.map((dot) => dot.below)) + 1;
  const along = most === least ? 50 : (100 * (middle - least)) / (most - least);
  return (
    <figure className="border border-ink bg-sheet px-6 pt-3 pb-2">
      <figcaption className="font-semibold wrap-anywhere">
        {question}{' '}
        <span className="font-normal text-soft">
          {least === most
            ? m.work_sameNumbers({ n: dots.length, number: String(least) })
            : m.work_numbers({ n: dots.length, least: String(least), most: String(most), middle: String(middle) })}
        </span>
      </figcaption>
      <div aria-hidden="true" className="relative mx-3 mt-3 text-sm">
        <div className="relative border-b-2 border-ink" style={{ height: `${rows * size + 0.3}rem` }}>
          {stacked.map((dot) => (
            <span
              key={`${dot.name}${dot.at}${dot.below}`}
              title={`${dot.name}: ${dot.number}`}
              className="absolute size-4 -translate-x-1/2 rtl:translate-x-1/2 rounded-full border border-ink"
              style={{ insetInlineStart: `${dot.at}%`, bottom: `${dot.below * size + 0.1}rem`, background: dot.colour }}
            />
          ))}
          <span
            className="absolute -bottom-2 h-4 -translate-x-1/2 rtl:translate-x-1/2 border-s-2 border-ink"
            style={{ insetInlineStart: `${along}%` }}
          />
        </div>
        <div className="relative mt-1 h-6">
          <span className="absolute inset-s-0 -translate-x-1/2 rtl:translate-x-1/2">{least}</span>
          {middle !== least && middle !== most && along > 8 && along < 92 && (
            <span
              className="absolute -translate-x-1/2 rtl:translate-x-1/2 font-semibold"
              style={{ insetInlineStart: `${along}%` }}
            >
              {middle}
            </span>
          )}
          {most !== least && <span className="absolute inset-s-full -translate-x-1/2 rtl:translate-x-1/2">{most}</span>}
        </div>
      </div>
    </figure>
  );
}

const numberBlocks = (copies: Copy[]): Block[] => [
  ...new Map(
    copies
      .flatMap((copy) => blocksOf(copy.pages))
      .filter((block) => block.kind === 'number')
      .map((block) => [block.id, block]),
  ).values(),
];

/** For each question that asks for a number: the numbers of all groups on one line. */
export function NumberLines({
  copies,
  colourOf,
  nameOf,
}: {
  copies: Copy[];
  colourOf: (copy: Copy) => string;
  nameOf: (student: string) => string;
}) {
  const lines = numberBlocks(copies)
    .map((block) => ({
      block,
      dots: copies.flatMap((copy) =>
        copy.answers
          .filter((answer) => answer.slot === block.id && answer.text !== '')
          .map((answer) => ({ number: Number(answer.text), name: nameOf(answer.owner), colour: colourOf(copy) })),
      ),
    }))
    .filter(({ dots }) => dots.length > 0);
  return (
    lines.length > 0 && (
      <section aria-label={m.work_numbersAll()} className="mb-4 grid gap-3">
        {lines.map(({ block, dots }) => (
          <NumberLine key={block.id} question={block.text} dots={dots} />
        ))}
      </section>
    )
  );
}
