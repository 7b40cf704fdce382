/** The header in which a change that may be sent twice names itself: it is made once. */
export const REQUEST_NAME = 'x-jade-request';
