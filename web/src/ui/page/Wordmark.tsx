import * as m from '#messages';

/** The product's name, its first word under the highlighter. */
export function Wordmark({ large = false }: { large?: boolean }) {
  const [first, ...rest] = m.common_product().split(' ');
  return (
    <span className={`font-head font-bold whitespace-nowrap ${large ? 'text-4xl' : 'text-lg'}`}>
      <span className="bg-accent px-1 text-on-accent">{first}</span> {rest.join(' ')}
    </span>
  );
}
