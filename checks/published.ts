/** Published values that the model's closures stand on. Sources are quoted from memory. */
import {
  boilingPoint,
  cutOf,
  humidityRatio,
  logReductionsPerMin,
  meatDensity,
  meatHeat,
  orificeFlow,
  OXYGEN_HEAT,
  pressureAt,
  SAFE_LOG_REDUCTION,
  saturationPressure,
  stackPressure,
  VOLATILES_HEAT,
  wetBulb,
  WOOD_CHAR_HEAT,
  WOOD_CHAR_YIELD,
} from '@ostrin/core/internals';
import psychrolib from 'psychrolib';
import { row, type Row } from './types';

const mega = (j: number): number => j / 1e6;

/** Rows on air, combustion, food and safety. */
export function publishedRows(): Row[] {
  return [...singleValues(), ...boilingRows(), ...wetBulbRows(), ...lethalityRows()];
}

/** One value each: combustion, air and food. */
function singleValues(): Row[] {
  return [
    row('P-O2-char', 'heat per kg of oxygen, carbon', 'arithmetic 32.8/2.667', [
      { what: 'MJ/kg', value: mega(OXYGEN_HEAT.charcoal), low: 12.2, high: 12.4, digits: 2 },
    ]),
    row(
      'P-O2-wood',
      'heat per kg of oxygen, wood',
      'Huggett, Fire and Materials 4 (1980), from memory',
      [{ what: 'MJ/kg', value: mega(OXYGEN_HEAT.wood), low: 12.45, high: 13.76, digits: 2 }],
    ),
    row('P-wood', 'chemical energy of wood closes over char and volatiles', 'arithmetic', [
      {
        what: 'MJ/kg',
        value: mega(WOOD_CHAR_YIELD * WOOD_CHAR_HEAT + (1 - WOOD_CHAR_YIELD) * VOLATILES_HEAT),
        low: 18.499,
        high: 18.501,
        digits: 3,
      },
    ]),
    row(
      'P-stack',
      'stack effect, 1 m, 20 °C out, 135 °C in',
      'ASHRAE Fundamentals form, from memory',
      [{ what: 'Pa', value: stackPressure(1, 293.15, 408.15), low: 3.3, high: 3.36, digits: 3 }],
    ),
    row('P-orifice', 'orifice of 10 cm2 at 5 Pa', 'fluid mechanics textbooks, Cd 0.60-0.65', [
      {
        what: 'g/s',
        value: 1000 * orificeFlow(1e-3, 1.2, 5),
        low: 1000 * 0.6 * 1e-3 * Math.sqrt(2 * 1.2 * 5),
        high: 1000 * 0.65 * 1e-3 * Math.sqrt(2 * 1.2 * 5),
        digits: 3,
      },
    ]),
    row('P-density', 'density of pork shoulder at 5 °C', 'Choi and Okos 1986, from memory', [
      {
        what: 'kg/m3',
        value: meatDensity(cutOf('pork-shoulder').composition, 5),
        low: 1020,
        high: 1080,
      },
    ]),
    row('P-heat', 'specific heat of pork shoulder at 60 °C', 'Choi and Okos 1986, from memory', [
      {
        what: 'J/kgK',
        value: meatHeat(cutOf('pork-shoulder').composition, 0.66, 60),
        low: 3350,
        high: 3650,
        digits: 0,
      },
    ]),
  ];
}

/** Where water boils. */
function boilingRows(): Row[] {
  const rows: Row[] = [];
  for (const [metres, c] of [
    [0, 100],
    [1500, 95],
    [3000, 90],
  ] as const) {
    rows.push(
      row(
        `P-boil-${metres}`,
        `water boils at ${metres} m`,
        'standard atmosphere and steam tables',
        [
          {
            what: 'C',
            value: boilingPoint(pressureAt(metres)),
            low: c - 0.3,
            high: c + 0.3,
            digits: 2,
          },
        ],
      ),
    );
  }
  return rows;
}

/** Wet bulbs against the library of formulae. */
function wetBulbRows(): Row[] {
  psychrolib.SetUnitSystem(psychrolib.SI);
  const rows: Row[] = [];
  for (const [dry, rh] of [
    [12, 0.6],
    [30, 0.4],
    [60, 0.2],
    [120, 0.02],
  ] as const) {
    const ratio = humidityRatio(rh * saturationPressure(dry), 101325);
    const theirs = psychrolib.GetTWetBulbFromHumRatio(dry, ratio, 101325);
    rows.push(
      row(`P-wet-bulb-${dry}`, `wet bulb at ${dry} °C`, 'psychrolib (ASHRAE formulae)', [
        {
          what: 'C',
          value: wetBulb(dry, ratio, 101325),
          low: theirs - 0.1,
          high: theirs + 0.1,
          digits: 2,
        },
      ]),
    );
  }
  return rows;
}

/** Death of germs against the table. */
function lethalityRows(): Row[] {
  const rows: Row[] = [];
  // Never faster than the table, at most a quarter slower up to 68.3 C.
  for (const [c, minutes] of [
    [54.4, 112],
    [57.2, 36],
    [60, 12],
    [62.8, 4],
    [65.6, 67 / 60],
    [68.3, 22 / 60],
  ] as const) {
    rows.push(
      row(
        `P-lethal-${c}`,
        `6.5 log of Salmonella at ${c} °C`,
        'USDA FSIS Appendix A, from memory',
        [
          {
            what: 'min',
            value: SAFE_LOG_REDUCTION / logReductionsPerMin(c),
            low: minutes,
            high: minutes * 1.25,
            digits: 2,
          },
        ],
      ),
    );
  }
  return rows;
}
