/** Whether the page reads from right to left, as `<html dir>` says. */
export const isRightToLeft = () => document.documentElement.dir === 'rtl';

/** The arrow key that points towards the end of a line. */
export const forwardKey = () => (isRightToLeft() ? 'ArrowLeft' : 'ArrowRight');

/** The arrow key that points towards the start of a line. */
export const backKey = () => (isRightToLeft() ? 'ArrowRight' : 'ArrowLeft');
