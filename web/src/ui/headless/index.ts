// What opens over a page; loaded when the first of it is needed.
export * from './Beside';
export * from './Choice';
export * from './Choices';
export * from './ChooseStudent';
export * from './Popover';
export * from './Sheet';
export * from './Tabs';
