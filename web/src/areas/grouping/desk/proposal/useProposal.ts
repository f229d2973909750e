// The proposal that is looked at: moved in, applied, put away.
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useMessages } from '../../../../ui/page/messages';
import * as m from '#messages';
import type { useFloor } from '../../floor/useFloor';
import { asFloor } from './asFloor';
import { whole, type Desk, type Settings } from '../useDesk';
import { useSearch, type Proposal } from './useSearch';

type Control = ReturnType<typeof useFloor>;

/**
 * Asking for groups, looking at what was found, and taking it up.
 *
 * @param drawn how the desk is set, as it is shown
 */
export function useProposal(desk: Desk, drawn: Settings, control: Control) {
  const queries = useQueryClient();
  const { say } = useMessages();
  const search = useSearch(desk.id);
  const [round, setRound] = useState(0);
  const { proposal } = search;
  const shown = proposal?.rounds[round] ?? proposal?.rounds[0];

  const takeUp = (found: Proposal) => {
    const last = found.rounds.at(-1);
    if (last !== undefined) {
      queries.setQueryData<Desk>(['desk', desk.id], (old) =>
        old === undefined ? old : { ...old, floor: asFloor(old.floor, last) },
      );
    }
    control.take(drawn.method, found.rounds);
    search.drop();
    if (found.rounds.length > 1) void queries.invalidateQueries({ queryKey: ['class', desk.classId] });
  };
  const start = () => {
    // What was set by the very press that starts it counts, though it is not drawn yet.
    const settings = whole(queries.getQueryData<Desk>(['desk', desk.id])?.settings ?? drawn);
    setRound(0);
    // What is over in a moment is done at once; it can be undone.
    const atOnce = ['deal', 'countOff', 'byTable'].includes(settings.method);
    search.start(settings, (found) => {
      if (!atOnce || found.rounds.length === 0) return false;
      takeUp(found);
      if (found.conflicts.length > 0) say(found.conflicts.map((conflict) => conflict.message).join(' '));
      for (const note of found.notes) say(note);
      if (found.unplaced.length > 0) say(m.desk_unplaced({ n: found.unplaced.length }));
      return true;
    });
  };
  /** While a proposal is looked at, a move takes it first. */
  const editing: Control = {
    ...control,
    edit: (edit) => {
      if (proposal !== null && proposal.rounds.length > 0) takeUp(proposal);
      control.edit(edit);
    },
  };
  return {
    search,
    proposal,
    round,
    setRound,
    floor: shown === undefined ? desk.floor : asFloor(desk.floor, shown),
    takeUp,
    start,
    editing,
  };
}
