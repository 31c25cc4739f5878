/** Asks the worker that learns pits; it is started for one question and ended with it. */
import type { LoggedCook, PitBefore } from '@ostrin/core/learning';
import type { CookToLearn, FromWorker, LearnAnswer, ToLearnWorker } from './messages';

interface LearnListener {
  onProgress(share: number): void;
  onLearned(answer: LearnAnswer): void;
  onFail(message: string): void;
}

/** Learns a pit from cooks and test burns. Returns how to give it up. */
export function askLearned(
  before: PitBefore,
  { cooks = [], burns = [] }: { cooks?: CookToLearn[]; burns?: LoggedCook[] },
  to: LearnListener,
): () => void {
  const worker = new Worker(new URL('./learn.worker', import.meta.url));
  worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
    if (data.kind === 'progress') {
      to.onProgress(data.share ?? 0);
      return;
    }
    worker.terminate();
    if (data.kind === 'failed') to.onFail(data.message ?? '');
    else to.onLearned(data.result as LearnAnswer);
  };
  worker.postMessage({ id: 1, before, cooks, burns } satisfies ToLearnWorker);
  return () => worker.terminate();
}
