/** An address as a QR code, dark on light in both themes: cameras read it no other way. */
import { create } from 'qrcode';
import Svg, { Path, Rect } from 'react-native-svg';

/** Quiet zone round the code, modules. */
const MARGIN = 4;

export default function QrCode({ text, size }: { text: string; size: number }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * MARGIN;
  const dark: string[] = [];
  for (let row = 0; row < modules.size; row++) {
    for (let column = 0; column < modules.size; column++) {
      if (modules.get(row, column)) dark.push(`M${column + MARGIN} ${row + MARGIN}h1v1h-1z`);
    }
  }
  return (
    <Svg
      width={size}
      height={size}
      viewBox={`0 0 ${side} ${side}`}
      role="img"
      aria-label={`QR code of ${text}`}
    >
      <Rect width={side} height={side} fill="#ffffff" />
      <Path d={dark.join('')} fill="#000000" />
    </Svg>
  );
}
