/** What both workers do: they speak the app's messages, and a question is answered or has failed. */
import type { FromWorker } from './messages';

interface WorkerScope<Asked> {
  postMessage(message: FromWorker): void;
  onmessage: ((event: MessageEvent<Asked>) => void) | null;
}

/** The types know `self` as a page's window; in a worker it speaks these messages and nothing else. */
export const workerScope = <Asked>(): WorkerScope<Asked> => self;

/** Answers a question with what `work` gives, or says why it failed. */
export function answer(id: number, work: () => FromWorker['result']): void {
  const scope = workerScope<never>();
  try {
    scope.postMessage({ id, kind: 'done', result: work() });
  } catch (error) {
    scope.postMessage({ id, kind: 'failed', message: (error as Error).message });
  }
}
