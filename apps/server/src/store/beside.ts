/** Names of what lies beside a database. */

/** The path of something of a database, under its name: `data/ostrin.sqlite` has `data/ostrin-photographs`. */
export const besideDatabase = (file: string, what: string): string =>
  `${file.replace(/\.[^./\\]*$/, '')}-${what}`;
