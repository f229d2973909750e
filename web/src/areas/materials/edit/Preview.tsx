// An original as students have it on a phone.
import { useState } from 'react';
import * as m from '#messages';
import { isSlot } from '../kinds/rules';
import { inVariant, type Block, type Page } from '../blocks';
import { Fill } from '../kinds/Fill';
import { ReadingBlock } from '../kinds/ReadingBlock';

function TrySlot({ block }: { block: Block }) {
  const [value, setValue] = useState('');
  if (block.kind !== 'each' && block.kind !== 'together')
    return <Fill block={block} value={value} onChange={setValue} />;
  return (
    <textarea
      aria-label={block.text}
      rows={3}
      value={value}
      onChange={(event) => setValue(event.target.value)}
      className="block w-full resize-none border-2 border-ink bg-sheet px-3 py-2 text-lg leading-relaxed"
    />
  );
}

/** The pages as a student has them on a phone. What is filled in here goes nowhere. */
export function Preview({
  title,
  pages,
  html,
  variant,
}: {
  title: string;
  pages: Page[];
  html: { block: string; html: string; variant: string }[];
  variant: string;
}) {
  return (
    <div className="mx-auto w-[360px] max-w-full border-2 border-ink bg-ground p-4">
      <p className="text-xl font-semibold wrap-anywhere font-head">{title}</p>
      <div className="mt-4 space-y-5">
        {pages.map((page, i) => (
          <section key={page.id} className="space-y-5">
            {pages.length > 1 && (
              <p className="border-b-2 border-line pb-1 text-sm text-soft">
                {page.title === '' ? m.copy_page({ n: i + 1, all: pages.length }) : page.title}
              </p>
            )}
            {page.blocks.map((plain) => {
              const block = inVariant(plain, variant);
              if (!isSlot(block))
                return (
                  <ReadingBlock
                    key={block.id}
                    block={block}
                    html={
                      html.find((one) => one.block === block.id && one.variant === variant)?.html ??
                      html.find((one) => one.block === block.id)?.html ??
                      ''
                    }
                  />
                );
              return (
                <section key={block.id} className="border-t-2 border-ink pt-3">
                  <p className="mb-2 text-lg font-semibold wrap-anywhere">{block.text}</p>
                  <TrySlot key={`${block.id}${variant}`} block={block} />
                </section>
              );
            })}
          </section>
        ))}
      </div>
      <p className="mt-6 text-xs text-soft">{m.edit_tryIt()}</p>
    </div>
  );
}
