/** What a person may do here: the owner everything, a viewer look. */
export const ROLES = ['owner', 'viewer'] as const;
export type Role = (typeof ROLES)[number];
