/** Phone or wide: the one breakpoint of the house. */
import { useWindowDimensions } from 'react-native';

const WIDE_FROM = 900;

/** Size of the window and whether it is wide. */
export function useLayout(): { width: number; height: number; wide: boolean } {
  const { width, height } = useWindowDimensions();
  return { width, height, wide: width >= WIDE_FROM };
}
