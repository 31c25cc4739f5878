/** The house's colours, in one place. Text pairs are tested for contrast. */
export interface Theme {
  paper: string;
  sheet: string;
  ink: string;
  soot: string;
  rule: string;
  edge: string;
  band: string;
  bandEdge: string;
  pit: string;
  onPit: string;
  meats: readonly [string, string, string, string];
  /** The log pad's buttons and the strip of times. */
  pad: string;
  onPad: string;
}

export const DAY: Theme = {
  paper: '#F6F1E5',
  sheet: '#FFFCF4',
  ink: '#1D2526',
  soot: '#525958',
  rule: '#D9CFB8',
  edge: '#857F6B',
  band: '#DCE7DD',
  bandEdge: '#5F8A6C',
  pit: '#B23A12',
  onPit: '#FFFFFF',
  meats: ['#1F4E79', '#6B3F7C', '#654C00', '#0B5750'],
  pad: '#243031',
  onPad: '#F6F1E5',
};

export const NIGHT: Theme = {
  paper: '#121516',
  sheet: '#1B2021',
  ink: '#F0E6D2',
  soot: '#A6A79C',
  rule: '#333A3A',
  edge: '#7C8076',
  band: '#1E332A',
  bandEdge: '#4E8467',
  pit: '#FF8A4C',
  onPit: '#121516',
  meats: ['#7FB6E8', '#CFA3E0', '#E2C25A', '#6FCFBF'],
  pad: '#2A3233',
  onPad: '#F0E6D2',
};

/** Names of the single colours, as CSS variables and Tailwind classes know them. */
export const COLOUR_NAMES = {
  paper: 'paper',
  sheet: 'sheet',
  ink: 'ink',
  soot: 'soot',
  rule: 'rule',
  edge: 'edge',
  band: 'band',
  bandEdge: 'band-edge',
  pit: 'pit',
  onPit: 'on-pit',
  pad: 'pad',
  onPad: 'on-pad',
} as const;

/** `#RRGGBB` as the three numbers that CSS wants for `rgb(var(--x) / alpha)`. */
export const channels = (hex: string): string =>
  [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)).join(' ');

/** Relative luminance contrast of two colours, 1 to 21 (WCAG 2). */
export function contrast(a: string, b: string): number {
  const luminance = (hex: string): number => {
    const [r, g, bl] = [1, 3, 5].map((i) => {
      const c = parseInt(hex.slice(i, i + 2), 16) / 255;
      return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * bl;
  };
  const [x, y] = [luminance(a), luminance(b)];
  return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
}
