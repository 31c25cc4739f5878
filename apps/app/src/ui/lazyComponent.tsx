/** Parts of the app that are fetched after the first page stands, so that the first page stands soon. */
import { lazy, Suspense, type ComponentType } from 'react';

const waiting: (() => Promise<unknown>)[] = [];

/**
 * A component in a chunk of its own. It is fetched when it is first shown, or by `fetchTheRest` before that;
 * while it comes, nothing stands in its place.
 */
export function lazyComponent<P extends object>(
  load: () => Promise<{ default: ComponentType<P> }>,
): ComponentType<P> {
  waiting.push(load);
  const Part = lazy(load);
  return function Later(props: P) {
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}

/** Fetches what has not come yet, one after another, so that it is all there when the line goes down. */
export async function loadLazyComponents(): Promise<void> {
  while (waiting.length > 0) await waiting.shift()!().catch(() => undefined);
}
