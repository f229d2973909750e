import { useState } from 'react';
import type { Schema } from '../../../api/client';
import { words } from '../../../words';
import type { Settings } from './useDesk';

const methods = Object.keys(words.desk.methods);
const field = 'border border-ink bg-sheet px-2 py-1.5';

/** A number that is set when it is left, so that typing “12” is not “1” first. */
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
  const set = () => {
    const number = Math.round(Number(typed));
    if (typed !== null && number >= min && number <= max && number !== value) onSet(number);
    setTyped(null);
  };
  return (
    <input
      type="number"
      aria-label={label}
      min={min}
      max={max}
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
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
          label={words.floor.howMany}
          value={settings.groups}
          min={1}
          max={200}
          onSet={(groups) => onSet({ groups })}
        />
      )}
      {settings.shape === 'size' && (
        <Count label={words.floor.howMany} value={settings.size} min={1} max={400} onSet={(size) => onSet({ size })} />
      )}
      <select
        aria-label={words.floor.shapeKind}
        className={field}
        value={settings.shape}
        onChange={(event) => onSet({ shape: event.target.value as Settings['shape'] })}
      >
        {Object.entries(words.desk.shapeKinds).map(([kind, label]) => (
          <option key={kind} value={kind}>
            {label}
          </option>
        ))}
      </select>
      {settings.shape === 'size' && (
        <select
          aria-label={words.floor.leftOver}
          className={field}
          value={settings.remainder}
          onChange={(event) => onSet({ remainder: event.target.value as Schema['Remainder'] })}
        >
          {(['spread', 'larger', 'smaller'] as const).map((way) => (
            <option key={way} value={way}>
              {words.floor.remainder[way]}
            </option>
          ))}
        </select>
      )}
      {settings.shape === 'sizes' && (
        <Lines
          label={words.desk.sizesLabel}
          hint={words.desk.sizesHint}
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
  const hint = words.desk.hints[settings.method];
  const hasShape = !['byTable', 'byHand', 'signUp'].includes(settings.method);
  return (
    <div className="flex flex-col gap-2">
      <label className="block text-sm font-semibold">
        {words.desk.method}
        <select
          className={`mt-1 w-full font-normal ${field}`}
          value={settings.method}
          onChange={(event) => onSet({ method: event.target.value as Settings['method'] })}
        >
          {methods.map((method) => (
            <option key={method} value={method}>
              {words.desk.methods[method]}
            </option>
          ))}
        </select>
      </label>
      {hint !== undefined && <p className="text-sm text-soft">{hint}</p>}
      {hasShape && <ShapeFields settings={settings} onSet={onSet} />}
      {settings.method === 'rotation' && (
        <label className="flex items-center gap-2 text-sm font-semibold">
          {words.desk.rounds}
          <Count
            label={words.desk.rounds}
            value={settings.rounds}
            min={2}
            max={12}
            onSet={(rounds) => onSet({ rounds })}
          />
        </label>
      )}
      {settings.method === 'jigsaw' && (
        <Lines
          label={words.desk.topics}
          rows={4}
          value={settings.topics.join('\n')}
          onSet={(text) => onSet({ topics: linesIn(text) })}
        />
      )}
    </div>
  );
}
