/** Something of past cooks that a worker works out, asked once for what it depends on. */
import { useEffect, useState } from 'react';

interface WorkedOut<T> {
  /** Null until it is there, and where there is nothing to tell. */
  answer: T | null;
  /** Whether it is still being worked out. */
  busy: boolean;
  failure: string | null;
}

/** Asks anew when `key` changes; a null key asks nothing. */
export function useWorkedOut<T>(key: string | null, ask: () => Promise<T | null>): WorkedOut<T> {
  const [state, setState] = useState<WorkedOut<T> & { key: string | null }>({
    key: null,
    answer: null,
    busy: false,
    failure: null,
  });
  useEffect(() => {
    if (key === null) return;
    let wanted = true;
    const tell = (answer: T | null, failure: string | null): void => {
      if (wanted) setState({ key, answer, busy: false, failure });
    };
    ask()
      .then((answer) => tell(answer, null))
      .catch((e: Error) => tell(null, e.message));
    return () => {
      wanted = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- The key stands for all that is asked.
  }, [key]);
  return state.key === key ? state : { answer: null, busy: key !== null, failure: null };
}
