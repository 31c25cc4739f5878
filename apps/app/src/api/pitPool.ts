/**
 * Likely pits are run by as many workers as the machine has room for. The worker that plans hands them out itself, over a
 * port to each of its helpers, and runs its share between two looks at its messages.
 */
import type { LikelyPitJob, LikelyPitRun } from '@ostrin/core/engine';

/** A pit to run under a number of its own, and what a helper makes of it. */
interface Given {
  no: number;
  job: LikelyPitJob;
}
type Ran = { no: number; run: LikelyPitRun } | { no: number; failed: string };

/** Serves a worker that plans: runs what comes in at `port` with `run`. */
export function helpAt(port: MessagePort, run: (job: LikelyPitJob) => LikelyPitRun): void {
  port.onmessage = ({ data: { no, job } }: MessageEvent<Given>) => {
    try {
      port.postMessage({ no, run: run(job) } satisfies Ran);
    } catch (error) {
      port.postMessage({ no, failed: (error as Error).message } satisfies Ran);
    }
  };
}

/** One helper. A plan that was given up may still wait for its last pit while the next one asks. */
class Helper {
  private last = 0;
  private readonly asked = new Map<number, (ran: Ran) => void>();

  constructor(private readonly port: MessagePort) {
    port.onmessage = ({ data }: MessageEvent<Ran>) => {
      this.asked.get(data.no)?.(data);
      this.asked.delete(data.no);
    };
  }

  async run(job: LikelyPitJob): Promise<LikelyPitRun> {
    const no = ++this.last;
    const ran = await new Promise<Ran>((settle) => {
      this.asked.set(no, settle);
      this.port.postMessage({ no, job } satisfies Given);
    });
    if ('failed' in ran) throw new Error(ran.failed);
    return ran.run;
  }
}

/** What is asked of the pool: the pits, and what to do as they are done. */
interface PitsToRun {
  jobs: readonly LikelyPitJob[];
  /** Whether they are still wanted: looked at before each. */
  wanted: () => boolean;
  /** Called after each of them with how many are missing. */
  onDone: (missing: number) => void;
}

/** The helpers of a worker that plans, and itself; `pause` lets its messages come in. */
export class PitPool {
  private readonly helpers: Helper[] = [];

  constructor(
    private readonly runHere: (job: LikelyPitJob) => LikelyPitRun,
    private readonly pause: () => Promise<void>,
  ) {}

  add(port: MessagePort): void {
    this.helpers.push(new Helper(port));
  }

  /** All runs in the order of the jobs; null where they are not wanted any more. Throws what a run throws. */
  async run({ jobs, wanted, onDone }: PitsToRun): Promise<LikelyPitRun[] | null> {
    const runs: LikelyPitRun[] = [];
    let next = 0;
    let missing = jobs.length;
    const done = (at: number, run: LikelyPitRun): void => {
      runs[at] = run;
      onDone(--missing);
    };
    const byHelper = async (helper: Helper): Promise<void> => {
      while (next < jobs.length && wanted()) {
        const at = next++;
        done(at, await helper.run(jobs[at]!));
      }
    };
    const here = async (): Promise<void> => {
      while (next < jobs.length && wanted()) {
        const at = next++;
        done(at, this.runHere(jobs[at]!));
        await this.pause();
      }
    };
    await Promise.all([...this.helpers.map(byHelper), here()]);
    return wanted() ? runs : null;
  }
}
