import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Choice } from '../../../ui/fields/Choice';
import { Field } from '../../../ui/fields/Field';
import * as m from '#messages';
import { list } from '../../../words/list';
import { cupboardQuery, found, type Order, type Summary } from './cupboard';

/** A teacher's originals, to be found. */
export function CupboardList({
  archived,
  children,
}: {
  archived: boolean;
  children: (original: Summary) => ReactNode;
}) {
  const originals = useQuery(cupboardQuery);
  const [looked, setLooked] = useState('');
  const [order, setOrder] = useState<Order>('changed');
  if (originals.data === undefined) return <p className="text-soft">{m.common_loading()}</p>;
  const here = originals.data.filter((one) => one.archived === archived);
  const shown = found(here, looked, order);
  return (
    <div>
      {here.length > 3 && (
        <div className="mb-4 flex flex-wrap items-end gap-3">
          <Field
            type="search"
            className="min-w-60 flex-1"
            label={m.edit_find()}
            value={looked}
            onChange={(event) => setLooked(event.target.value)}
          />
          <Choice
            label={m.edit_sortBy()}
            className="w-40"
            value={order}
            options={(['changed', 'title', 'used'] as const).map((one) => ({
              value: one,
              label: m.edit_sorts({ key: one }),
            }))}
            onChange={setOrder}
          />
        </div>
      )}
      {here.length === 0 && !archived && <p className="py-8 text-center text-soft">{m.edit_none()}</p>}
      {here.length > 0 && shown.length === 0 && <p className="py-8 text-center text-soft">{m.edit_noneFound()}</p>}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-4">
        {shown.map((one) => (
          <li key={one.id} className="flex flex-col border border-ink bg-sheet p-4 shadow-[3px_3px_0_var(--line)]">
            <p className="text-xs text-soft">{[one.subject, one.year].filter((part) => part !== '').join(' · ')}</p>
            <h3 className="text-lg font-semibold wrap-anywhere">{one.title}</h3>
            <p className="mt-1 line-clamp-3 flex-1 text-sm text-soft wrap-anywhere">{one.begins}</p>
            <p className="mt-2 text-sm">
              {[
                m.edit_holds_pages({ n: one.pages }),
                m.edit_holds_slots({ n: one.slots }),
                ...(one.variants > 0 ? [m.edit_holds_variants({ n: one.variants })] : []),
              ].join(', ')}
            </p>
            <p className="text-sm text-soft">{m.edit_usedIn({ n: one.used, classes: list(one.classes) })}</p>
            <div className="mt-3 flex flex-wrap gap-2">{children(one)}</div>
          </li>
        ))}
      </ul>
    </div>
  );
}
