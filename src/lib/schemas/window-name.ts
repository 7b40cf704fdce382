/** The header, and the field of a form, in which a window of a browser names itself with each change. */
export const WINDOW_NAME = 'x-jade-window';
