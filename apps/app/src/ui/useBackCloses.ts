/** The browser's Back closes the sheet that lies on top, and never leaves the page under it. */
import { useEffect, useEffectEvent } from 'react';

/** Closes the open sheets, the one on top last. */
const open: (() => void)[] = [];
/** Entries of the browser's history that stand for open sheets. */
let pushed = 0;
/** Steps back that were taken here, and are no touch on Back. */
let ownSteps = 0;
let listens = false;

/** What marks an entry of the history that stands for a sheet. */
const MARK = 'ostrinSheet';
const isMarked = (): boolean => (history.state as Record<string, unknown> | null)?.[MARK] === true;

/** A sheet that opens in the place of another takes its entry, when it comes within this, ms. */
const NEXT_SHEET_MS = 400;

/** Steps between entries of sheets are no business of the router: the page under them stays as it is. */
function onBack(event: PopStateEvent): void {
  if (ownSteps === 0 && pushed === 0) return;
  event.stopImmediatePropagation();
  if (ownSteps > 0) {
    ownSteps--;
    return;
  }
  pushed--;
  open.at(-1)?.();
}

/** Gives back entries that no sheet stands behind any more. */
function giveBack(): void {
  const spare = pushed - open.length;
  if (spare <= 0) return;
  pushed -= spare;
  // Another page was opened meanwhile: its entry is not to be left.
  if (!isMarked()) return;
  ownSteps++;
  history.go(-spare);
}

/** While the caller is shown, Back calls `close` and nothing else. */
export function useBackCloses(close: () => void): void {
  const onClose = useEffectEvent(close);
  useEffect(() => {
    if (typeof window === 'undefined' || !window.history) return undefined;
    const mine = (): void => onClose();
    if (!listens) window.addEventListener('popstate', onBack, { capture: true });
    listens = true;
    open.push(mine);
    if (pushed < open.length) {
      history.pushState({ ...(history.state as object | null), [MARK]: true }, '');
      pushed++;
    }
    return () => {
      open.splice(open.indexOf(mine), 1);
      setTimeout(giveBack, NEXT_SHEET_MS);
    };
  }, []);
}
