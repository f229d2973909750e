// The panel of the grouping desk for the way of grouping and the size of groups.
import { Choice } from '../../../ui/fields/Choice';
import { useEffect, useRef, useState } from 'react';
import * as m from '#messages';
import type { Settings } from './useDesk';

const methods: Settings['method'][] = [
  'deal',
  'balance',
  'countOff',
  'byTable',
  'byHand',
  'signUp',
  'jigsaw',
  'rotation',
];
const shapeKinds = ['groups', 'size', 'sizes'] as const;
const pause = 400;
const field = 'border border-ink bg-sheet px-2 py-1.5';

/** A number that is set after a pause, or when it is left, so that typing “12” is not “1” first. */
function Count({
  label,
  value,
  min,
  max,
  onSet,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  onSet: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const take = (text: string | null) => {
    clearTimeout(timer.current);
    const number = Math.round(Number(text));
    if (text !== null && text.trim() !== '' && number >= min && number <= max && number !== value) onSet(number);
  };
  const set = () => {
    take(typed);
    setTyped(null);
  };
  return (
    <input
      type="number"
      aria-label={label}
      min={min}
      max={max}
      value={typed ?? value}
      onChange={(event) => {
        const text = event.target.value;
        setTyped(text);
        clearTimeout(timer.current);
        timer.current = setTimeout(() => take(text), pause);
      }}
      onBlur={set}
      onKeyDown={(event) => event.key === 'Enter' && set()}
      className={`w-18 ${field}`}
    />
  );
}

/** A text that is set when it is left. */
function Lines({
  label,
  hint,
  value,
  rows,
  onSet,
}: {
  label: string;
  hint?: string;
  value: string;
  rows: number;
  onSet: (value: string) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <label className="block w-full text-sm font-semibold">
      {label}
      <textarea
        rows={rows}
        placeholder={hint}
        value={typed ?? value}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          if (typed !== null && typed !== value) onSet(typed);
          setTyped(null);
        }}
        className={`mt-1 w-full font-normal ${field}`}
      />
    </label>
  );
}

const numbersIn = (text: string) =>
  text
    .split(/[^0-9]+/)
    .filter((one) => one !== '')
    .map(Number);
const linesIn = (text: string) => [
  ...new Set(
    text
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => line !== ''),
  ),
];

function ShapeFields({ settings, onSet }: { settings: Settings; onSet: (change: Partial<Settings>) => void }) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      {settings.shape === 'groups' && (
        <Count
          label={m.floor_howMany()}
          value={settings.groups}
          min={1}
          max={400}
          onSet={(groups) => onSet({ groups })}
        />
      )}
      {settings.shape === 'size' && (
        <Count label={m.floor_howMany()} value={settings.size} min={1} max={1200} onSet={(size) => onSet({ size })} />
      )}
      <Choice
        hidden
        label={m.floor_shapeKind()}
        value={settings.shape}
        options={shapeKinds.map((kind) => ({ value: kind, label: m.desk_shapeKinds({ key: kind }) }))}
        onChange={(shape) => onSet({ shape })}
      />
      {settings.shape === 'size' && (
        <Choice
          hidden
          label={m.floor_leftOver()}
          value={settings.remainder}
          options={(['spread', 'larger', 'smaller'] as const).map((way) => ({
            value: way,
            label: m.floor_remainder({ key: way }),
          }))}
          onChange={(remainder) => onSet({ remainder })}
        />
      )}
      {settings.shape === 'sizes' && (
        <Lines
          label={m.desk_sizesLabel()}
          hint={m.desk_sizesHint()}
          rows={1}
          value={settings.sizes.join(', ')}
          onSet={(text) => onSet({ sizes: numbersIn(text) })}
        />
      )}
    </div>
  );
}

/** Which way of grouping, and how many groups of what size. */
export function MethodPanel({ settings, onSet }: { settings: Settings; onSet: (change: Partial<Settings>) => void }) {
  const hint = m.desk_hints({ key: settings.method });
  const hasShape = !['byTable', 'byHand', 'signUp'].includes(settings.method);
  return (
    <div className="flex flex-col gap-2">
      <Choice
        label={m.desk_method()}
        value={settings.method}
        options={methods.map((method) => ({ value: method, label: m.desk_methods({ key: method }) }))}
        onChange={(method) => onSet({ method })}
      />
      {hint !== '' && <p className="text-sm text-soft">{hint}</p>}
      {hasShape && <ShapeFields settings={settings} onSet={onSet} />}
      {settings.method === 'rotation' && (
        <label className="flex items-center gap-2 text-sm font-semibold">
          {m.desk_rounds()}
          <Count
            label={m.desk_rounds()}
            value={settings.rounds}
            min={2}
            max={12}
            onSet={(rounds) => onSet({ rounds })}
          />
        </label>
      )}
      {settings.method === 'jigsaw' && (
        <Lines
          label={m.desk_topics()}
          rows={4}
          value={settings.topics.join('\n')}
          onSet={(text) => onSet({ topics: linesIn(text) })}
        />
      )}
    </div>
  );
}
