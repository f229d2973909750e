import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { isPassing, isProblem } from '../../api/problem';
import { forgetDraft, keepDraft, keptDraft, type Draft } from './drafts';

export type Saving = 'saved' | 'saving' | 'unsaved';

const saveAfter = 700;
const tryAgainAfter = 2_000;

const draftOf = (original: Schema['OriginalView'] | null, untitled: string): Draft => ({
  title: original?.title ?? untitled,
  blocks: original?.blocks ?? [],
});

/**
 * Keeps a draft of the original and saves it as it is typed. What is not saved yet lies on this device, so that leaving,
 * reloading and a line that is down lose nothing; where another window was first, both are there to choose from.
 */
export function useOriginal(lesson: Schema['LessonView'], untitled: string) {
  const queries = useQueryClient();
  const roundId = lesson.round.id;
  const lessonId = lesson.id;
  const [kept] = useState(() => keptDraft(roundId));
  const [draft, setDraft] = useState<Draft>(() => kept?.draft ?? draftOf(lesson.original, untitled));
  const [saving, setSaving] = useState<Saving>(kept === null ? 'saved' : 'unsaved');
  const [error, setError] = useState<string>();
  /** What another window has saved meanwhile. */
  const [theirs, setTheirs] = useState<Schema['OriginalView'] | null>(null);
  const version = useRef(kept?.basedOn ?? lesson.original?.version ?? 0);
  const latest = useRef(draft);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const running = useRef(false);
  const again = useRef(false);
  const retry = useRef<() => void>(() => undefined);

  const show = useCallback(
    (original: Schema['OriginalView']) =>
      queries.setQueryData<Schema['LessonView']>(['lesson', lessonId], (old) =>
        old === undefined ? old : { ...old, original },
      ),
    [queries, lessonId],
  );

  const save = useCallback(async () => {
    if (running.current) {
      again.current = true;
      return;
    }
    running.current = true;
    setSaving('saving');
    const sent = latest.current;
    try {
      const saved = await take(
        api.PUT('/api/staff/rounds/{id}/original', {
          params: { path: { id: roundId } },
          body: { ...sent, basedOn: version.current },
        }),
      );
      version.current = saved.version;
      setError(undefined);
      const all = latest.current === sent;
      if (all) forgetDraft(roundId);
      else keepDraft(roundId, latest.current, saved.version);
      setSaving(all ? 'saved' : 'unsaved');
      show(saved);
    } catch (problem) {
      setSaving('unsaved');
      setError(isProblem(problem) && problem.status !== 409 ? problem.message : undefined);
      if (isProblem(problem, 409)) {
        const now = await take(api.GET('/api/staff/lessons/{id}', { params: { path: { id: lessonId } } })).catch(
          () => null,
        );
        if (now?.original != null && now.round.id === roundId) setTheirs(now.original);
      } else if (isPassing(problem)) timer.current = setTimeout(() => retry.current(), tryAgainAfter);
    } finally {
      running.current = false;
      if (again.current) {
        again.current = false;
        retry.current();
      }
    }
  }, [show, lessonId, roundId]);

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

  const change = (next: Draft) => {
    latest.current = next;
    keepDraft(roundId, next, version.current);
    setDraft(next);
    setSaving('unsaved');
    clearTimeout(timer.current);
    if (theirs !== null) return; // first it is chosen whose goes on
    timer.current = setTimeout(() => {
      timer.current = undefined;
      void save();
    }, saveAfter);
  };

  const keepMine = () => {
    if (theirs !== null) version.current = theirs.version;
    setTheirs(null);
    void save();
  };
  const takeTheirs = () => {
    if (theirs === null) return;
    const mine = latest.current;
    version.current = theirs.version;
    latest.current = draftOf(theirs, untitled);
    forgetDraft(roundId);
    setDraft(latest.current);
    setSaving('saved');
    setTheirs(null);
    show(theirs);
    return mine;
  };
  return { draft, change, saving, error, theirs, keepMine, takeTheirs };
}
