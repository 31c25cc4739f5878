/** The pit of a cook against its band, as small as a row of a list. */
import { line } from 'd3-shape';
import Svg, { Path, Rect } from 'react-native-svg';
import type { Glance } from '@ostrin/core/afterwards';
import { useTheme } from '../ui/theme';

const WIDTH = 96;
const HEIGHT = 36;
/** What is shown beside the band on either side at least, K. */
const BESIDE_K = 25;

export function SmallTrace({ traceC, bandC: [low, high] }: Pick<Glance, 'traceC' | 'bandC'>) {
  const theme = useTheme();
  const [bottom, top] = [low - BESIDE_K, high + BESIDE_K];
  const y = (c: number): number =>
    HEIGHT * (1 - (Math.min(top, Math.max(bottom, c)) - bottom) / (top - bottom));
  const path = line<number | null>()
    .defined((c) => c !== null)
    .x((_, i) => (i / Math.max(1, traceC.length - 1)) * WIDTH)
    .y((c) => y(c!))([...traceC]);
  return (
    <Svg width={WIDTH} height={HEIGHT} aria-hidden>
      <Rect x={0} y={y(high)} width={WIDTH} height={y(low) - y(high)} fill={theme.band} />
      <Path
        d={path ?? ''}
        fill="none"
        stroke={theme.pit}
        strokeWidth={2}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </Svg>
  );
}
