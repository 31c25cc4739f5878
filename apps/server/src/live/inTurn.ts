/** Writes queue up behind each other, so that a check and its write belong together. */

/** Runs work after all that was asked for before. */
export type InTurn = <T>(work: () => Promise<T>) => Promise<T>;

/** A new queue. */
export function oneAfterAnother(): InTurn {
  let turn: Promise<unknown> = Promise.resolve();
  return <T>(work: () => Promise<T>): Promise<T> => {
    const mine = turn.then(work, work);
    turn = mine.catch(() => undefined);
    return mine;
  };
}
