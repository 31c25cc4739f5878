/** What stands in the way of a wish, as codes and figures. */

/** What stands in the way of a wish. Masses in kg, lengths in m, times in min or epoch ms. */
export type ProblemFacts =
  | {
      kind: 'no-room';
      cut: string;
      lengthM: number;
      widthM: number;
      /** Room beside the fire, m; null where other pieces take it. */
      roomM: number | null;
      pit: string;
    }
  | { kind: 'too-many-pieces'; cut: string; wanted: number; fits: number; feeds: number }
  | { kind: 'piece-touching'; cut: string }
  | { kind: 'piece-off-grate'; cut: string }
  | { kind: 'too-cool'; settlesC: number }
  | { kind: 'too-hot'; settlesC: number }
  | { kind: 'never-done'; longestMin: number; targetC: number }
  | { kind: 'bowl-too-small'; lastsMin: number; slowCookMin: number }
  | { kind: 'serving-passed' }
  | { kind: 'lighting-passed'; lightMs: number; earliestMs: number }
  | {
      kind: 'arrives-late';
      cut: string;
      notBefore: string;
      inHundred: number;
      serveMs: number;
      soonerMin: number;
    }
  | { kind: 'still-frozen'; cut: string; needH: number; haveH: number; laterH: number }
  | { kind: 'salt-late'; cut: string; agoMin: number };

export interface ProblemFigures {
  /** The field of the request that it is about. */
  field: string;
  /** Its figures, by kind. */
  facts: ProblemFacts;
}
