/** The jobs of all fires that burn, by time: whichever pit they are at. */
import { MINUTE_MS, type Units } from '@ostrin/core/quantity';
import { pitOf } from '@ostrin/core';
import { capital, jobWords } from '@ostrin/wording';
import { Pressable, Text } from 'react-native';
import { useSettings } from '../store/settings';
import { Note } from '../ui/Notice';
import { Sheet } from '../ui/Sheet';
import { due } from './OrderCard';
import type { Fire } from './useFires';

/** The jobs of a fire that are told at most. */
const MOST_OF_ONE = 8;

interface Props {
  fires: readonly Fire[];
  onPick: (cookId: string) => void;
  onClose: () => void;
}

export function AllJobsSheet({ fires, onPick, onClose }: Props) {
  const units = useSettings((s) => s.units);
  const rows = fires.flatMap((fire) => jobsOf(fire, units)).sort((a, b) => a.inMin - b.inMin);
  return (
    <Sheet title="Jobs at all fires" onClose={onClose}>
      {rows.length === 0 ? <Note>Looking for the fires.</Note> : null}
      {rows.map((r) => (
        <Pressable
          key={r.key}
          role="button"
          accessibilityLabel={`${r.pitName}: ${r.words}, ${due(r.inMin)}. Go to this fire`}
          onPress={() => {
            onPick(r.cookId);
            onClose();
          }}
          className="min-h-[56px] flex-row items-center gap-3 border-b border-rule py-1 active:opacity-70"
        >
          <Text className="flex-1 font-sans-semi text-ink text-[16px] leading-[20px]">
            {r.words}
            <Text className="font-sans text-soot">{` · ${capital(r.pitName)}`}</Text>
          </Text>
          <Text className="font-slab-semi text-ink text-[16px]">{due(r.inMin)}</Text>
        </Pressable>
      ))}
    </Sheet>
  );
}

/** The next jobs of one fire, by its own clock. */
function jobsOf({ pitName, cook, orders }: Fire, units: Units) {
  const { id, plan, nowMs } = cook;
  return orders.jobs.slice(0, MOST_OF_ONE).map(({ job, ms }) => ({
    key: `${id}/${job.id}`,
    cookId: id,
    pitName,
    words: jobWords(job.facts, pitOf(plan), units).inWords,
    inMin: (ms - nowMs) / MINUTE_MS,
  }));
}
