const token = (name) => `rgb(var(--${name}) / <alpha-value>)`;

/** @type {import('tailwindcss').Config} */
module.exports = {
  content: ['./app/**/*.{ts,tsx}', './src/**/*.{ts,tsx}'],
  presets: [require('nativewind/preset')],
  darkMode: 'class',
  theme: {
    extend: {
      colors: {
        paper: token('paper'),
        sheet: token('sheet'),
        ink: token('ink'),
        soot: token('soot'),
        rule: token('rule'),
        edge: token('edge'),
        band: token('band'),
        'band-edge': token('band-edge'),
        pit: token('pit'),
        'on-pit': token('on-pit'),
        pad: token('pad'),
        'on-pad': token('on-pad'),
      },
      fontFamily: {
        slab: ['ZillaSlab_500Medium'],
        'slab-semi': ['ZillaSlab_600SemiBold'],
        'slab-bold': ['ZillaSlab_700Bold'],
        sans: ['PublicSans_400Regular'],
        'sans-semi': ['PublicSans_600SemiBold'],
        'sans-bold': ['PublicSans_700Bold'],
      },
    },
  },
};
