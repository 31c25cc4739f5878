/** How each vent of a pit is given: in a notation, or by the marks of its owner's own dial. */
import {
  presetOf,
  VENT_NOTATIONS,
  ventScales,
  type VentDial,
  type VentScale,
  type VentScales,
  type VentsTold,
} from '@ostrin/core/catalogue';
import { capital, dialMark, SCALE_NAMES, ventNames } from '@ostrin/wording';
import type { PitRecord } from '@ostrin/contract/types';
import { useState } from 'react';
import { Text, View } from 'react-native';
import { Choice, Stepper } from '../ui/Choice';
import { Fold } from '../ui/Fold';

const WAYS = [...VENT_NOTATIONS, 'dial'] as const;
/** A dial until its owner says otherwise: ten notches, set to half a notch. */
const USUAL_DIAL: VentDial = { shut: 0, open: 10, step: 0.5 };
/** Parts of a mark that can be set. */
const STEPS = [0.25, 0.5, 1] as const;
/** A dial with fewer marks cannot tell two needed settings apart. */
const LEAST_MARKS = 4;
const FARTHEST_MARK = 100;

const sameScale = (a: VentScale, b: VentScale): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The shortest way to say how both vents are given. */
function toldOf(scales: VentScales): VentsTold {
  const { way } = scales.intake;
  return way !== 'dial' && sameScale(scales.intake, scales.exhaust)
    ? { ventWay: way }
    : { ventScales: scales };
}

interface Props {
  pit: PitRecord;
  onTold: (told: VentsTold) => void;
}

/** What both vents are given in now, and on touch a choice for each. */
export function ScalesOfVents({ pit, onTold }: Props) {
  const preset = presetOf(pit.preset);
  const scales = ventScales(pit, preset.ventNotation);
  const nouns = ventNames(preset);
  const now = sameScale(scales.intake, scales.exhaust)
    ? SCALE_NAMES[scales.intake.way]
    : `${SCALE_NAMES[scales.intake.way]}, ${SCALE_NAMES[scales.exhaust.way].toLowerCase()}`;
  return (
    <Fold label={`How its vents are measured: ${now}`} testID="vent-scales">
      <View className="gap-4 pb-3">
        {(['intake', 'exhaust'] as const).map((vent) => (
          <ScaleOfVent
            key={vent}
            name={capital(nouns[vent])}
            scale={scales[vent]}
            onChange={(scale) => onTold(toldOf({ ...scales, [vent]: scale }))}
          />
        ))}
      </View>
    </Fold>
  );
}

interface ScaleProps {
  name: string;
  scale: VentScale;
  onChange: (scale: VentScale) => void;
}

function ScaleOfVent({ name, scale, onChange }: ScaleProps) {
  const dial = scale.way === 'dial' ? scale.dial : null;
  return (
    <View className="gap-2">
      <Text className="font-sans-semi text-ink text-[16px]">{name}</Text>
      <Choice
        label={`${name}, how it is measured`}
        columns={2}
        options={WAYS.map((w) => ({ value: w, label: SCALE_NAMES[w] }))}
        value={scale.way}
        onChange={(way) => onChange(way === 'dial' ? { way, dial: USUAL_DIAL } : { way })}
      />
      {dial ? (
        <DialMarks name={name} dial={dial} onChange={(d) => onChange({ way: 'dial', dial: d })} />
      ) : null}
    </View>
  );
}

/** The marks at both ends of a dial, and how finely it is set. */
function DialMarks(p: { name: string; dial: VentDial; onChange: (dial: VentDial) => void }) {
  const { shut, open, step } = p.dial;
  const [tooNear, setTooNear] = useState(false);
  const change = (dial: VentDial): void => {
    const fits = Math.abs(dial.open - dial.shut) / dial.step >= LEAST_MARKS;
    setTooNear(!fits);
    if (fits) p.onChange(dial);
  };
  const end = (key: 'shut' | 'open', label: string) => {
    const mark = p.dial[key];
    return (
      <View>
        <Text className="font-sans text-ink text-[16px]">{label}</Text>
        <Stepper
          label={`${p.name}: ${label.toLowerCase()}`}
          shown={dialMark(mark)}
          onStep={(by) => change({ ...p.dial, [key]: mark + by * step })}
          canDown={mark > -FARTHEST_MARK}
          canUp={mark < FARTHEST_MARK}
          typed={{
            value: mark,
            onType: (v) => {
              if (Math.abs(v) <= FARTHEST_MARK) change({ ...p.dial, [key]: v });
            },
          }}
        />
      </View>
    );
  };
  return (
    <View className="gap-2">
      {end('shut', 'Mark when shut')}
      {end('open', 'Mark when fully open')}
      <Text className="font-sans text-ink text-[16px]">Set as finely as</Text>
      <Choice
        label={`${p.name}: set as finely as`}
        columns={3}
        options={STEPS.map((s) => ({ value: s, label: `${dialMark(s)} mark` }))}
        value={step}
        onChange={(s) => change({ shut, open, step: s })}
      />
      {tooNear ? (
        <Text aria-live="polite" className="font-sans text-ink text-[14px]">
          Shut and fully open must lie at least four such steps apart, or two settings would look
          alike.
        </Text>
      ) : null}
    </View>
  );
}
