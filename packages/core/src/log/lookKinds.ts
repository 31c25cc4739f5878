/** What can be seen or felt at a pit, and how it is logged. */

/** What is looked at, and what can be seen or felt. */
export const LOOKS = {
  /** A skewer in the middle of a piece; of ribs, how a rack bends where it is lifted. */
  tender: ['tough', 'some-tug', 'like-butter', 'stiff', 'bends', 'cracks'],
  /** A finger drawn over the bark. */
  bark: ['wipes-off', 'sets'],
  /** The smoke at the stack. */
  smoke: ['clear', 'thin-blue', 'white', 'dark'],
  /** The weather at the pit: rain that begins or ends, wind that gets up or drops, a single gust. */
  weather: ['rain', 'dry', 'windy', 'calm', 'gust'],
} as const;
export type LookAt = keyof typeof LOOKS;
export type Verdict = (typeof LOOKS)[LookAt][number];
/** Looks at a piece; the others are of the whole pit. */
export const OF_PIECE: ReadonlySet<LookAt> = new Set<LookAt>(['tender', 'bark']);
export type WeatherLook = (typeof LOOKS)['weather'][number];
export type SmokeLook = (typeof LOOKS)['smoke'][number];

/** The muscles of a brisket: the lean one and the fat one. */
export const MUSCLES = ['flat', 'point'] as const;
export type Muscle = (typeof MUSCLES)[number];

/** One look, as it is logged. */
export interface Look {
  what: LookAt;
  verdict: Verdict;
  /** The piece that was looked at; left out where it was the pit. */
  meat?: string;
  /** Which of a brisket's two muscles was felt; left out where that was not said. */
  muscle?: Muscle;
}
