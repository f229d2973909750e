import { copy as words } from '../../../words/copy';
import type { Block } from '../blocks';

/** Something to read, or a way to somewhere else. */
export function ReadingBlock({ block, html }: { block: Block; html: string }) {
  if (block.kind === 'link') {
    return (
      <p>
        <a
          href={block.settings.address}
          target="_blank"
          rel="noopener noreferrer"
          className="inline-flex min-h-11 items-center gap-2 border border-ink bg-sheet px-4 py-2 font-semibold wrap-anywhere"
        >
          {block.text === '' ? block.settings.address : block.text}
          <span aria-hidden="true">↗</span>
          <span className="sr-only"> ({words.opensOutside})</span>
        </a>
      </p>
    );
  }
  // The server has made it from Markdown and let through only what belongs to a text.
  return <div className="reading" dangerouslySetInnerHTML={{ __html: html }} />;
}
