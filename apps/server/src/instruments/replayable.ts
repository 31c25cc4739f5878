/**
 * A simulated cook that can be taken back: a copy of it is kept now and then, and when what was done before turns
 * out otherwise, it goes on from the last copy before that.
 */
import { advance, createCook, type Cook, type PieceVariation } from '@ostrin/core/engine';
import type { Scenario } from '@ostrin/core';
import cloneDeep from 'lodash/cloneDeep.js';

type Action = Scenario['actions'][number];

/** A copy is kept each so many minutes, and so many of them: the older half is thinned when there are more. */
const COPY_EVERY_MIN = 30;
const MOST_COPIES = 16;

/** A copy of a cook, and its minute. */
interface Copy {
  atMin: number;
  cook: Cook;
}

/** The first minute from which two lists of actions differ; Infinity where they do not. */
function firstDifference(a: readonly Action[], b: readonly Action[]): number {
  const inOrder = (list: readonly Action[]): Action[] =>
    [...list].sort((x, y) => x.atMin - y.atMin);
  const [x, y] = [inOrder(a), inOrder(b)];
  for (let i = 0; i < Math.max(x.length, y.length); i++) {
    const [p, q] = [x[i], y[i]];
    if (JSON.stringify(p) !== JSON.stringify(q)) {
      return Math.min(p?.atMin ?? Infinity, q?.atMin ?? Infinity);
    }
  }
  return Infinity;
}

export class Replayable {
  private actions: readonly Action[] = [];
  private now: Copy | null = null;
  private copies: Copy[] = [];

  constructor(
    private readonly scenario: Scenario,
    private readonly variations: PieceVariation[],
  ) {}

  /** Tells of all that is done in it, minutes after lighting. */
  follow(actions: readonly Action[]): void {
    const from = firstDifference(this.actions, actions);
    this.actions = [...actions];
    if (from === Infinity) return;
    this.copies = this.copies.filter((c) => c.atMin < from);
    if (this.now && this.now.atMin < from)
      this.now.cook.pending = this.pendingAfter(this.now.atMin);
    else this.now = null;
  }

  /** The cook at a minute after lighting; it is good until the next call. Throws where it cannot be computed. */
  at(min: number): Cook {
    if (!this.now || this.now.atMin > min) this.now = this.takenBack(min);
    const { now } = this;
    let copyAt = this.nextCopyMin(now.atMin);
    while (copyAt <= min) {
      advance(now.cook, copyAt);
      now.atMin = copyAt;
      this.keepCopy(now);
      copyAt += COPY_EVERY_MIN;
    }
    advance(now.cook, min);
    now.atMin = min;
    return now.cook;
  }

  private nextCopyMin(atMin: number): number {
    return COPY_EVERY_MIN * (Math.floor(atMin / COPY_EVERY_MIN) + 1);
  }

  /** The last copy before a minute, with what is done from then on; the very start where there is none. */
  private takenBack(min: number): Copy {
    const copy = this.copies.filter((c) => c.atMin <= min).at(-1);
    if (!copy) {
      const cook = createCook(
        { ...this.scenario, actions: [...this.actions] },
        { variations: this.variations },
      );
      return { atMin: 0, cook };
    }
    const cook = cloneDeep(copy.cook);
    cook.pending = this.pendingAfter(copy.atMin);
    return { atMin: copy.atMin, cook };
  }

  /** What is done after a minute; what was done until then has happened in the cook. */
  private pendingAfter(atMin: number): Action[] {
    return this.actions.filter((a) => a.atMin > atMin).sort((a, b) => a.atMin - b.atMin);
  }

  private keepCopy(copy: Copy): void {
    if (this.copies.some((c) => c.atMin === copy.atMin)) return;
    this.copies.push({ atMin: copy.atMin, cook: cloneDeep(copy.cook) });
    if (this.copies.length <= MOST_COPIES) return;
    const old = this.copies.length / 2;
    this.copies = this.copies.filter((_, i) => i >= old || i % 2 === 0);
  }
}
