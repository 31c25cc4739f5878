/** A kind that the catalogue does not have: what it is called, what it is nearest to, and how large it is. */
import { clamp } from '@ostrin/core/quantity';
import { PRESETS, presetOf } from '@ostrin/core/catalogue';
import type { PitSizes } from '@ostrin/core/yard';
import { capital, lengthWords } from '@ostrin/wording';
import { View } from 'react-native';
import { useSettings } from '../store/settings';
import { Stepper, TitledChoice } from '../ui/Choice';
import { NameField } from '../ui/NameField';
import { Subhead } from '../ui/Title';
import { SmallText } from '../ui/Text';

interface Props {
  kind: string;
  nearest: string;
  sizes: PitSizes;
  onKind: (kind: string) => void;
  onNearest: (preset: string) => void;
  onSizes: (sizes: PitSizes) => void;
}

/** Each size: what it is called, and its bounds, m. */
const SIZES = [
  ['diameterM', 'Inside across', 0.3, 1.2],
  ['lengthM', 'Inside along', 0.3, 3],
  ['exhaustHeightM', 'From intake up to exhaust', 0.2, 3],
] as const;
const STEP_M = 0.02;

export function AnotherKind(p: Props) {
  const units = useSettings((s) => s.units);
  const { lengthM } = presetOf(p.nearest).parameters;
  return (
    <View className="gap-3">
      <NameField
        label="What kind it is, in a word"
        value={p.kind}
        onChange={p.onKind}
        example="drum"
      />
      <TitledChoice
        label="What it is nearest to"
        columns={2}
        options={Object.values(PRESETS).map((x) => ({ value: x.id, label: capital(x.name) }))}
        value={p.nearest}
        onChange={p.onNearest}
      />
      {SIZES.filter(([key]) => key !== 'lengthM' || lengthM > 0).map(([key, label, low, high]) => (
        <View key={key} className="gap-1">
          <Subhead>{label}</Subhead>
          <Stepper
            label={label}
            shown={lengthWords(100 * p.sizes[key], units)}
            onStep={(by) =>
              p.onSizes({ ...p.sizes, [key]: clamp(p.sizes[key] + by * STEP_M, low, high) })
            }
            canDown={p.sizes[key] > low}
            canUp={p.sizes[key] < high}
          />
        </View>
      ))}
      <SmallText>
        Measure its vents too, and put them right on its page: they matter most.
      </SmallText>
    </View>
  );
}
