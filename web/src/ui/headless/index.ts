export * from './Beside';
export * from './Choice';
export * from './Choices';
export * from './ChooseStudent';
export * from './Popover';
export * from './Sheet';
export * from './Tabs';
