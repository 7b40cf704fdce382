/** A mark of a copy whose hidden tile is gone: opened, and thrown away. Without it a regular copy is unopened. */
export const OPENED = 'opened';
