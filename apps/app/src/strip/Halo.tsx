/** Words on a chart, with a halo in the colour of the paper below. */
import { Text as SvgText } from 'react-native-svg';
import { useTheme } from '../ui/theme';

interface Props {
  x: number;
  y: number;
  children: string;
  colour?: string;
  size?: number;
  anchor?: 'start' | 'middle' | 'end';
  bold?: boolean;
  halo?: string;
}

export function Halo({ x, y, children, colour, size = 13, anchor = 'start', bold, halo }: Props) {
  const theme = useTheme();
  const common = {
    x,
    y,
    fontSize: size,
    textAnchor: anchor,
    fontFamily: bold ? 'PublicSans_700Bold' : 'PublicSans_400Regular',
  };
  return (
    <>
      <SvgText
        {...common}
        stroke={halo ?? theme.sheet}
        strokeWidth={4}
        strokeLinejoin="round"
        fill="none"
      >
        {children}
      </SvgText>
      <SvgText {...common} fill={colour ?? theme.ink}>
        {children}
      </SvgText>
    </>
  );
}
