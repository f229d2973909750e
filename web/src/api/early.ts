/**
 * Asked for by the page itself, before our scripts are here: what is needed first comes while they are still coming.
 */
interface Early {
  /** When it was asked, milliseconds since 1970. */
  at: number;
  /** By path. */
  answers: Record<string, Promise<Response | null> | undefined>;
  /** What was typed into which field on a page the server had rendered, before React took it over. */
  typed?: Map<HTMLElement, string>;
  /** The single key that was pressed last there, outside a field. */
  key?: KeyboardEvent;
  /** What was pressed last there. */
  pressed?: HTMLElement;
  /** Hears them until then, by the kind of event, and lets nobody else hear a press. */
  hear?: Record<string, (event: Event) => void>;
}

declare global {
  interface Window {
    early?: Early;
  }
}

const freshFor = 15_000;

/** The status of an early answer where nobody is signed in. */
export const nobody = 204;

/**
 * @returns the answer that was asked for early, once; null where there is none for this address, or it has grown old
 */
export async function takeEarly(request: Request): Promise<Response | null> {
  const { early } = window;
  const { pathname } = new URL(request.url);
  const answer = early?.answers[pathname];
  if (early === undefined || answer === undefined || request.method !== 'GET') return null;
  early.answers[pathname] = undefined;
  const kept = Date.now() - early.at < freshFor ? await answer : null;
  // What nobody was answered is asked again by whoever has signed in meanwhile.
  return kept?.status === nobody ? null : kept;
}

/**
 * Looks at it without taking it.
 * @returns its status; null where it was not asked, was not answered, or has not come soon
 */
export async function earlyStatus(pathname: string, patience = 2_500): Promise<number | null> {
  const soon = new Promise<null>((resolve) => setTimeout(() => resolve(null), patience));
  return (await Promise.race([window.early?.answers[pathname] ?? null, soon]))?.status ?? null;
}
