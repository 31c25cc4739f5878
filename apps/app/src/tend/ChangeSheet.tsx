/** A change of mind: every way from here on with its ready window and cost, and one touch to choose it. */
import { pitOf } from '@ostrin/core';
import { clamp, fromC, MINUTE_MS, toC, type Units } from '@ostrin/core/quantity';
import type { ChangeOption } from '@ostrin/core/tending';
import type { Entry } from '@ostrin/core/log';
import { leadInput } from '@ostrin/core/tending';
import { temperatureWords } from '@ostrin/wording';
import { changeName, changeWords } from '@ostrin/wording/tending';
import { useEffect, useState } from 'react';
import { Text, View } from 'react-native';
import { askChanges } from '../api/core';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Stepper } from '../ui/Choice';
import { Note, Notice } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { Paragraph } from '../ui/Text';
import { roughClock } from '../ui/words';
import { logAction, skipJob } from './actions';
import { useTendedCook } from './cookContext';

/** What a kitchen oven is set to, C: usually (common practice), and between which it can be. */
const OVEN_C = { usual: 135, least: 75, most: 200 } as const;

/** The next heat on the dial of an oven: 5 C or 10 F on. */
function steppedOvenC(c: number, by: -1 | 1, { temperature }: Units): number {
  const step = temperature === 'F' ? 10 : 5;
  const next = toC(step * Math.round(fromC(c, temperature) / step + by), temperature);
  return clamp(next, OVEN_C.least, OVEN_C.most);
}

export function ChangeSheet({ onClose }: { onClose: () => void }) {
  const { cook, mayLog, onLogged } = useTendedCook();
  const units = useSettings((s) => s.units);
  const { plan, log, zeroMs, nowMs } = cook;
  const [options, setOptions] = useState<ChangeOption[] | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  // Asked once: what is chosen stands on what was shown.
  const [asked] = useState(() => leadInput(cook));
  const { pitC } = pitOf(plan).pace;
  const [ovenC, setOvenC] = useState<number>(OVEN_C.usual);
  useEffect(() => {
    let wanted = true;
    // The heat of the oven changes nothing else: only the oven is asked about again.
    const ids = ovenC === OVEN_C.usual ? undefined : (['oven-now'] as const);
    askChanges(asked, { targetC: pitC, ovenC, ids })
      .then((answers) => {
        if (!wanted) return;
        setOptions((known) =>
          ids ? (known?.map((o) => answers.find((a) => a.id === o.id) ?? o) ?? null) : answers,
        );
      })
      .catch((e: Error) => (wanted ? setFailure(e.message) : undefined));
    return () => {
      wanted = false;
    };
  }, [asked, pitC, ovenC]);
  const clock = (min: number): string =>
    roughClock(zeroMs + min * MINUTE_MS, plan.request.timeZone);
  const choose = async ({ id, logs }: ChangeOption): Promise<void> => {
    const wrapJob = plan.jobs.find((j) => j.id === 'wrap' && !log.jobsDone.has(j.id));
    const entries: Entry[] = [];
    for (const action of logs) entries.push(...(await logAction(plan, log, action, nowMs)));
    // What is left bare, or finished elsewhere, is not wrapped any more.
    if (wrapJob && (id === 'leave-bare' || id === 'oven-now')) {
      entries.push(...(await skipJob(wrapJob, nowMs)));
    }
    onLogged(entries);
    onClose();
  };
  const planned = options?.find((o) => o.id === 'as-planned');
  return (
    <Sheet title="Change the plan" onClose={onClose}>
      {failure ? (
        <Notice tone="warn" title="This could not be worked out">
          {failure}
        </Notice>
      ) : null}
      {options || failure ? null : <Paragraph>Simulating every option.</Paragraph>}
      {options?.map((o) => (
        <View key={o.id} className="gap-1 border-b border-rule py-2" testID={`change-${o.id}`}>
          <View className="flex-row justify-between gap-3">
            <Text className="flex-1 font-sans-bold text-ink text-[16px]">
              {changeName(o, units)}
            </Text>
            <Text className="font-sans-bold text-ink text-[16px]">
              {o.readyMin ? `${clock(o.readyMin[0])}–${clock(o.readyMin[2])}` : 'not in sight'}
            </Text>
          </View>
          <Text className="font-sans text-soot text-[14px] leading-[20px]">
            {changeWords(o, planned)}
          </Text>
          {o.id === 'oven-now' ? (
            <Stepper
              label="Oven"
              shown={temperatureWords(ovenC, units)}
              onStep={(by) => setOvenC((c) => steppedOvenC(c, by, units))}
              canDown={ovenC > OVEN_C.least}
              canUp={ovenC < OVEN_C.most}
            />
          ) : null}
          {o.id === 'as-planned' ? null : (
            <Button
              label="Do this"
              accessibilityLabel={`Do this: ${changeName(o, units)}`}
              testID={`choose-${o.id}`}
              disabled={!mayLog}
              onPress={() => void choose(o)}
            />
          )}
        </View>
      ))}
      <Note>
        Eight in ten of the likely cooks fall inside each span. What you choose is logged, and the
        jobs that are left follow.
      </Note>
    </Sheet>
  );
}
