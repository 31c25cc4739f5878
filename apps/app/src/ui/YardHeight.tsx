/** How high the yard lies: asked where air or boiling water matter, kept for all of the app. */
import { clamp } from '@ostrin/core/quantity';
import { heightStepM, heightWords } from '@ostrin/wording';
import { useSettings } from '../store/settings';
import { Stepper } from './Choice';

const RANGE_M = [0, 4000] as const;

export function YardHeight() {
  const { altitudeM, units, setAltitude } = useSettings();
  const step = heightStepM(units);
  return (
    <Stepper
      label="Height of the yard above the sea"
      shown={heightWords(altitudeM, units)}
      onStep={(by) => setAltitude(clamp(step * (Math.round(altitudeM / step) + by), ...RANGE_M))}
      canDown={altitudeM > RANGE_M[0]}
      canUp={altitudeM < RANGE_M[1]}
    />
  );
}
