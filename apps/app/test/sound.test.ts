/** Whether an alarm would stay silent: a page sounds only after somebody touched it. */
import { act, renderHook } from '@testing-library/react-native';
import { useSettings } from '../src/store/settings';
import { useSoundBlocked } from '../src/tend/useSoundBlocked';

/** A browser that says whether this page was touched; returns what is done when it is. */
function browser(hasBeenActive: boolean): (kind: string) => void {
  const heard = new Map<string, () => void>();
  Object.defineProperty(navigator, 'userActivation', {
    value: { hasBeenActive },
    configurable: true,
  });
  jest
    .spyOn(globalThis, 'addEventListener')
    .mockImplementation((kind: string, hear: unknown) => void heard.set(kind, hear as () => void));
  return (kind) => heard.get(kind)?.();
}
afterEach(() => {
  jest.restoreAllMocks();
  Object.defineProperty(navigator, 'userActivation', { value: undefined, configurable: true });
});

it('is so until the first touch or key, where sound is wanted', () => {
  for (const kind of ['pointerdown', 'keydown']) {
    const does = browser(false);
    const { result } = renderHook(useSoundBlocked);
    expect(result.current).toBe(true);
    act(() => does(kind));
    expect(result.current).toBe(false);
  }
  browser(true);
  expect(renderHook(useSoundBlocked).result.current).toBe(false);
  browser(false);
  const { alarms, setAlarms } = useSettings.getState();
  act(() => setAlarms({ sound: false }));
  expect(renderHook(useSoundBlocked).result.current).toBe(false);
  act(() => setAlarms({ sound: alarms.sound }));
});
