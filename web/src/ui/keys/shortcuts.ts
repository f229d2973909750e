import * as m from '#messages';

/** A key, and what it does. */
export type Shortcut = readonly [key: string, what: string];

const undoing = (): Shortcut[] => [
  ['Ctrl Z', m.shortcuts_undo()],
  ['Ctrl Y', m.shortcuts_redo()],
  [m.shortcuts_spaceKey(), m.shortcuts_space()],
];

export const deskKeys = (): Shortcut[] => [
  ['?', m.shortcuts_list()],
  ['n', m.shortcuts_find()],
  ['l', m.shortcuts_tables()],
  ...undoing(),
  [m.shortcuts_enterKey(), m.shortcuts_enterWhy()],
];

export const lessonKeys = (): Shortcut[] => [
  ['?', m.shortcuts_list()],
  ['f', m.shortcuts_floor()],
  ['w', m.shortcuts_work()],
  ['o', m.shortcuts_materials()],
  ['r', m.shortcuts_rooms()],
  ['s', m.shortcuts_asStudent()],
  ['v', m.shortcuts_visit()],
  ['b', m.shortcuts_callBack()],
  ['m', m.shortcuts_missing()],
  ['n', m.shortcuts_nextGroup()],
  ['h', m.shortcuts_show()],
  ['c', m.shortcuts_callOn()],
  ['l', m.shortcuts_log()],
  [m.shortcuts_arrowsKey(), m.shortcuts_arrows()],
  ...undoing(),
  [m.shortcuts_enterKey(), m.shortcuts_enter()],
];
