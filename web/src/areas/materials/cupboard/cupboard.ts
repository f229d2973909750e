// A teacher’s originals: asked for, searched, put in order.
import { queryOptions } from '@tanstack/react-query';
import { api, take, type Schema } from '../../../api/client';

export type Summary = Schema['OriginalSummary'];
export type Order = 'changed' | 'title' | 'used';

export const cupboardQuery = queryOptions({
  queryKey: ['originals'],
  queryFn: () => take(api.GET('/api/staff/originals')),
});

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase();

/** Those in whose title, subject, year, words or beginning all that is looked for stands, in an order. */
export function found(all: Summary[], looked: string, order: Order): Summary[] {
  const parts = plain(looked).split(/\s+/).filter(Boolean);
  const fits = all.filter((one) => {
    const text = plain([one.title, one.subject, one.year, one.about, one.begins, ...one.classes].join(' '));
    return parts.every((part) => text.includes(part));
  });
  const by: Record<Order, (a: Summary, b: Summary) => number> = {
    changed: (a, b) => b.changedAt - a.changedAt,
    title: (a, b) => a.title.localeCompare(b.title),
    used: (a, b) => b.used - a.used,
  };
  return fits.sort(by[order]);
}
