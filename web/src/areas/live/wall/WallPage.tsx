// The class page, for the wall.
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { api, take, type Schema } from '../../../api/client';
import { secondsUntil, setServerNow, useServerNow } from '../../../api/clock';
import { isPassing } from '../../../api/problem';
import { Code } from '../../../ui/signs/Code';
import { Duration } from '../../../ui/signs/Duration';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { doorLink } from '../../roster/door/doorLink';
import type { AroundWall } from '../laterParts';
import { comingBackUntil, phaseOf } from '../phase';
import { layOut } from './wallLayout';
import { backKey, forwardKey } from '../../../ui/direction';
import { useRoom } from '../../../ui/useRoom';

type View = Schema['ClassPageView'];

const askEvery = 3_000;
/** Long enough to read a page of names. */
const turnEvery = 9_000;

/** Turns pages by itself, and by keys. @returns the page that is shown, from 0 */
function useTurning(pages: number) {
  const [turned, setTurned] = useState(0);
  useEffect(() => {
    if (pages < 2) return undefined;
    const timer = setTimeout(() => setTurned((n) => n + 1), turnEvery);
    return () => clearTimeout(timer);
  }, [pages, turned]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === forwardKey()) setTurned((n) => n + 1);
      if (event.key === backKey()) setTurned((n) => n + pages - 1);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [pages]);
  return { page: pages === 0 ? 0 : turned % pages, turn: () => setTurned(turned + 1) };
}

/** @param props.size of the type, in pixels */
function GroupBox({ group, size }: { group: View['groups'][number]; size: number }) {
  const { colour } = markOf(group.mark);
  return (
    <section className="flex min-w-0 flex-col border-4 bg-sheet" style={{ borderColor: colour }}>
      <h2
        className="flex items-center gap-3 px-3 py-1 leading-tight wrap-anywhere"
        style={{
          fontSize: size * 1.1,
          backgroundColor: `color-mix(in oklab, ${colour} 16%, var(--sheet))`,
        }}
      >
        <Sign mark={group.mark} size={size} /> {group.name}
      </h2>
      <ul className="px-3" style={{ fontSize: size, lineHeight: 1.3 }}>
        {group.names.length === 0 && <li className="text-soft">{m.wall_nobody()}</li>}
        {group.names.map((name) => (
          <li key={name} className="wrap-anywhere">
            {name}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Groups({ groups }: { groups: View['groups'] }) {
  const { box, width, height } = useRoom({ width: 1240, height: 600 });
  const { size, columns, pages } = layOut(groups, width, height);
  const { page, turn } = useTurning(pages.length);
  return (
    <>
      <div
        ref={box}
        className="grid min-h-0 flex-1 auto-rows-auto content-stretch gap-3 overflow-hidden"
        style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
      >
        {(pages[page] ?? []).map((group, k) => (
          <GroupBox key={`${group.name}-${k}`} group={group} size={size} />
        ))}
      </div>
      {pages.length > 1 && (
        <button type="button" className="self-end text-2xl underline" onClick={turn}>
          {m.wall_pageOf({ page: page + 1, pages: pages.length })} · {m.wall_turn()}
        </button>
      )}
    </>
  );
}

function ComeIn({ doorWord }: { doorWord: string }) {
  return (
    <div className="grid min-h-0 flex-1 items-center gap-10 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
      <Code text={doorLink(doorWord)} className="max-h-[60vh] w-full" />
      <div>
        <p className="text-4xl">{m.wall_orType()}</p>
        <p className="text-5xl font-semibold wrap-anywhere">{window.location.host}/student</p>
        <p className="mt-8 text-4xl">{m.wall_word()}</p>
        <p className="font-head text-8xl leading-tight font-bold wrap-anywhere">{doorWord}</p>
      </div>
    </div>
  );
}

/** What a line at the top says: what is on, and how long still. */
function Now({ view, now }: { view: View; now: number }) {
  const phase = phaseOf(view.moments, now);
  const round = view.segment?.kind === 'round' || view.segment === null;
  const [say, until] = view.over
    ? [m.wall_over(), null]
    : round && phase === 'looking'
      ? [m.wall_look(), view.moments?.outAt ?? null]
      : round && phase === 'out'
        ? [m.wall_goNow(), view.moments?.endsAt ?? null]
        : round && phase === 'comingBack'
          ? [m.wall_back(), view.moments === null ? null : comingBackUntil(view.moments)]
          : round && phase === 'back' && view.segment !== null
            ? [view.back !== null && view.back === view.of ? m.wall_everybodyBack() : m.wall_isBack(), null]
            : [
                view.segment === null
                  ? m.wall_comeIn()
                  : view.segment.instructions === ''
                    ? m.wall_kinds({ key: view.segment.kind })
                    : view.segment.instructions,
                view.segment?.endsAt ?? null,
              ];
  const urgent = round && (phase === 'comingBack' || phase === 'looking') && !view.over;
  return (
    <header
      className={`flex items-center gap-6 border-b-4 border-ink px-8 py-4 ${urgent ? 'bg-attention text-on-accent' : 'bg-sheet'}`}
    >
      <div className="min-w-0 flex-1">
        <p className="truncate text-2xl">
          {view.className} · {view.title}
          {view.segment !== null && !view.over && view.segment.instructions !== '' && (
            <> · {m.wall_kinds({ key: view.segment.kind })}</>
          )}
        </p>
        <h1 className="line-clamp-2 pb-1 text-4xl leading-snug">{say}</h1>
      </div>
      {round && !view.over && view.back !== null && view.back !== view.of && (
        <p className="shrink-0 text-3xl">{m.wall_backOf({ back: view.back, of: view.of ?? view.back })}</p>
      )}
      {until !== null && until > now && (
        <p className="shrink-0 text-7xl font-bold" role="timer">
          <Duration seconds={secondsUntil(until, now)} />
        </p>
      )}
    </header>
  );
}

/** The page with nothing around it. */
const Alone = ({ children }: { children: ReactNode }) => children;

/** For the wall: who is with whom, and how long still; read from the back of the hall. No links and no answers. */
export function WallPage({ Around = Alone }: { Around?: AroundWall }) {
  const { token = '' } = useParams();
  const now = useServerNow(250);
  const page = useQuery({
    queryKey: ['wall', token],
    queryFn: async () => {
      const view = await take(api.GET('/api/class-page/{token}', { params: { path: { token } } }));
      setServerNow(view.serverNow);
      return view;
    },
    refetchInterval: askEvery,
    retry: false,
  });
  useEffect(() => {
    document.title = page.data === undefined ? 'Fresh Huddle' : `${page.data.className} · Fresh Huddle`;
  }, [page.data]);
  if (page.data === undefined) return <p className="p-8 text-3xl">{page.isError ? m.wall_gone() : ''}</p>;
  const view = page.data;
  const phase = phaseOf(view.moments, now);
  const shows = view.groups.length > 0 && (phase === 'looking' || phase === 'out' || phase === 'comingBack');
  return (
    <div className="flex h-dvh flex-col bg-ground text-ink">
      <Now view={view} now={now} />
      <main className="flex min-h-0 flex-1 flex-col gap-3 px-5 py-3">
        <Around token={token}>
          {view.over ? null : shows ? <Groups groups={view.groups} /> : <ComeIn doorWord={view.doorWord} />}
        </Around>
      </main>
      {page.isError && isPassing(page.error) && <p className="bg-sheet px-8 py-2 text-2xl">{m.wall_noLine()}</p>}
    </div>
  );
}
