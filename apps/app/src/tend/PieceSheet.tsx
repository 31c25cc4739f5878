/** One piece: where it is on its way, what wrapping now would save and cost, what is safe, its alarm, probe and log. */
import { meatOf, type PlanLog } from '@ostrin/core';
import { cutOf, doneByFeel } from '@ostrin/core/catalogue';
import { MINUTE_MS, type Units } from '@ostrin/core/quantity';
import type { CookNow, Outlook } from '@ostrin/core/tending';
import { forecastInputs } from '@ostrin/core/tending';
import { notSafeWords } from '@ostrin/wording/tending';
import { capital, cautionWords, massWords, phaseWords, safetyWords } from '@ostrin/wording';
import { Text, View } from 'react-native';
import { pieceNamed } from '../store/names';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Heading } from '../ui/Title';
import { degrees, roughClock } from '../ui/words';
import { logAction } from './actions';
import { useTendedCook } from './cookContext';
import { PieceAlarm } from './PieceAlarm';
import { PieceProbes } from './PieceProbes';
import { readyOf } from './useCookNow';
import { useOutlook } from './useOutlook';
import { WrapOptions } from './WrapOptions';

interface Props {
  /** Its id. */
  meat: string;
  /** Why it is earlier or later than planned, in a sentence; null where it is near enough. */
  why: string | null;
  /** Opens its log. */
  onLog: () => void;
  onClose: () => void;
}

const Paragraph = ({ children }: { children: string }) => (
  <Text className="font-sans text-ink text-[16px] leading-[23px]">{children}</Text>
);

export function PieceSheet({ meat: id, why, onLog, onClose }: Props) {
  const { cook, mayLog, onLogged } = useTendedCook();
  const { plan, log, zeroMs, nowMs } = cook;
  const piece = cook.pieces.find((p) => p.id === id)!;
  const input = forecastInputs(cook, nowMs, [id])[id] ?? null;
  const units = useSettings((s) => s.units);
  const { outlook, failure } = useOutlook(input);
  const cut = cutOf(meatOf(plan.request, id).cut);
  const unsafe = piece.notSafe;
  const clock = (min: number): string =>
    roughClock(zeroMs + min * MINUTE_MS, plan.request.timeZone);
  const put = (action: PlanLog): void => {
    void logAction(plan, log, action, nowMs).then(onLogged);
    onClose();
  };
  return (
    <Sheet title={titleOf(cook, id)} onClose={onClose}>
      {input ? <Paragraph>{capital(readyOf(cook, piece))}</Paragraph> : null}
      {failure ? (
        <Notice tone="warn" title="This could not be worked out">
          {failure}
        </Notice>
      ) : null}
      {!input ? <Paragraph>The fire is not lit yet.</Paragraph> : null}
      {input && !outlook && !failure ? <Paragraph>Looking at the readings.</Paragraph> : null}
      {outlook ? (
        <View className="gap-4" testID="outlook">
          <PieceFigures
            outlook={outlook}
            units={units}
            isRead={piece.read !== null && nowMs - piece.read.at < READ_FOR_MIN * MINUTE_MS}
          />
          <Paragraph>{unsafe ? notSafeWords(unsafe, units) : phaseWords(outlook, clock)}</Paragraph>
          {why ? <Paragraph>{why}</Paragraph> : null}
          {outlook.options.length > 1 ? (
            <WrapOptions options={outlook.options} clock={clock} byFeel={doneByFeel(cut)} />
          ) : null}
          <View className="gap-1">
            <Heading>Food safety</Heading>
            <Paragraph>{safetyWords(outlook, cut.safetyKind, clock, units)}</Paragraph>
            {outlook.safety.cautions.map(({ id: caution, atMin }) => (
              <Paragraph key={caution}>
                {cautionWords(
                  caution,
                  units,
                  atMin <= outlook.nowMin ? 'now' : { by: clock(atMin) },
                )}
              </Paragraph>
            ))}
          </View>
          {OFF_PHASES.includes(outlook.phase) || !mayLog ? null : (
            <PieceActions meat={id} wrapped={outlook.phase === 'wrapped'} onPut={put} />
          )}
        </View>
      ) : null}
      {piece.offMs === null ? (
        <>
          <PieceAlarm piece={piece} />
          <PieceProbes piece={piece} />
        </>
      ) : null}
      <Button label="Log of this piece" testID="piece-log" onPress={onLog} />
    </Sheet>
  );
}

/** What a piece is called: by its cut where it is the only one of it. */
function titleOf({ plan }: CookNow, id: string): string {
  const of = meatOf(plan.request, id);
  const alone = plan.request.meats.filter((m) => m.cut === of.cut).length === 1;
  return alone ? capital(cutOf(of.cut).name) : pieceNamed(plan, id);
}

/** Phases in which there is nothing to do to a piece on the pit. */
const OFF_PHASES: readonly Outlook['phase'][] = ['not-on', 'resting', 'rested'];

/** A reading stands for the middle for this long, min; after that the figure is an estimate. */
const READ_FOR_MIN = 15;

/** The figures of this moment; what nobody read is marked as an estimate. */
function PieceFigures({
  outlook,
  units,
  isRead,
}: {
  outlook: Outlook;
  units: Units;
  isRead: boolean;
}) {
  const { coreC, surfaceC, lostKg, bark } = outlook;
  const about = (c: number | null): string => (c === null ? '–' : `about ${degrees(c, units)}`);
  const figures: [string, string][] = [
    isRead ? ['middle', degrees(coreC, units)] : ['middle, estimated', about(coreC)],
    ['surface, estimated', about(surfaceC)],
    ['water lost, estimated', lostKg === null ? '–' : `about ${massWords(lostKg, units)}`],
    [
      'bark, estimated',
      bark === null ? '–' : bark >= 1 ? 'set' : `${Math.round(bark * 10) * 10} %`,
    ],
  ];
  return (
    <View className="flex-row flex-wrap gap-x-6 gap-y-2">
      {figures.map(([label, value]) => (
        <View key={label}>
          <Text className="font-sans text-soot text-[14px]">{label}</Text>
          <Text className="font-slab-semi text-ink text-[20px]">{value}</Text>
        </View>
      ))}
    </View>
  );
}

/** When wood or patience runs out: what a kitchen oven is usually set to. */
const OVEN = { label: 'Finish in the oven', atC: 135 };

/** What else is done to a piece, one tap each. */
function PieceActions({
  meat,
  wrapped,
  onPut,
}: {
  meat: string;
  wrapped: boolean;
  onPut: (action: PlanLog) => void;
}) {
  const actions: [string, PlanLog][] = wrapped
    ? [
        ['Unwrap to firm the bark', { do: 'unwrap', meat }],
        [OVEN.label, { do: 'oven-finish', meat, atC: OVEN.atC }],
      ]
    : [
        ['Wrap in paper', { do: 'wrap', meat, with: 'paper' }],
        ['Wrap in foil', { do: 'wrap', meat, with: 'foil' }],
        ['Spritz', { do: 'spritz', meat }],
        ['Sauce', { do: 'sauce', meat }],
        ['Turn', { do: 'turn', meat }],
        [OVEN.label, { do: 'oven-finish', meat, atC: OVEN.atC }],
      ];
  return (
    <View className="gap-2">
      <Heading>Log what you do</Heading>
      <View className="flex-row flex-wrap -mx-1">
        {actions.map(([label, action]) => (
          <View key={label} className={`p-1 ${wrapped ? 'w-full' : 'w-1/2'}`}>
            <Button label={label} onPress={() => onPut(action)} />
          </View>
        ))}
      </View>
    </View>
  );
}
