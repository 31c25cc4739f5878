/** What eyes and hands tell, one touch each: how a piece feels, its bark, the smoke, the weather. */
import { leadMeat, type PitPlan } from '@ostrin/core';
import { cutOf } from '@ostrin/core/catalogue';
import {
  LOOKS,
  MUSCLES,
  type Look,
  type LookAt,
  type Muscle,
  type Verdict,
} from '@ostrin/core/log';
import { hasTwoMuscles, tenderVerdicts } from '@ostrin/core/tending';
import { LOOK_NAMES, VERDICT_NAMES } from '@ostrin/wording';
import { useState } from 'react';
import { View } from 'react-native';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Heading } from '../ui/Title';
import { pieceName } from '../store/names';

interface Props {
  plan: PitPlan;
  onLook: (look: Look) => void;
}

const MUSCLE_OPTIONS = MUSCLES.map((value) => ({ value, label: `In the ${value}` }));

export function Looks({ plan, onLook }: Props) {
  const { meats } = plan.request;
  const [meat, setMeat] = useState(leadMeat(plan).id);
  const [muscle, setMuscle] = useState<Muscle>('flat');
  const cut = cutOf(meats.find((m) => m.id === meat)!.cut);
  const feels = tenderVerdicts(cut);
  const two = hasTwoMuscles(cut);
  const row = (what: LookAt, verdicts: readonly Verdict[], more: Partial<Look> = {}) => (
    <View className="gap-1">
      <Heading>{LOOK_NAMES[what]}</Heading>
      <View className="flex-row flex-wrap -mx-1">
        {verdicts.map((verdict) => (
          <View key={verdict} className={`p-1 ${verdicts.length === 3 ? 'w-1/3' : 'w-1/2'}`}>
            <Button
              tall
              label={VERDICT_NAMES[verdict]}
              testID={`look-${verdict}`}
              onPress={() => onLook({ what, verdict, ...more })}
            />
          </View>
        ))}
      </View>
    </View>
  );
  return (
    <>
      {meats.length > 1 ? (
        <Choice
          label="Which piece"
          columns={2}
          options={meats.map((m, i) => ({ value: m.id, label: pieceName(plan, i) }))}
          value={meat}
          onChange={setMeat}
        />
      ) : null}
      {feels.length > 0 && two ? (
        <Choice
          label="Where"
          columns={2}
          options={MUSCLE_OPTIONS}
          value={muscle}
          onChange={setMuscle}
        />
      ) : null}
      {feels.length > 0 ? row('tender', feels, two ? { meat, muscle } : { meat }) : null}
      {row('bark', LOOKS.bark, { meat })}
      {row('smoke', LOOKS.smoke)}
      {row('weather', LOOKS.weather)}
    </>
  );
}
