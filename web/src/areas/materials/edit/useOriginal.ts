// The draft of a worksheet, saved as it is typed.
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type RefObject } from 'react';
import { api, take, whole } from '../../../api/client';
import { isPassing, isProblem } from '../../../api/problem';
import type { Original } from '../blocks';
import { draftOf, forgetDraft, keepDraft, keptDraft, type Draft } from './drafts';
import { again, back, first, step, type Steps } from './steps';

export type Saving = 'saved' | 'saving' | 'unsaved';

const saveAfter = 700;
const tryAgainAfter = 2_000;

/** Where a draft stands between renderings. */
interface Place {
  /** The version the server had when what is typed was begun. */
  version: number;
  /** What is typed was begun from this. */
  base: Draft;
  latest: Draft;
}

/**
 * Sends what is typed by now.
 *
 * @returns all: nothing was typed meanwhile; together: what it has become together with what another window has saved
 */
async function send(id: string, place: Place): Promise<{ saved: Original; all: boolean; together: Draft | null }> {
  const sent = place.latest;
  const saved = whole(
    await take(
      api.PUT('/api/staff/originals/{id}', {
        params: { path: { id } },
        body: { ...sent, basedOn: place.version, base: place.base },
      }),
    ),
  );
  const all = place.latest === sent;
  const isTogether = saved.version !== place.version + 1;
  if (all) {
    place.version = saved.version;
    place.base = draftOf(saved);
    forgetDraft(id);
    if (isTogether) place.latest = place.base;
  } else {
    // What was typed since goes on from what was sent; if more is saved than that, the next save brings it together.
    place.base = sent;
    if (!isTogether) place.version = saved.version;
    keepDraft(id, place.latest, sent, place.version);
  }
  return { saved, all, together: all && isTogether ? place.base : null };
}

/** Saves now or some time after it was asked for last, one after the other. */
class Saver {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running = false;
  private onceMore = false;
  private save: () => Promise<void> = () => Promise.resolve();

  /** From now on it is saved so. */
  use(save: () => Promise<void>) {
    this.save = save;
  }

  /** Asked for while one save is under way, another follows it. */
  async now(): Promise<void> {
    this.stop();
    if (this.running) {
      this.onceMore = true;
      return;
    }
    this.running = true;
    await this.save().finally(() => (this.running = false));
    if (!this.onceMore) return;
    this.onceMore = false;
    await this.now();
  }

  later(after: number) {
    this.stop();
    this.timer = setTimeout(() => void this.now(), after);
  }

  stop() {
    clearTimeout(this.timer);
    this.timer = undefined;
  }

  /** Nobody is there any more: what still waits is saved at once. */
  leave() {
    if (this.timer !== undefined) void this.now();
  }
}

/** Sends what is typed, and what becomes of that. */
function useSave(
  id: string,
  place: RefObject<Place>,
  wasKept: boolean,
  onSaved: () => void,
  onTogether: (draft: Draft) => void,
) {
  const queries = useQueryClient();
  const [saver] = useState(() => new Saver());
  const [saving, setSaving] = useState<Saving>(wasKept ? 'unsaved' : 'saved');
  const [error, setError] = useState<string>();
  /** What another window has saved meanwhile. */
  const [theirs, setTheirs] = useState<Original | null>(null);
  const show = (fresh: Original) => queries.setQueryData(['original', id], fresh);
  const refused = async (problem: unknown) => {
    setSaving('unsaved');
    setError(isProblem(problem) && problem.status !== 409 ? problem.message : undefined);
    if (isProblem(problem, 409)) {
      const now = await take(api.GET('/api/staff/originals/{id}', { params: { path: { id } } })).catch(() => null);
      if (now !== null) setTheirs(whole(now));
    } else if (isPassing(problem)) saver.later(tryAgainAfter);
  };
  useEffect(() =>
    saver.use(async () => {
      setSaving('saving');
      try {
        const { saved, all, together } = await send(id, place.current);
        setError(undefined);
        if (together !== null) onTogether(together);
        setSaving(all ? 'saved' : 'unsaved');
        show(saved);
        onSaved();
      } catch (problem) {
        await refused(problem);
      }
    }),
  );
  useEffect(() => () => saver.leave(), [saver]);
  return { saver, saving, setSaving, error, theirs, setTheirs, show };
}

/**
 * Keeps a draft of an original and saves it as it is typed. What is not saved yet lies on this device, so that leaving,
 * reloading and a line that is down lose nothing. What another window has saved meanwhile is brought together with it
 * by the server, word by word; where that cannot be, both are there to choose from.
 */
export function useOriginal(original: Original, onSaved: () => void) {
  const { id } = original;
  const [kept] = useState(() => keptDraft(id));
  const [steps, setSteps] = useState<Steps<Draft>>(() => first(kept?.draft ?? draftOf(original)));
  const place = useRef<Place>({
    version: kept?.basedOn ?? original.version,
    base: kept?.base ?? draftOf(original),
    latest: steps.now,
  });
  const onTogether = (draft: Draft) => setSteps((now) => step(now, draft, '', 0));
  const { saver, theirs, ...saved } = useSave(id, place, kept !== null, onSaved, onTogether);
  // A draft that was left behind goes on.
  useEffect(() => {
    if (kept !== null) void saver.now();
  }, [kept, saver]);
  const put = (next: Steps<Draft>) => {
    place.current.latest = next.now;
    keepDraft(id, next.now, place.current.base, place.current.version);
    setSteps(next);
    saved.setSaving('unsaved');
    if (theirs === null) saver.later(saveAfter);
    else saver.stop(); // first it is chosen whose goes on
  };
  /** What is typed from now on goes on from what the other window has saved. */
  const beginFrom = (now: Original) => {
    place.current.version = now.version;
    place.current.base = draftOf(now);
    saved.setTheirs(null);
  };
  return {
    draft: steps.now,
    /** @param about what is being typed in, so that typing on is one step */
    change: (next: Draft, about = '') => put(step(steps, next, about, Date.now())),
    undo: steps.before.length === 0 ? null : () => put(back(steps)),
    redo: steps.after.length === 0 ? null : () => put(again(steps)),
    saving: saved.saving,
    error: saved.error,
    theirs,
    keepMine: () => {
      if (theirs !== null) beginFrom(theirs);
      void saver.now();
    },
    takeTheirs: () => {
      if (theirs === null) return;
      beginFrom(theirs);
      const next = step(steps, draftOf(theirs), '', 0);
      place.current.latest = next.now;
      forgetDraft(id);
      setSteps(next);
      saved.setSaving('saved');
      saved.show(theirs);
    },
  };
}
