// The search for better groups, as long as it brings something.
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, take, type Schema } from '../../../../api/client';
import { useMessages } from '../../../../ui/page/messages';
import type { Settings } from '../useDesk';

export type Proposal = Schema['ProposalView'];

const firstMs = 60;
const moreMs = 400;
/** Looks in a row that bring nothing, after which the search ends by itself. */
const patience = 40;
const goesOn = (method: string) => method === 'balance' || method === 'rotation';

export interface Search {
  proposal: Proposal | null;
  looking: boolean;
  start: (settings: Settings, onFound?: (proposal: Proposal) => boolean) => void;
  /** Stops looking; the best so far stays. */
  stop: () => void;
  /** Puts the proposal away. */
  drop: () => void;
}

const canGetBetter = (settings: Settings, best: Proposal) =>
  goesOn(settings.method) && best.rounds.length > 0 && !best.proven;

/**
 * Asks for groups, shows the first answer at once, and goes on looking for better ones, each from the best so far,
 * until it is stopped, nothing better is possible, or nothing better has come for a while.
 */
export function useSearch(groupingId: string): Search {
  const { fail } = useMessages();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [looking, setLooking] = useState(false);
  const run = useRef(0);

  const stop = useCallback(() => {
    run.current++;
    setLooking(false);
  }, []);
  const drop = useCallback(() => {
    stop();
    setProposal(null);
  }, [stop]);
  useEffect(() => stop, [stop]);

  const start = useCallback(
    (settings: Settings, onFound?: (found: Proposal) => boolean) => {
      const mine = ++run.current;
      let seed = Math.floor(Math.random() * 1_000_000_000);
      const ask = (forMs: number, from: Schema['ProposedRound'][] | null) =>
        take(
          api.POST('/api/staff/groupings/{id}/propose', {
            params: { path: { id: groupingId } },
            body: { settings, seed: seed++, from, forMs },
          }),
        );
      const search = async () => {
        let best = await ask(firstMs, null);
        if (run.current !== mine || onFound?.(best) === true) return;
        setProposal(best);
        let idle = 0;
        while (run.current === mine && idle < patience && canGetBetter(settings, best)) {
          const next = await ask(moreMs, best.rounds);
          if (run.current !== mine) return;
          if (next.cost < best.cost - 1e-9 || next.proven) {
            best = next;
            idle = 0;
            setProposal(best);
          } else idle++;
        }
      };
      setLooking(true);
      search()
        .catch((error: unknown) => {
          if (run.current === mine) fail(error);
        })
        .finally(() => {
          if (run.current === mine) setLooking(false);
        });
    },
    [groupingId, fail],
  );
  return { proposal, looking, start, stop, drop };
}
