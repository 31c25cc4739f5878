/** The log of a cook and its readings: what was written down, by hand and by instruments. */
export {
  probeOutSinceMin,
  surprisesOf,
  surprisesSeen,
  withGusts,
  withSlips,
  type Surprise,
  type SurpriseKind,
  type SurpriseSeen,
} from './log/surprises';
export {
  atTheGrate,
  lastPieceReading,
  type PieceReading,
  type ReadingRow,
  readingsOfPast,
  withHandReadings,
} from './instruments/readings';
export type { ChannelTold, Disagreement } from './instruments/disagreement';
export type { CheckedAgainst, InstrumentCheck } from './instruments/instrumentChecks';
export {
  LOOKS,
  OF_PIECE,
  MUSCLES,
  type Look,
  type LookAt,
  type Muscle,
  type SmokeLook,
  type Verdict,
} from './log/lookKinds';
export { inSteps, isTelling, MOST_VALUES, STEPS } from './instruments/steps';
export {
  isPossible,
  isTemperature,
  mergedRow,
  mergedRows,
  ownValues,
  type OwnValue,
  WIRE_SPOTS,
  wireReadings,
  type WireSpot,
  type WireValue,
} from './instruments/wire';
export {
  actionsOf,
  alreadyLogged,
  deedAtMs,
  type Entry,
  type EntryBody,
  entryProblem,
  finishOf,
  foldLog,
  lastDeed,
  piecesOfLine,
  lastVents,
  litAtMs,
  type Log,
  deedsOfLine,
  type LogLine,
  type Writer,
} from './log/log';
export { jobsLeft } from './log/feeds';
export { type DueJob, jobMs, type JobClock, jobsByTime } from './forecast/jobTimes';
export type { JudgedOf, NoteSubject, PieceVerdict, WeighedThing } from './log/verdictKinds';
export type { CurrentShift, Offer } from './log/shift';
