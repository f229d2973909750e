// What has been found for the groups, before it stands on the floor.
import clsx from 'clsx';
import type { Schema } from '../../../../api/client';
import { Button } from '../../../../ui/Button';
import * as m from '#messages';
import { ruleText } from '../../../roster/RuleList';
import type { Desk } from '../useDesk';
import type { Search } from './useSearch';

const isJigsaw = (proposal: Schema['ProposalView']) => proposal.rounds.some((round) => round.name === 'experts');

function roundName(proposal: Schema['ProposalView'], i: number): string {
  if (isJigsaw(proposal)) return i === 0 ? m.desk_experts() : m.desk_home();
  return m.desk_round({ n: i + 1 });
}

/** How good it is, and whether it is still looked on. */
function Found({ proposal, looking }: { proposal: Schema['ProposalView']; looking: boolean }) {
  const jigsaw = isJigsaw(proposal);
  return (
    <div className="min-w-48 flex-1">
      <p className="font-semibold">{m.desk_proposal()}</p>
      <p role="status" className="text-sm">
        {looking ? m.desk_looking() : jigsaw ? '' : proposal.proven ? m.desk_proven() : m.desk_stopped()}
        {proposal.rounds.length > 1 && !jigsaw && <> {m.desk_repeats({ n: proposal.repeats })}</>}
        {proposal.unplaced.length > 0 && <> {m.desk_unplaced({ n: proposal.unplaced.length })}</>}
      </p>
      {proposal.notes.map((note) => (
        <p key={note} className="text-sm">
          {note}
        </p>
      ))}
    </div>
  );
}

/** What has been found, while the floor is as it was: look at it, look on, take it or leave it. */
export function ProposalBar({
  proposal,
  search,
  round,
  onRound,
  onUse,
  onAgain,
}: {
  proposal: Schema['ProposalView'];
  search: Search;
  round: number;
  onRound: (round: number) => void;
  onUse: () => void;
  onAgain: () => void;
}) {
  const several = proposal.rounds.length > 1;
  return (
    <section
      aria-label={m.desk_proposal()}
      className="max-h-[30vh] shrink-0 overflow-y-auto border-b-2 border-ink bg-wash px-5 py-2"
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Found proposal={proposal} looking={search.looking} />
        {several && (
          <div className="flex gap-1">
            {proposal.rounds.map((one, i) => (
              <button
                key={one.name}
                type="button"
                aria-pressed={round === i}
                onClick={() => onRound(i)}
                className={clsx('border border-ink px-2 py-1 text-sm', round === i ? 'bg-ink text-sheet' : 'bg-sheet')}
              >
                {roundName(proposal, i)}
              </button>
            ))}
          </div>
        )}
        <div className="flex flex-wrap items-center gap-2">
          {search.looking && proposal.rounds.length > 0 && <Button onClick={search.stop}>{m.desk_stop()}</Button>}
          {!search.looking && <Button onClick={onAgain}>{m.desk_again()}</Button>}
          <Button look="quiet" onClick={search.drop}>
            {m.desk_leave()}
          </Button>
          <Button look="main" onClick={onUse}>
            {several ? m.desk_useRounds({ n: proposal.rounds.length }) : m.desk_use()}
          </Button>
        </div>
      </div>
    </section>
  );
}

/** Rules that cannot all be kept, with a press to lift each. */
export function ConflictBar({
  conflicts,
  desk,
  nameOf,
  onLift,
  onLeave,
}: {
  conflicts: Schema['ConflictView'][];
  desk: Desk;
  nameOf: (id: string) => string;
  onLift: (rule: Schema['RuleView']) => void;
  onLeave: () => void;
}) {
  return (
    <section
      role="alert"
      aria-label={m.desk_conflict()}
      className="max-h-[30vh] overflow-y-auto border-b-2 border-ink bg-wash px-5 py-3"
    >
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-lg font-semibold">{m.desk_conflict()}</h2>
        <Button look="quiet" onClick={onLeave}>
          {m.common_close()}
        </Button>
      </div>
      {conflicts.map((conflict) => (
        <div key={conflict.message} className="mt-1">
          <p>{conflict.message}</p>
          <ul className="mt-1 flex flex-wrap gap-2">
            {desk.rules
              .filter((rule) => conflict.rules.includes(rule.id))
              .map((rule) => (
                <li key={rule.id}>
                  <Button onClick={() => onLift(rule)}>{m.desk_liftOf({ rule: ruleText(rule, nameOf) })}</Button>
                </li>
              ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
