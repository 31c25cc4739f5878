/**
 * The browser's Back closes the sheet that lies on top. Each open sheet has an entry of the browser's history, of the
 * page that it lies on. A sheet that is closed otherwise leaves its entry to the next one; nothing is stepped but by
 * Back, so that nothing is under way when the router moves on to another page.
 */

/** Closes the open sheets, the one on top last. */
const open: (() => void)[] = [];
/** How many entries of sheets the shown entry of the history stands on, itself included; 0 on a page. */
let depth = 0;

/** What marks an entry of the history that stands for a sheet: its depth. */
const MARK = 'ostrinSheet';
const depthOf = (state: unknown): number =>
  (state as { [MARK]?: number } | null | undefined)?.[MARK] ?? 0;

function onBack(event: PopStateEvent): void {
  const left = depth;
  depth = depthOf(event.state);
  if (left === 0) return;
  // A step between entries of one page: the router would build that page anew.
  event.stopImmediatePropagation();
  if (open.length > depth) open.at(-1)?.();
  else history.back();
}

/**
 * Hears Back before the router does. It has to be called before the router begins to listen: a window calls its
 * listeners in the order in which they came, those that capture too.
 */
export function hearBackFirst(): void {
  if (typeof window !== 'undefined' && window.history) window.addEventListener('popstate', onBack);
}

/** The router moved to another page: it writes the entry of that page over the shown one, or after it. */
export function pageMoved(): void {
  depth = 0;
}

/** A sheet opened that Back closes by `close`. Returns what its end calls. */
export function sheetOpened(close: () => void): () => void {
  open.push(close);
  if (depth < open.length) {
    depth++;
    history.pushState({ ...(history.state as object | null), [MARK]: depth }, '');
  }
  return () => {
    open.splice(open.indexOf(close), 1);
  };
}
