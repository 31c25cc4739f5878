/** A new answer is drawn part after part, so that no touch waits for all of it. */
import { startTransition, useEffect, useState } from 'react';

/**
 * The value as each of `parts` parts of a page should show it: at first all the same; when it changes, the
 * parts take it up one after another, each in a task of its own.
 */
export function useStaggered<T>(value: T, parts: number): readonly T[] {
  const [shown, setShown] = useState<readonly T[]>(() =>
    Array.from({ length: parts }, () => value),
  );
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const take = (part: number): void => {
      startTransition(() =>
        setShown((s) => (s[part] === value ? s : s.map((v, i) => (i === part ? value : v)))),
      );
      if (part + 1 < parts) timer = setTimeout(take, 0, part + 1);
    };
    take(0);
    return () => clearTimeout(timer);
  }, [value, parts]);
  return shown;
}
