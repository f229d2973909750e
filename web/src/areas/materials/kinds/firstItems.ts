import * as m from '#messages';

/** What a new block begins with, one entry per line of the sentence. */
export const firstItems = (): Record<string, string[]> => ({
  sort: m.edit_begins_sort().split('\n'),
  table: m.edit_begins_table().split('\n'),
  markUp: m.edit_begins_markUp().split('\n'),
});
