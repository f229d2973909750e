// Renders the first view of a page on the server.
import { QueryClient } from '@tanstack/react-query';
import { prerenderToNodeStream } from 'react-dom/static';
import { StaticRouter } from 'react-router';
import { text } from 'node:stream/consumers';
import { setRenderedAt } from './api/clock';
import type { FirstData } from './api/firstData';
import { TeacherApp } from './TeacherApp';
import { setRenderedRoom, type FloorRoom } from './areas/grouping/floor/layout/floorRoom';
import { setPlace, type Place } from './words/place';
import { forgetFormats } from './words/when';
import { collectTexts } from './words/written';

export { firstDataHtml, firstQuestions, furtherQuestions, wholeAtOnce } from './api/firstData';
export { floorRoomIn, roomText } from './areas/grouping/floor/layout/floorRoom';
export { placeIn } from './words/place';

/** React would send a large part of a page later, with a script of its own to put it in place. */
const inOnePiece = Number.MAX_SAFE_INTEGER;

/**
 * A page of the teacher's, as the browser would render it with these answers. Not for two pages at once: time, place
 * and address are the same for all that is rendered.
 *
 * @param url of the page
 * @returns what belongs into its head, its body, and the texts written into it
 * @throws Error as the components do
 */
export async function render(
  url: URL,
  first: Omit<FirstData, 'texts'>,
  place: Place,
  room: FloorRoom | null,
  language: string,
): Promise<{ head: string; body: string; texts: FirstData['texts'] }> {
  process.env.TZ = place.zone;
  setPlace(place, language);
  forgetFormats();
  setRenderedRoom(room);
  const texts = collectTexts();
  setRenderedAt(first.now);
  Object.assign(globalThis, { location: url });
  const queries = new QueryClient({ defaultOptions: { queries: { enabled: false } } });
  for (const { key, data } of first.answers) queries.setQueryData(key, data);
  const failures: unknown[] = [];
  const { prelude } = await prerenderToNodeStream(
    <TeacherApp
      queries={queries}
      Router={({ children }) => <StaticRouter location={url.pathname}>{children}</StaticRouter>}
    />,
    { progressiveChunkSize: inOnePiece, onError: (error) => void failures.push(error) },
  );
  if (failures.length > 0) throw failures[0];
  const html = await text(prelude);
  queries.clear();
  const [head = ''] = /^(?:<title[^>]*>[^<]*<\/title>|<link[^>]*>)*/.exec(html) ?? [];
  return { head, body: html.slice(head.length), texts };
}
