/** Every room opens in the same window, so that a person is in one at a time. */
export const roomWindow = 'fresh-huddle-room';
