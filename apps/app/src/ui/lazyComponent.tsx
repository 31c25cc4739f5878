/** Parts of the app that are fetched after the first page stands, so that the first page stands soon. */
import { lazy, Suspense, useState, type ComponentType } from 'react';

/** Fetched later; null once the first page stands: from then on each is fetched as soon as it is known. */
let waiting: (() => Promise<unknown>)[] | null = [];

/** Fetches a part ahead of its use; it is tried again when it is shown. */
const fetchAhead = (load: () => Promise<unknown>): void => void load().catch(() => undefined);

/**
 * A component in a chunk of its own. It is fetched once the first page stands, or when it is first shown; while it
 * comes, nothing stands in its place.
 */
export function lazyComponent<P extends object>(
  load: () => Promise<{ default: ComponentType<P> }>,
): ComponentType<P> {
  let there: ComponentType<P> | null = null;
  const keep = async (): Promise<{ default: ComponentType<P> }> => {
    const loaded = await load();
    there = loaded.default;
    return loaded;
  };
  if (waiting) waiting.push(keep);
  else fetchAhead(keep);
  const Part = lazy(() => untilLoaded(keep));
  return function Later(props: P) {
    // What is there already is shown at once: what React waits for it holds back for a third of a second.
    const [Known] = useState(() => there);
    if (Known) return <Known {...props} />;
    return (
      <Suspense fallback={null}>
        <Part {...props} />
      </Suspense>
    );
  };
}

/** Tries again so long after a failure, ms: what is fetched may not come while the server is away. */
const AGAIN_MS = 1500;

/** What `load` gives, however often the line fails before. */
async function untilLoaded<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((done) => setTimeout(done, AGAIN_MS));
    }
  }
}

/** The first page stands: fetches what has not come yet, so that it is all there when the line goes down. */
export function loadLazyComponents(): void {
  waiting?.forEach(fetchAhead);
  waiting = null;
}
