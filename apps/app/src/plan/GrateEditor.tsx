/** The grate with its pieces laid by hand: dragged by finger, turned by a tap, moved with the arrow keys. */
import { cutOf, presetOf } from '@ostrin/core/catalogue';
import { grateOf, placementProblem, type PlacedPiece } from '@ostrin/core/engine';
import type { GratePlan, PiecePlacement, PlannedFire, RequestMeat } from '@ostrin/core';
import { useMemo, useRef, useState } from 'react';
import { View, type GestureResponderEvent } from 'react-native';
import { frameOf, GrateDrawing } from '../drawings/Grate';
import { usePlanDraft } from '../store/planDraft';
import { Button } from '../ui/Button';
import { SmallText } from '../ui/Text';

interface Props {
  preset: string;
  diameterM: number;
  fire: PlannedFire;
  grate: GratePlan;
  meats: readonly RequestMeat[];
  size: number;
}

type PieceOnGrate = GratePlan['laid'][number];

/** A finger that moved less than this has tapped, px; an arrow key moves a piece so far, m; smallest target, px. */
const TAP_PX = 6;
const KEY_M = 0.01;
const TARGET_PX = 48;
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const WHY = {
  'off-ground': 'Not there: that is over the fire or over the edge. It stays where it was.',
  touching: 'Not there: pieces need a finger of space between them. It stays where it was.',
};
const HOW = 'Drag a piece to lay it elsewhere, tap it to turn it.';

/** Steps of a laid piece, m: a person cannot place it finer. */
const toMm = (m: number): number => Math.round(m * 1000) / 1000;

/** Where the pieces of each meat lie, as the draft keeps it. */
function placementsOf(laid: readonly PieceOnGrate[]): Map<string, PiecePlacement[]> {
  const lies = new Map<string, PiecePlacement[]>();
  for (const p of laid) {
    const lie = { x: p.x, y: p.y, ...(p.lengthM < p.widthM ? { turned: true } : {}) };
    lies.set(p.meat, [...(lies.get(p.meat) ?? []), lie]);
  }
  return lies;
}

export function GrateEditor({ preset, diameterM, fire, grate, meats, size }: Props) {
  const shape = useMemo(
    () => grateOf(presetOf(preset), fire.arrangement),
    [preset, fire.arrangement],
  );
  const { m, height, cx, cy } = frameOf(shape, diameterM, size);
  // What was laid by hand stands at once; the plan follows.
  const [hand, setHand] = useState({ of: grate, laid: grate.laid });
  const laid = hand.of === grate ? hand.laid : grate.laid;
  const [held, setHeld] = useState<{ i: number; piece: PieceOnGrate } | null>(null);
  const [said, setSaid] = useState(HOW);
  const changeMeat = usePlanDraft((s) => s.changeMeat);
  const byHand = usePlanDraft((s) =>
    s.meats.some((w) => w.lie && meats.some((x) => x.id === w.id)),
  );

  const why = (i: number, piece: PlacedPiece) =>
    placementProblem(
      shape,
      piece,
      laid.filter((_, k) => k !== i),
    );
  const put = (i: number, piece: PieceOnGrate): void => {
    setHeld(null);
    const no = why(i, piece);
    if (no) {
      setSaid(WHY[no]);
      return;
    }
    setSaid(HOW);
    const next = laid.map((p, k) => (k === i ? piece : p));
    setHand({ of: grate, laid: next });
    for (const [id, lie] of placementsOf(next)) changeMeat(id, { lie });
  };
  const moved = (i: number, dx: number, dy: number): PieceOnGrate => {
    const p = laid[i]!;
    return { ...p, x: toMm(p.x + dx), y: toMm(p.y + dy) };
  };
  const turned = (i: number): PieceOnGrate => {
    const p = laid[i]!;
    return { ...p, lengthM: p.widthM, widthM: p.lengthM };
  };
  const shown = held ? laid.map((p, k) => (k === held.i ? held.piece : p)) : laid;
  const wrong = held && why(held.i, held.piece) ? held.i : undefined;
  return (
    <View className="gap-2">
      <View style={{ width: size, height, alignSelf: 'center' }} testID="lay-grate">
        <GrateDrawing
          preset={preset}
          diameterM={diameterM}
          fire={fire}
          grate={{ ...grate, laid: shown }}
          meats={meats}
          size={size}
          wrong={wrong}
        />
        {shown.map((p, i) => {
          const w = Math.max(p.lengthM * m, TARGET_PX);
          const h = Math.max(p.widthM * m, TARGET_PX);
          const cut = cutOf(meats.find((x) => x.id === p.meat)?.cut ?? 'brisket');
          return (
            <Piece
              key={i}
              name={`${cut.name} ${i + 1} of ${laid.length}`}
              box={{ left: cx + p.x * m - w / 2, top: cy + p.y * m - h / 2, width: w, height: h }}
              onMove={(dx, dy) => setHeld({ i, piece: moved(i, dx / m, dy / m) })}
              onDrop={(dx, dy) => put(i, moved(i, dx / m, dy / m))}
              onTurn={() => put(i, turned(i))}
              onKey={(key) => {
                const step = ARROWS[key];
                if (step) put(i, moved(i, step[0] * KEY_M, step[1] * KEY_M));
                return step !== undefined;
              }}
            />
          );
        })}
      </View>
      <View aria-live="polite">
        <SmallText>{said}</SmallText>
      </View>
      {byHand ? (
        <Button
          label="Lay them out for me"
          onPress={() => meats.forEach((x) => changeMeat(x.id, { lie: undefined }))}
        />
      ) : null}
    </View>
  );
}

interface PieceProps {
  name: string;
  box: { left: number; top: number; width: number; height: number };
  onMove: (dx: number, dy: number) => void;
  onDrop: (dx: number, dy: number) => void;
  onTurn: () => void;
  /** An arrow key; says whether it was one. */
  onKey: (key: string) => boolean;
}

/** What a finger takes hold of. */
function Piece({ name, box, onMove, onDrop, onTurn, onKey }: PieceProps) {
  const from = useRef({ x: 0, y: 0 });
  const moved = ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent): [number, number] => [
    pageX - from.current.x,
    pageY - from.current.y,
  ];
  // Keys are the browser's: React Native knows no prop for them.
  const keys = {
    onKeyDown: (e: { key: string; preventDefault(): void }) => {
      if (e.key === 'Enter' || e.key === 't') onTurn();
      else if (onKey(e.key)) e.preventDefault();
    },
  };
  return (
    <View
      {...keys}
      onStartShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={({ nativeEvent: { pageX, pageY } }) => {
        from.current = { x: pageX, y: pageY };
      }}
      onResponderMove={(e) => onMove(...moved(e))}
      onResponderRelease={(e) => {
        const [dx, dy] = moved(e);
        if (Math.hypot(dx, dy) < TAP_PX) onTurn();
        else onDrop(dx, dy);
      }}
      onResponderTerminate={() => onDrop(0, 0)}
      accessible
      role="button"
      tabIndex={0}
      accessibilityLabel={`${name}: drag or use the arrow keys to move it, Enter turns it`}
      // @ts-expect-error React Native has no touch action; without it the page scrolls under the finger.
      style={{ position: 'absolute', ...box, touchAction: 'none', cursor: 'move' }}
    />
  );
}
