/** Parts of the app that are fetched after the first page stands, so that the first page stands soon. */
import { lazy, Suspense, useEffect, useState, type ComponentType } from 'react';
import { Text, View } from 'react-native';
import { Button } from './Button';

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
      <Suspense fallback={<NotHereYet />}>
        <Part {...props} />
      </Suspense>
    );
  };
}

/** A part that has not come after this time may be gone, ms: a newer version was built since this page was loaded. */
const LATE_MS = 5000;

/** Nothing at first; then a way out, for a part that does not come. */
function NotHereYet() {
  const [late, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), LATE_MS);
    return () => clearTimeout(timer);
  }, []);
  if (!late) return null;
  return (
    <View
      role="alert"
      testID="part-missing"
      className="absolute bottom-0 left-0 right-0 z-10 gap-2 border-t-2 border-pit bg-sheet p-4"
    >
      <Text className="font-sans text-ink text-[16px] leading-[22px]">
        This part of the page has not arrived. There may be a newer version: load the page again.
        What you logged is kept.
      </Text>
      <Button kind="primary" label="Load the page again" onPress={() => location.reload()} />
    </View>
  );
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
