/** What a column holds. A table has at most one of each but `ignore`, `path` and `more keys`. */
export const ROLES = ['name', 'path', 'keys', 'more keys', 'Mac keys', 'kind', 'ignore'] as const;
export type Role = (typeof ROLES)[number];
