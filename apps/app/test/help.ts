/** What several of the app's tests share. */

/** The club's kettle, as new. */
export const BOSUN = {
  id: 'bosun',
  name: 'the Bosun',
  preset: 'kettle-57',
  overrides: {},
  ventWay: 'quarters',
} as const;
