import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, take, whole } from '../../api/client';
import { isPassing, isProblem } from '../../api/problem';
import type { Original } from './blocks';
import { draftOf, forgetDraft, keepDraft, keptDraft, type Draft } from './drafts';
import { again, back, first, step, type Steps } from './steps';

export type Saving = 'saved' | 'saving' | 'unsaved';

const saveAfter = 700;
const tryAgainAfter = 2_000;

/**
 * Keeps a draft of an original and saves it as it is typed. What is not saved yet lies on this device, so that leaving,
 * reloading and a line that is down lose nothing. What another window has saved meanwhile is brought together with it
 * by the server, word by word; where that cannot be, both are there to choose from.
 */
export function useOriginal(original: Original, onSaved: () => void) {
  const queries = useQueryClient();
  const { id } = original;
  const [kept] = useState(() => keptDraft(id));
  const [steps, setSteps] = useState<Steps<Draft>>(() => first(kept?.draft ?? draftOf(original)));
  const [saving, setSaving] = useState<Saving>(kept === null ? 'saved' : 'unsaved');
  const [error, setError] = useState<string>();
  /** What another window has saved meanwhile. */
  const [theirs, setTheirs] = useState<Original | null>(null);
  const version = useRef(kept?.basedOn ?? original.version);
  /** What is typed was begun from this. */
  const base = useRef<Draft>(kept?.base ?? draftOf(original));
  const latest = useRef(steps.now);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const running = useRef(false);
  const onceMore = useRef(false);
  const retry = useRef<() => void>(() => undefined);
  const told = useRef(onSaved);
  useEffect(() => {
    told.current = onSaved;
  });

  const show = useCallback((fresh: Original) => queries.setQueryData(['original', id], fresh), [queries, id]);

  const save = useCallback(async () => {
    if (running.current) {
      onceMore.current = true;
      return;
    }
    running.current = true;
    setSaving('saving');
    const sent = latest.current;
    try {
      const saved = whole(
        await take(
          api.PUT('/api/staff/originals/{id}', {
            params: { path: { id } },
            body: { ...sent, basedOn: version.current, base: base.current },
          }),
        ),
      );
      setError(undefined);
      const all = latest.current === sent;
      const isTogether = saved.version !== version.current + 1;
      if (all) {
        version.current = saved.version;
        base.current = draftOf(saved);
        forgetDraft(id);
        if (isTogether) {
          latest.current = base.current;
          setSteps((now) => step(now, base.current, '', 0));
        }
      } else {
        // What was typed since goes on from what was sent; if more is saved than that, the next save brings it
        // together.
        base.current = sent;
        if (!isTogether) version.current = saved.version;
        keepDraft(id, latest.current, sent, version.current);
      }
      setSaving(all ? 'saved' : 'unsaved');
      show(saved);
      told.current();
    } catch (problem) {
      setSaving('unsaved');
      setError(isProblem(problem) && problem.status !== 409 ? problem.message : undefined);
      if (isProblem(problem, 409)) {
        const now = await take(api.GET('/api/staff/originals/{id}', { params: { path: { id } } })).catch(() => null);
        if (now !== null) setTheirs(whole(now));
      } else if (isPassing(problem)) timer.current = setTimeout(() => retry.current(), tryAgainAfter);
    } finally {
      running.current = false;
      if (onceMore.current) {
        onceMore.current = false;
        retry.current();
      }
    }
  }, [show, id]);

  useEffect(() => {
    retry.current = () => void save();
  }, [save]);

  // A draft that was left behind goes on; leaving the page saves what is still waiting.
  useEffect(() => {
    if (kept !== null) retry.current();
    return () => {
      if (timer.current !== undefined) {
        clearTimeout(timer.current);
        retry.current();
      }
    };
  }, [kept]);

  const put = (next: Steps<Draft>) => {
    latest.current = next.now;
    keepDraft(id, next.now, base.current, version.current);
    setSteps(next);
    setSaving('unsaved');
    clearTimeout(timer.current);
    if (theirs !== null) return; // first it is chosen whose goes on
    timer.current = setTimeout(() => {
      timer.current = undefined;
      void save();
    }, saveAfter);
  };

  const keepMine = () => {
    if (theirs !== null) {
      version.current = theirs.version;
      base.current = draftOf(theirs);
    }
    setTheirs(null);
    void save();
  };
  const takeTheirs = () => {
    if (theirs === null) return;
    version.current = theirs.version;
    base.current = draftOf(theirs);
    const next = step(steps, draftOf(theirs), '', 0);
    latest.current = next.now;
    forgetDraft(id);
    setSteps(next);
    setSaving('saved');
    setTheirs(null);
    show(theirs);
  };
  return {
    draft: steps.now,
    /** @param about what is being typed in, so that typing on is one step */
    change: (next: Draft, about = '') => put(step(steps, next, about, Date.now())),
    undo: steps.before.length === 0 ? null : () => put(back(steps)),
    redo: steps.after.length === 0 ? null : () => put(again(steps)),
    saving,
    error,
    theirs,
    keepMine,
    takeTheirs,
  };
}
