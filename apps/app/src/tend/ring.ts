/** Sound and vibration of an alarm, by what the browser has. */
import { localOf } from '@ostrin/core/quantity';
import { clockOf } from '../ui/words';

/** Three short tones, Hz and s. */
const TONES = { hz: [880, 660, 880], eachS: 0.18, apartS: 0.24 };
/** Vibration: on and off, ms. */
const PATTERN = [200, 100, 200, 100, 400];

let context: AudioContext | null = null;

/** Whether this browser can vibrate. */
export const canVibrate = (): boolean => typeof navigator.vibrate === 'function';

/** Rings once. Browsers let a page sound only after somebody touched it; what is not let is left. */
export function ring({ sound, vibrate }: { sound: boolean; vibrate: boolean }): void {
  if (vibrate && canVibrate()) navigator.vibrate(PATTERN);
  if (!sound || typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  void context.resume().catch(() => undefined);
  TONES.hz.forEach((hz, i) => {
    const from = context!.currentTime + i * TONES.apartS;
    const tone = context!.createOscillator();
    const volume = context!.createGain();
    tone.frequency.value = hz;
    volume.gain.setValueAtTime(0.4, from);
    volume.gain.exponentialRampToValueAtTime(0.001, from + TONES.eachS);
    tone.connect(volume).connect(context!.destination);
    tone.start(from);
    tone.stop(from + TONES.eachS);
  });
}

/** Whether it is quiet now in a time zone. */
export const isQuietNow = (zone: string, from: string, to: string): boolean =>
  isQuiet(clockOf(localOf(Date.now(), zone)), from, to);

/** Whether an hour of the day, `HH:mm`, lies in quiet hours, which may go past midnight; none where both are the same. */
function isQuiet(at: string, from: string, to: string): boolean {
  if (from === to) return false;
  return from < to ? at >= from && at < to : at >= from || at < to;
}
