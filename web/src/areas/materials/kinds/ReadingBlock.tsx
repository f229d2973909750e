import { useContext } from 'react';
import * as m from '#messages';
import { MediaContext } from '../media';
import type { Block } from '../blocks';

/** Something to read, to look at or to hear, or a way to somewhere else. */
export function ReadingBlock({ block, html }: { block: Block; html: string }) {
  const media = useContext(MediaContext);
  if (block.kind === 'picture') {
    if (block.settings.media === '') return null;
    return (
      <figure>
        <img src={media.at(block.settings.media)} alt={block.text} className="max-h-[80vh] border border-line" />
        {block.text !== '' && <figcaption className="mt-1 text-sm wrap-anywhere text-soft">{block.text}</figcaption>}
      </figure>
    );
  }
  if (block.kind === 'spokenNote') {
    if (block.settings.media === '') return null;
    const name = block.text === '' ? m.copy_spokenNote() : block.text;
    return (
      <figure>
        <figcaption className="mb-1 font-semibold wrap-anywhere">{name}</figcaption>
        {/* What is said stands in no text: it is for those who cannot read yet. */}
        {/* eslint-disable-next-line jsx-a11y/media-has-caption */}
        <audio controls preload="metadata" src={media.at(block.settings.media)} aria-label={name} className="w-full" />
      </figure>
    );
  }
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
          <span className="sr-only"> ({m.copy_opensOutside()})</span>
        </a>
      </p>
    );
  }
  // The server has made it from Markdown and let through only what belongs to a text.
  return <div className="reading" dangerouslySetInnerHTML={{ __html: html }} />;
}
