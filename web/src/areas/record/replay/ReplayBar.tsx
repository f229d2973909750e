// The slider of a replay, with what plays it.
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import * as m from '#messages';
import { timeText } from '../../../words/when';
import type { RecordView } from '../figures';
import { timeScale } from '../timeScale';
import { speeds, type Player } from './usePlayer';

const minute = 60_000;

/** The parts of the lesson under the slider: where it went out, where it was called back. */
function Parts({ record }: { record: RecordView }) {
  const scale = timeScale(record.begunAt, record.until);
  return (
    <div aria-hidden="true" className="relative mx-2 h-3">
      {record.segments.map((one) => (
        <span
          key={one.from}
          className={`absolute inset-y-0 border-e border-ground ${one.kind === 'round' ? 'bg-ink' : 'bg-line'}`}
          style={{ insetInlineStart: `${scale.at(one.from)}%`, width: `${scale.width(one.from, one.to)}%` }}
        />
      ))}
    </div>
  );
}

/** Arrows go by a minute, with Shift by ten; Home and End to the ends. */
function jump(key: string, shift: boolean, at: number, record: RecordView): number | null {
  const step = (shift ? 10 : 1) * minute;
  const to: Record<string, number> = {
    ArrowLeft: at - step,
    ArrowDown: at - step,
    ArrowRight: at + step,
    ArrowUp: at + step,
    Home: record.begunAt,
    End: record.until,
  };
  return to[key] ?? null;
}

export function ReplayBar({ record, player, onClose }: { record: RecordView; player: Player; onClose: () => void }) {
  const { at, playing, speed } = player;
  return (
    <div className="flex flex-wrap items-center gap-3 border-b-2 border-ink bg-sheet px-5 py-2">
      <Button className="w-24 font-semibold" onClick={() => player.play(!playing)}>
        {playing ? m.replay_pause() : m.replay_play()}
      </Button>
      <Choice
        label={m.replay_speed()}
        hidden
        className="w-20"
        value={speed}
        options={speeds.map((one) => ({ value: one, label: m.replay_times({ n: one }) }))}
        onChange={(to) => player.setSpeed(to)}
      />
      <div className="min-w-48 flex-1">
        <Parts record={record} />
        <input
          type="range"
          aria-label={m.replay_moment()}
          aria-valuetext={timeText(at)}
          min={record.begunAt}
          max={record.until}
          step={1_000}
          value={Math.round(at)}
          className="block h-6 w-full accent-ink"
          onChange={(event) => player.go(Number(event.target.value))}
          onKeyDown={(event) => {
            const to = jump(event.key, event.shiftKey, at, record);
            if (event.key === ' ') {
              event.preventDefault();
              player.play(!playing);
            } else if (to !== null) {
              event.preventDefault();
              player.go(to);
            }
          }}
        />
      </div>
      <span className="font-head text-2xl tabular-nums">{timeText(at)}</span>
      <Button look="quiet" onClick={onClose}>
        {m.replay_close()}
      </Button>
    </div>
  );
}
