/** Begins the cook: one for every pit of the plan. */
import { epochOf, MINUTE_MS } from '@ostrin/core/quantity';
import { onePit, type Plan } from '@ostrin/core';
import type { Entry } from '@ostrin/core/log';
import { capital, pitName } from '@ostrin/wording';
import { router } from 'expo-router';
import { useRef, useState } from 'react';
import { Text, View } from 'react-native';
import { v4 as newId } from 'uuid';
import { useCooks, useStartCooks } from '../api/queries';
import { keepEntries } from '../outbox/outbox';
import { deedsOf, entryOf, type Deed } from '../store/logging';
import { titleOf } from '../store/names';
import { usePlanDraft } from '../store/planDraft';
import { Button } from '../ui/Button';
import { lazyComponent } from '../ui/lazyComponent';
import { Note } from '../ui/Notice';
import { clockAndDay } from '../ui/words';
import type { Beginning } from './StartSheet';

const StartSheet = lazyComponent(async () => ({
  default: (await import('./StartSheet')).StartSheet,
}));

interface Props {
  plan: Plan | null;
  ready: boolean;
  /** What stands in the way; nothing when nothing does. */
  why?: string;
}

/** Jobs that are behind a fire that is lit. */
const BEFORE_LIT = ['lay', 'chimney', 'light'];

/** What was done by the time a fire was lit, as the plan has it. */
const litDeeds = (plan: Plan): Deed[] =>
  plan.jobs.filter((j) => BEFORE_LIT.includes(j.id)).flatMap(deedsOf);

/** What the log of a cook begins with: a fire that was lit before, or the surprises of a practice. */
function firstEntries(how: Beginning, plan: Plan, nowMs: number): Entry[] {
  if (how.fire === 'real') {
    if (how.litAgoMin === null) return [];
    const litMs = nowMs - how.litAgoMin * MINUTE_MS;
    return litDeeds(plan).map((deed) => entryOf(deed, litMs));
  }
  const lightMs = epochOf(plan.lightAt, plan.request.timeZone);
  return how.surprises ? [entryOf({ body: { kind: 'surprises' } }, lightMs)] : [];
}

/** Starts what is planned, or says what stands in the way. */
export function StartCook({ plan, ready, why }: Props) {
  const start = useStartCooks();
  const cooks = useCooks();
  const [pending, setPending] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  // The same wish for the same pit, pressed twice, is the same cook.
  const ids = useRef(new Map<string, string>());
  const idOf = (pit: string): string => {
    const id = ids.current.get(pit) ?? newId();
    ids.current.set(pit, id);
    return id;
  };
  const pits = plan?.fires.map((f) => ({ id: f.pit, name: pitName(plan, f.pit) })) ?? [];
  const busy = cooks.data?.find(
    (c) => c.finishedAt === null && c.fire === 'real' && pits.some((p) => p.name === c.pitName),
  );
  if (busy) {
    return (
      <View className="gap-2">
        <Note>{`${capital(busy.pitName)} is cooking ${busy.name}. Finish that first, or plan on another pit.`}</Note>
        <Button
          kind="primary"
          label={`Tend ${busy.name}`}
          onPress={() => router.navigate(`/tend?cook=${busy.id}`)}
        />
      </View>
    );
  }
  const begin = async (how: Beginning): Promise<void> => {
    if (!plan) return;
    setAsking(false);
    setPending(true);
    setFailure(null);
    try {
      const cooks = pits.map((pit) => {
        const part = onePit(plan, pit.id);
        const { fire } = how;
        return { id: idOf(pit.id), name: titleOf(part), pitName: pit.name, plan: part, fire };
      });
      await start.mutateAsync(cooks);
      usePlanDraft.getState().begun();
      const nowMs = Date.now();
      for (const { id, name, plan: part } of cooks) {
        const first = firstEntries(how, part, nowMs);
        if (first.length > 0) await keepEntries({ id, name }, first);
      }
      ids.current.clear();
      router.navigate(`/tend?cook=${cooks[0]!.id}`);
    } catch (error) {
      setFailure((error as Error).message);
    } finally {
      setPending(false);
    }
  };
  return (
    <View className="gap-2">
      {failure ? (
        <Text role="alert" className="font-sans-semi text-ink text-[16px]">
          {failure}
        </Text>
      ) : null}
      {why ? (
        <Text numberOfLines={2} className="font-sans-semi text-ink text-[14px] leading-[19px]">
          {why}
        </Text>
      ) : null}
      <Button
        kind="primary"
        testID="start-cook"
        label={
          pending ? 'Starting' : pits.length > 1 ? `Start ${pits.length} cooks` : 'Start this cook'
        }
        disabled={!ready || pending}
        onPress={() => setAsking(true)}
      />
      {asking && plan ? (
        <StartSheet
          lightAt={`at ${clockAndDay(plan.lightAt)}`}
          onStart={(how) => void begin(how)}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </View>
  );
}
