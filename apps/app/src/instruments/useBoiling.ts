/** What boiling water reads in this yard: by the pressure that a barometer tells, else by the height above the sea. */
import { boilsAtC, boilsAtHPa } from '@ostrin/core/tending';
import { create } from 'zustand';
import { useSettings } from '../store/settings';

/** The pressure of the air as it is here now, hPa; null where nobody said. It is of today and is not kept. */
export const usePressure = create<{ hPa: number | null; set: (hPa: number | null) => void }>(
  (set) => ({ hPa: null, set: (hPa) => set({ hPa }) }),
);

/** The temperature of boiling water here, C. */
export function useBoiling(): number {
  const altitudeM = useSettings((s) => s.altitudeM);
  const hPa = usePressure((s) => s.hPa);
  return hPa === null ? boilsAtC(altitudeM) : boilsAtHPa(hPa);
}
