/** Moving about a strip: dragging pans, two fingers or the wheel zoom, a touch reads values off. */
import { useRef, useState } from 'react';

/** What part of a cook is shown, epoch ms. */
export interface Span {
  from: number;
  to: number;
}

/** Never closer than this, and never wider, ms. */
const SHORTEST_MS = 10 * 60_000;
const LONGEST_MS = 72 * 3_600_000;
/** A touch that moves by more than this drags, px. */
const DRAGS_PX = 8;
/** What one notch of a wheel does to the width. */
const WHEEL_PER_PX = 0.0015;

/** A span zoomed about one of its moments: `times` as wide, within bounds. */
export function zoomed({ from, to }: Span, about: number, times: number): Span {
  const width = Math.min(Math.max((to - from) * times, SHORTEST_MS), LONGEST_MS);
  const share = (about - from) / (to - from);
  return { from: about - share * width, to: about + (1 - share) * width };
}

/** A span moved along time. */
export const panned = ({ from, to }: Span, byMs: number): Span => ({
  from: from + byMs,
  to: to + byMs,
});

interface Field {
  /** Time runs down. */
  down: boolean;
  /** Where the field begins along time, px, and how long it is. */
  start: number;
  length: number;
}

/** What a pointer tells, as far as it is used. */
interface PointerLike {
  nativeEvent: {
    pointerId: number;
    clientX: number;
    clientY: number;
    currentTarget?: unknown;
  };
  currentTarget: unknown;
}

/** The part of an element that tells where it lies. */
interface Placed {
  getBoundingClientRect?: () => { left: number; top: number };
  setPointerCapture?: (id: number) => void;
}

/** The span that is shown, where values are read off, and what to hang on the strip. */
export function useStripView(natural: Span, { down, start, length }: Field) {
  const [view, setView] = useState<Span | null>(null);
  const [cursor, setCursor] = useState<number | null>(null);
  const shown = view ?? natural;
  const fingers = useRef(new Map<number, number>());
  const drag = useRef<{ at: number; span: Span; apart: number | null; moved: boolean } | null>(
    null,
  );

  const alongOf = (e: PointerLike): number => {
    const box = (e.currentTarget as Placed).getBoundingClientRect?.() ?? { left: 0, top: 0 };
    return down ? e.nativeEvent.clientY - box.top : e.nativeEvent.clientX - box.left;
  };
  const msAt = (px: number, span: Span): number =>
    span.from + ((px - start) / length) * (span.to - span.from);

  const begin = (e: PointerLike): void => {
    fingers.current.set(e.nativeEvent.pointerId, alongOf(e));
    const [a, b] = [...fingers.current.values()];
    drag.current = {
      at: b === undefined ? a! : (a! + b) / 2,
      span: shown,
      apart: b === undefined ? null : Math.max(Math.abs(a! - b), 1),
      moved: b !== undefined,
    };
  };
  const move = (e: PointerLike): void => {
    const { pointerId } = e.nativeEvent;
    const d = drag.current;
    if (!d || !fingers.current.has(pointerId)) return;
    fingers.current.set(pointerId, alongOf(e));
    const [a, b] = [...fingers.current.values()];
    const middle = b === undefined ? a! : (a! + b) / 2;
    if (!d.moved && Math.abs(middle - d.at) < DRAGS_PX) return;
    if (!d.moved) (e.currentTarget as Placed).setPointerCapture?.(pointerId);
    d.moved = true;
    const times = d.apart === null || b === undefined ? 1 : d.apart / Math.max(Math.abs(a! - b), 1);
    const held = msAt(d.at, d.span);
    const wider = zoomed(d.span, held, times);
    setView(panned(wider, held - msAt(middle, wider)));
  };
  const end = (e: PointerLike): void => {
    const { pointerId } = e.nativeEvent;
    const known = fingers.current.delete(pointerId);
    if (known && drag.current && !drag.current.moved) {
      const at = msAt(alongOf(e), shown);
      setCursor((c) => (c !== null && Math.abs(c - at) < (shown.to - shown.from) / 40 ? null : at));
    }
    if (fingers.current.size === 0) drag.current = null;
  };
  const leave = (e: PointerLike): void => {
    fingers.current.delete(e.nativeEvent.pointerId);
    if (fingers.current.size === 0) drag.current = null;
  };
  const zoom = (times: number, px = start + length / 2): void =>
    setView(zoomed(shown, msAt(px, shown), times));

  return {
    shown,
    cursor,
    /** Whether it was moved away from now. */
    moved: view !== null || cursor !== null,
    toNow: (): void => {
      setView(null);
      setCursor(null);
    },
    zoom,
    handlers: {
      onPointerDown: begin,
      onPointerMove: move,
      onPointerUp: end,
      onPointerCancel: leave,
      onWheel: (e: { nativeEvent: { deltaY: number } } & PointerLike): void =>
        zoom(Math.exp(e.nativeEvent.deltaY * WHEEL_PER_PX), alongOf(e)),
    },
  };
}
