/** The pieces of a fire: one path a kind, wood on top. */
import { Path } from 'react-native-svg';
import { useTheme } from '../ui/theme';
import { blocksPath, type FirePiece } from './blocks';

interface Props {
  /** In m. */
  pieces: readonly FirePiece[];
  /** px a metre. */
  m: number;
  /** Colour of the ground between them. */
  edge: string;
}

export function Pieces({ pieces, m, edge }: Props) {
  const theme = useTheme();
  const fill = { unlit: theme.soot, lit: theme.pit, wood: theme.meats[2] };
  return (
    <>
      {(['unlit', 'lit', 'wood'] as const).map((kind) => (
        <Path
          key={kind}
          d={blocksPath(
            pieces.filter((p) => p.kind === kind),
            m,
          )}
          fill={fill[kind]}
          stroke={edge}
          strokeWidth={1}
        />
      ))}
    </>
  );
}
