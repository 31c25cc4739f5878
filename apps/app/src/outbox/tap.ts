/** A tap on its way to the server. */
import type { Entry } from '@ostrin/core/log';

/** Why the server did not take a tap. */
export interface Refusal {
  /** The HTTP status. */
  status: number;
  /** What the server said. */
  reason: string;
  /** Whether it is taken when its writer confirms it. */
  confirmable?: boolean;
  /** What another phone logged of the same thing. */
  already?: Entry;
}

export interface Tap {
  /** Its place in the order of taps; given when it is kept. */
  seq?: number;
  cookId: string;
  /** What the cook is called, to name it when it is no longer open. */
  cookName: string;
  entry: Entry;
  /** Whether its writer was asked and wants it stored anyway. */
  confirmed?: boolean;
  /** Set aside until its writer decides; null while it waits to be sent. */
  refused: Refusal | null;
  /** Times that the server failed on it. */
  failures: number;
}
