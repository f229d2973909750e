// A long text in its parts.
export interface Part {
  /** The heading it begins with; '' for none. */
  title: string;
  text: string;
}

const heading = /^#{1,6}\s+(.+?)\s*#*$/;
const mark = /^\s*(?:-{3,}|\*{3,}|_{3,})\s*$/;

/**
 * A long text in its parts: at headings of its highest level, or where the teacher has set marks (lines of three dashes
 * or more). What stands before the first heading belongs to the first part. A text with neither is one part.
 */
export function cutText(text: string): Part[] {
  const lines = text.split('\n');
  const marks = lines.some((line) => mark.test(line));
  const levels = lines.flatMap((line) => (heading.test(line) ? [/^#+/.exec(line)?.[0].length ?? 6] : []));
  const top = Math.min(...levels);
  const starts = (line: string) => !marks && heading.test(line) && /^#+/.exec(line)?.[0].length === top;
  const parts: string[][] = [[]];
  let seen = false;
  for (const line of lines) {
    if (marks && mark.test(line)) parts.push([]);
    else {
      if (starts(line)) {
        if (seen) parts.push([]);
        seen = true;
      }
      parts.at(-1)?.push(line);
    }
  }
  return parts
    .map((part) => part.join('\n').trim())
    .filter((part) => part !== '')
    .map((part) => {
      const found = part.split('\n').find((line) => heading.test(line));
      return { title: found === undefined ? '' : (heading.exec(found)?.[1] ?? '').slice(0, 120), text: part };
    });
}
