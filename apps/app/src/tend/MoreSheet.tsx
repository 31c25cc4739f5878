/** What else is done at a pit, one touch each: only what this pit has. Notes are written from here too. */
import { pitOf, holdsByFan, type PitPlan, type PlanLog } from '@ostrin/core';
import { CHARCOALS, presetOf, USUAL_CHUNK_WOOD } from '@ostrin/core/catalogue';
import type { Look } from '@ostrin/core/log';
import { actionWords } from '@ostrin/wording';
import { View } from 'react-native';
import { useSettings } from '../store/settings';
import { Button } from '../ui/Button';
import { Sheet } from '../ui/Sheet';
import { Heading } from '../ui/Title';
import { Looks } from './Looks';

interface Props {
  plan: PitPlan;
  onPut: (action: PlanLog) => void;
  onLook: (look: Look) => void;
  onNote: () => void;
  onClose: () => void;
}

/** Usual amounts (common practice): a handful of charcoal and more, a chunk, a jug of water, the door ajar. */
const HANDFULS = [3, 6, 12, 24];
const CHUNK_G = 60;
const JUG_KG = 1;
const AJAR = { openFraction: 0.15, seconds: 300 };

/** What can be done at the pit of a plan besides what has a button of its own. */
export function otherDeeds(plan: PitPlan): PlanLog[] {
  const pit = pitOf(plan);
  const { parameters } = presetOf(pit.cooker.preset);
  const { fuel } = plan.fires[0];
  const species = pit.fire.species ?? USUAL_CHUNK_WOOD;
  return [
    ...HANDFULS.map((pieces): PlanLog => ({ do: 'add-fuel', fuel, pieces, lit: false })),
    { do: 'add-wood', species, massG: CHUNK_G },
    { do: 'rake' },
    ...(parameters.doorCm2 > 0 ? [{ do: 'door', ...AJAR } satisfies PlanLog] : []),
    ...(parameters.waterKg > 0 ? [{ do: 'fill-water', massKg: JUG_KG } satisfies PlanLog] : []),
    ...(holdsByFan(pit)
      ? [{ do: 'fan', on: false } satisfies PlanLog, { do: 'fan', on: true } satisfies PlanLog]
      : []),
  ];
}

export function MoreSheet({ plan, onPut, onLook, onNote, onClose }: Props) {
  const units = useSettings((s) => s.units);
  const charcoal = CHARCOALS[plan.fires[0].fuel];
  return (
    <Sheet title="Log something else" onClose={onClose}>
      <Button kind="primary" label="Write a note" testID="write-note" onPress={onNote} />
      <Looks plan={plan} onLook={onLook} />
      <Heading>{`At the fire (${Math.round(1000 * charcoal.pieceKg)} g a piece of charcoal)`}</Heading>
      <View className="flex-row flex-wrap -mx-1">
        {otherDeeds(plan).map((action) => {
          const label =
            action.do === 'door'
              ? 'Fire door ajar 5 min'
              : actionWords(action, { units, pit: null });
          return (
            <View key={label} className="w-1/2 p-1">
              <Button tall label={label} onPress={() => onPut(action)} />
            </View>
          );
        })}
      </View>
    </Sheet>
  );
}
