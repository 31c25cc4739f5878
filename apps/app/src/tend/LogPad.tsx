/** The log pad: Read, Fuel, Vents, Lid, Meat, Note within reach of a thumb, and the last tap with its undo. */
import type { Entry } from '@ostrin/core/log';
import { type PitPlan, type PlanLog, USUAL_LID_S } from '@ostrin/core';
import { actionWords } from '@ostrin/wording';
import AlignVerticalSpaceAround from 'lucide-react-native/icons/align-vertical-space-around';
import Beef from 'lucide-react-native/icons/beef';
import Boxes from 'lucide-react-native/icons/boxes';
import Thermometer from 'lucide-react-native/icons/thermometer';
import ConciergeBell from 'lucide-react-native/icons/concierge-bell';
import StickyNote from 'lucide-react-native/icons/sticky-note';
import { useEffect, useState } from 'react';
import { Text, View } from 'react-native';
import { pieceNamed } from '../store/names';
import { useSettings } from '../store/settings';
import { lineLabel } from '../strip/fromCook';
import { Button } from '../ui/Button';
import { useLayout } from '../ui/layout';
import { lazyComponent } from '../ui/lazyComponent';
import { useTheme } from '../ui/theme';
import { fuelTap, logAction, nextMeat, undo, type PadKey } from './actions';
import { logDeeds } from '../store/logging';
import { useTendedCook } from './cookContext';
import { NoteSheet } from './NoteSheet';
import { usePadKeys } from './useKeys';
import { VentSheet } from './VentSheet';

const MoreSheet = lazyComponent(async () => ({
  default: (await import('./MoreSheet')).MoreSheet,
}));
const ReadSheet = lazyComponent(async () => ({
  default: (await import('./ReadSheet')).ReadSheet,
}));

/** The last tap can be taken back here for this long; later from its line in the log, ms. */
const SHOWN_MS = 30_000;

interface Props {
  /** What was logged last on this page, here or on a sheet: shown with its undo for a while. */
  last: Entry[];
  setLast: (entries: Entry[]) => void;
  onEdit: (entryId: string) => void;
}

export function LogPad({ last, setLast, onEdit }: Props) {
  const { plan, log, nowMs: now } = useTendedCook().cook;
  const units = useSettings((s) => s.units);
  const theme = useTheme();
  const { wide } = useLayout();
  useEffect(() => {
    const timer = setTimeout(() => setLast([]), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [last, setLast]);
  const [sheet, setSheet] = useState<OpenSheet>(null);
  const meat = nextMeat(plan, log);
  const put = (action: PlanLog): void => void logAction(plan, log, action, now).then(setLast);
  const tap = (key: PadKey): void => {
    if (key === 'fuel') put(fuelTap(plan, log, now));
    else if (key === 'lid') put({ do: 'lid-open', seconds: USUAL_LID_S });
    else if (key === 'meat' && meat) put(meat);
    else if (key === 'note') setSheet('more');
    else if (key === 'vents' || key === 'read') setSheet(key);
  };
  usePadKeys(tap, sheet === null);
  const icon = { color: theme.onPad, size: 22 };
  const meatLabel = meatWords(plan, meat);
  // A name needs more room than a word.
  const severalPieces = plan.request.meats.length > 1;
  const buttons: {
    key: PadKey;
    label: string;
    hint: string;
    icon: React.ReactNode;
    says: string;
  }[] = [
    {
      key: 'read',
      label: 'Read',
      hint: 'R',
      icon: <Thermometer {...icon} />,
      says: 'Log what a thermometer reads',
    },
    {
      key: 'fuel',
      label: 'Fuel',
      hint: 'F',
      icon: <Boxes {...icon} />,
      says: `Log fuel: ${actionWords(fuelTap(plan, log, now), { units, pit: null }).toLowerCase()}`,
    },
    {
      key: 'vents',
      label: 'Vents',
      hint: 'V',
      icon: <AlignVerticalSpaceAround {...icon} />,
      says: 'Log vents',
    },
    {
      key: 'lid',
      label: 'Lid',
      hint: 'L',
      icon: <ConciergeBell {...icon} />,
      says: `Log lid open ${USUAL_LID_S} seconds`,
    },
    {
      key: 'meat',
      label: meatLabel,
      hint: 'M',
      icon: <Beef {...icon} />,
      says: `Log ${meatLabel}`,
    },
    {
      key: 'note',
      label: 'More',
      hint: 'N',
      icon: <StickyNote {...icon} />,
      says: 'Log a note or something else',
    },
  ];
  return (
    <View className={wide ? 'gap-2 pb-4' : 'border-t border-rule px-2 py-2 gap-2'}>
      <LastTap {...{ last, setLast, onEdit }} />
      <View className="flex-row gap-2">
        {buttons.map((b) => (
          <View key={b.key} className={b.key === 'meat' && severalPieces ? 'flex-[1.5]' : 'flex-1'}>
            <Button
              kind="pad"
              label={b.label}
              hint={wide ? b.hint : undefined}
              icon={b.icon}
              accessibilityLabel={b.says}
              testID={`pad-${b.key}`}
              disabled={b.key === 'meat' && !meat}
              onPress={() => tap(b.key)}
            />
          </View>
        ))}
      </View>
      <PadSheet {...{ setLast, put, sheet, setSheet }} />
    </View>
  );
}

/** Which sheet of the pad is open. */
type OpenSheet = 'vents' | 'more' | 'note' | 'read' | null;

interface SheetProps extends Pick<Props, 'setLast'> {
  put: (action: PlanLog) => void;
  sheet: OpenSheet;
  setSheet: (sheet: OpenSheet) => void;
}

/** The sheet of the pad that is open. */
function PadSheet({ setLast, put, sheet, setSheet }: SheetProps) {
  const { plan, log, nowMs: now } = useTendedCook().cook;
  const onClose = (): void => setSheet(null);
  const putOnce = (action: PlanLog): void => {
    put(action);
    onClose();
  };
  switch (sheet) {
    case null:
      return null;
    case 'vents':
      return <VentSheet plan={plan} log={log} onSet={putOnce} onClose={onClose} />;
    case 'more':
      return (
        <MoreSheet
          plan={plan}
          onPut={putOnce}
          onLook={(look) => {
            void logDeeds([{ body: { kind: 'look', ...look } }], now).then(setLast);
            onClose();
          }}
          onNote={() => setSheet('note')}
          onClose={onClose}
        />
      );
    case 'note':
      return <NoteSheet now={now} onLogged={setLast} onClose={onClose} />;
    case 'read':
      return (
        <ReadSheet
          plan={plan}
          log={log}
          now={now}
          onRead={(body, atMs) => {
            void logDeeds([{ body }], atMs).then(setLast);
            onClose();
          }}
          onClose={onClose}
        />
      );
  }
}

/** What was logged last, with its undo and its correction, for a while. */
function LastTap({ last, setLast, onEdit }: Props) {
  const { plan, log, nowMs: now } = useTendedCook().cook;
  const units = useSettings((s) => s.units);
  const { wide } = useLayout();
  const shown = last.filter((e) => log.lines.some((l) => l.id === e.id));
  const lastLine = shown.length > 0 ? log.lines.find((l) => l.id === shown.at(-1)!.id) : undefined;
  if (!lastLine) return null;
  return (
    <View className="flex-row items-center gap-2 px-1" role="status" testID="last-tap">
      <Text numberOfLines={1} className="font-sans-semi text-ink text-[16px] flex-1">
        {`Logged: ${lineLabel(lastLine, plan, units)}`}
      </Text>
      <Button
        label="Undo"
        hint={wide ? 'Z' : undefined}
        testID="undo"
        onPress={() => {
          void undo(
            shown.map((e) => e.id),
            now,
          );
          setLast([]);
        }}
      />
      <Button label="Correct" onPress={() => onEdit(lastLine.id)} />
    </View>
  );
}

/** What a tap on Meat means next; with its name where there are several on the pit. */
function meatWords(plan: PitPlan, next: PlanLog | null): string {
  if (!next || !('meat' in next)) return 'Meat';
  const meats = plan.request.meats;
  const name = meats.length > 1 ? pieceNamed(plan, next.meat) : 'Meat';
  return next.do === 'meat-on'
    ? `${name} on`
    : next.do === 'meat-off'
      ? `${name} off`
      : meats.length > 1
        ? `Wrap ${name.toLowerCase()}`
        : 'Wrap';
}
