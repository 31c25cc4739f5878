/** Published values behind air, combustion, fuel and heat loss. Sources are quoted from memory. */
import {
  CHARCOALS,
  humidityRatio,
  outsideFilm,
  radiationCoefficient,
  saturationPressure,
  STOICHIOMETRIC_AIR,
  vapourPressure,
  wetWoodHeat,
  WOOD,
  WOOD_MOISTURE_FRACTION,
  type WoodId,
  WOODS,
} from '@ostrin/core/internals';
import psychrolib from 'psychrolib';
import { row, type Row } from './types';

const HANDBOOK = 'Wood Handbook, FPL, table of mechanical properties, from memory';
/** Specific gravity at 12 % moisture. */
const GRAVITY: readonly (readonly [WoodId, number])[] = [
  ['white-oak', 0.68],
  ['oak', 0.63],
  ['hickory', 0.72],
  ['pecan', 0.66],
  ['maple', 0.63],
  ['cherry', 0.5],
  ['alder', 0.41],
  ['beech', 0.64],
  ['ash', 0.6],
];

/**
 * Churchill and Chu for a vertical plate in air, W/m2K: the whole range of Rayleigh numbers. The short
 * form that the walls use must agree with it where walls live.
 */
function churchillChu(wallK: number, airK: number, lengthM: number): number {
  const film = (wallK + airK) / 2;
  const viscosity = 1.33e-5 * Math.pow(film / 273.15, 1.77);
  const conductivity = 0.0241 * Math.pow(film / 273.15, 0.81);
  const prandtl = 0.71;
  const ra =
    ((9.81 * Math.abs(wallK - airK) * lengthM ** 3) / (film * viscosity * viscosity)) * prandtl;
  const nu =
    0.68 + (0.67 * Math.pow(ra, 0.25)) / Math.pow(1 + Math.pow(0.492 / prandtl, 9 / 16), 4 / 9);
  return (nu * conductivity) / lengthM;
}

/** Rows on fuel and on what a wall loses. */
export function fireRows(): Row[] {
  return [...fuelRows(), ...wallRows(), ...humidityRows()];
}

/** Wood, charcoal, flame and radiation. */
function fuelRows(): Row[] {
  const rows: Row[] = GRAVITY.map(([id, value]) =>
    row(`P-gravity-${id}`, `specific gravity of ${WOODS[id].name} at 12 %`, HANDBOOK, [
      {
        what: '-',
        value: WOODS[id].specificGravity,
        low: value - 0.005,
        high: value + 0.005,
        digits: 2,
      },
    ]),
  );
  rows.push(
    row('P-air', 'air for 1 kg of carbon', 'combustion textbooks', [
      { what: 'kg', value: STOICHIOMETRIC_AIR, low: 11.4, high: 11.6, digits: 2 },
    ]),
    row('P-wet-wood', 'net heat of wood at 20 % moisture', 'ISO 18125 / EN 14918 form', [
      {
        what: 'MJ/kg',
        value: wetWoodHeat(0.2) / 1e6,
        low: 14.31 - 0.01,
        high: 14.31 + 0.01,
        digits: 3,
      },
    ]),
    row('P-dry-basis', 'seasoned wood, 16 % wet basis, on dry basis', 'Wood Handbook, FPL', [
      {
        what: '%',
        value: (100 * WOOD_MOISTURE_FRACTION.seasoned) / (1 - WOOD_MOISTURE_FRACTION.seasoned),
        low: 19,
        high: 19.1,
        digits: 2,
      },
    ]),
    row('P-charcoal', 'ash and moisture of good charcoal', 'EN 1860-2, from memory', [
      { what: 'lump ash %', value: 100 * CHARCOALS.lump.ashFraction, low: 0, high: 8 },
      { what: 'briquette ash %', value: 100 * CHARCOALS.briquette.ashFraction, low: 0, high: 18 },
      { what: 'moisture %', value: 100 * CHARCOALS.briquette.moistureFraction, low: 0, high: 8 },
    ]),
    row('P-flame-flux', 'volatiles that a wood flame needs', 'fire dynamics textbooks, 1-4 g/m2s', [
      { what: 'g/m2s', value: 1000 * WOOD.criticalFlux, low: 0.8, high: 4, digits: 2 },
    ]),
    row('P-radiation', 'exchange of black walls at 150 and 20 °C', 'Stefan-Boltzmann law', [
      {
        what: 'W/m2',
        value: radiationCoefficient(423.15, 293.15) * 130,
        low: 5.670374e-8 * (423.15 ** 4 - 293.15 ** 4) - 0.1,
        high: 5.670374e-8 * (423.15 ** 4 - 293.15 ** 4) + 0.1,
      },
    ]),
  );
  return rows;
}

/** Natural convection from walls. */
function wallRows(): Row[] {
  const rows: Row[] = [];
  for (const [c, length] of [
    [60, 0.3],
    [90, 0.57],
    [130, 0.5],
  ] as const) {
    const wallK = c + 273.15;
    const exact = churchillChu(wallK, 288.15, length);
    rows.push(
      row(
        `P-natural-${c}`,
        `natural convection from a wall at ${c} °C, ${length} m high`,
        'Churchill and Chu 1975, vertical plate, from memory',
        [
          {
            what: 'W/m2K',
            value: outsideFilm(wallK, 288.15, 0, length, 0),
            low: 0.8 * exact,
            high: 1.2 * exact,
            digits: 2,
          },
        ],
      ),
    );
  }
  return rows;
}

/** Humidity against the library of formulae. */
function humidityRows(): Row[] {
  psychrolib.SetUnitSystem(psychrolib.SI);
  const rows: Row[] = [];
  for (const [dry, rh] of [
    [10, 0.6],
    [30, 0.8],
  ] as const) {
    const theirs = psychrolib.GetHumRatioFromRelHum(dry, rh, 101325);
    rows.push(
      row(
        `P-humidity-${dry}`,
        `humidity ratio at ${dry} °C and ${rh * 100} %`,
        'psychrolib (ASHRAE formulae)',
        [
          {
            what: 'g/kg',
            value: 1000 * humidityRatio(rh * saturationPressure(dry), 101325),
            low: 1000 * theirs * 0.998,
            high: 1000 * theirs * 1.002,
            digits: 3,
          },
        ],
      ),
    );
    const dew = psychrolib.GetTDewPointFromHumRatio(dry, theirs, 101325);
    rows.push(
      row(
        `P-dew-${dry}`,
        `vapour saturated at the dew point of ${dry} °C and ${rh * 100} %`,
        'psychrolib (ASHRAE formulae)',
        [
          {
            what: 'share',
            value: saturationPressure(dew) / vapourPressure(theirs, 101325),
            low: 0.99,
            high: 1.01,
            digits: 4,
          },
        ],
      ),
    );
  }
  return rows;
}
