/** Published values of food and its safety, against what whole cooks of the engine say. */
import { onlyPiece } from '@ostrin/core';
import {
  type CautionId,
  createPiece,
  cutOf,
  FACE_CLOSURES,
  humidityRatio,
  meatConductivity,
  meatDensity,
  meatHeat,
  type MeatResult,
  type MeatSpec,
  pressureAt,
  saturationPressure,
  simulate,
  stepPiece,
} from '@ostrin/core/internals';
import psychrolib from 'psychrolib';
import { heldCook } from './heldCook';
import { row, type Row } from './types';

const CHOI_OKOS = 'Choi and Okos 1986, in ASHRAE Refrigeration ch. 19, from memory';
const MINIMUM = 'USDA FSIS safe minimum temperatures, from memory';
const FOOD_CODE = 'FDA Food Code 3-501.14/.16, from memory';

/** Properties of pure constituents and of meat. */
function propertyRows(): Row[] {
  const water = { water: 1, protein: 0, fat: 0, ash: 0 };
  const lean = { water: 0.73, protein: 0.22, fat: 0.04, ash: 0.01 };
  return [
    row('P-food-water', 'water at 20 °C', CHOI_OKOS, [
      { what: 'W/mK', value: meatConductivity(water, 1, 20), low: 0.6, high: 0.607, digits: 4 },
      { what: 'J/kgK', value: meatHeat(water, 1, 20), low: 4170, high: 4182, digits: 0 },
      { what: 'kg/m3', value: meatDensity(water, 20), low: 994, high: 998, digits: 1 },
    ]),
    row('P-food-lean', 'lean meat (73 % water) at 20 °C', CHOI_OKOS, [
      { what: 'W/mK', value: meatConductivity(lean, 0.73, 20), low: 0.46, high: 0.54, digits: 3 },
      { what: 'J/kgK', value: meatHeat(lean, 0.73, 5), low: 3500, high: 3700, digits: 0 },
      { what: 'kg/m3', value: meatDensity(lean, 20), low: 1040, high: 1080, digits: 0 },
    ]),
  ];
}

/** A wet, bare face in fast air that sees nothing warmer settles at the wet bulb. */
function wetBulbRow(): Row {
  const gap = [60, 90, 121].map((airC) => {
    const piece = createPiece({ ...cutOf('chuck'), coveredFraction: 0 }, 2, 35);
    const pressurePa = pressureAt(0);
    const humidity = humidityRatio(saturationPressure(25), pressurePa);
    const radiates = FACE_CLOSURES.radiation;
    FACE_CLOSURES.radiation = 0;
    for (let i = 0; i < 40; i++) {
      // Kept wet, and its inside kept at its face's temperature: no heat but the air's.
      piece.filmKg = 0.05 * piece.bareM2;
      piece.tempC.fill(piece.faceC);
      const air = {
        airC,
        wallC: airC,
        humidity,
        airSpeedMps: 5,
        draughtKgPerS: Infinity,
        pressurePa,
      };
      stepPiece(piece, air, 5);
    }
    FACE_CLOSURES.radiation = radiates;
    return piece.faceC - psychrolib.GetTWetBulbFromHumRatio(airC, humidity, pressurePa);
  });
  const worst = gap.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
  return row(
    'P-wet-face',
    'a wet face in moving air of 60, 90 and 121 °C against the wet bulb',
    'psychrolib (ASHRAE formulae)',
    [{ what: 'largest gap K', value: worst, low: -1, high: 1, digits: 2 }],
  );
}

const has = (m: MeatResult, caution: CautionId): number =>
  m.cautions.some((c) => c.id === caution) ? 1 : 0;

/** The core just before and when a piece is first called safe. */
function safeRow(
  id: string,
  limit: number,
  meat: Partial<MeatSpec> & { cut: string; massKg: number },
): Row {
  const m = onlyPiece(simulate(heldCook(140, meat)));
  const at = m.safeAtMin;
  return row(
    id,
    `${cutOf(meat.cut).name}${meat.injected ? ', injected' : ''}: first called safe`,
    MINIMUM,
    [
      {
        what: 'core C',
        value: at === null ? null : (m.coreC[at] ?? null),
        low: limit,
        high: limit + 1.5,
      },
    ],
  );
}

function safetyRows(): Row[] {
  const rare = onlyPiece(
    simulate(
      heldCook(135, {
        cut: 'rib-roast',
        massKg: 2.3,
        done: { coreC: 50 },
        rest: { where: 'tented', minutes: 20 },
      }),
    ),
  );
  const long = (where: 'cool-box' | 'counter'): MeatResult =>
    onlyPiece(
      simulate(
        heldCook(135, {
          cut: 'chuck',
          massKg: 1.2,
          done: { coreC: 90 },
          rest: { where, minutes: 720 },
        }),
      ),
    );
  const [box, counter] = [long('cool-box'), long('counter')];
  const slow = onlyPiece(
    simulate(heldCook(75, { cut: 'pork-shoulder', massKg: 4, injected: true })),
  );
  const yes = (what: string, value: number) => ({ what, value, low: 1, high: 1, digits: 0 });
  return [
    safeRow('P-min-poultry', 73.9, { cut: 'whole-chicken', massKg: 1.6 }),
    safeRow('P-min-minced', 71.1, { cut: 'sausages', massKg: 0.12 }),
    safeRow('P-min-opened', 71.1, { cut: 'pork-shoulder', massKg: 3, injected: true }),
    row(
      'P-rare',
      'a rib roast pulled at 50 °C is served with a caution, not with a tick',
      MINIMUM,
      [
        {
          what: 'not called safe',
          value: rare.safeAtMin === null || rare.safeAtMin > rare.doneAtMin! ? 1 : 0,
          low: 1,
          high: 1,
          digits: 0,
        },
        yes('caution', has(rare, 'not-safe-yet')),
      ],
    ),
    row('P-hold', 'a cool box that falls under 57 °C is told of', FOOD_CODE, [
      yes('caution', has(box, 'hot-hold')),
      {
        what: 'h hot before',
        value: (720 - box.hold!.coolMin) / 60,
        low: 0.5,
        high: 11,
        digits: 1,
      },
    ]),
    row('P-cooling', 'two hours under 57 °C on a counter are told of', FOOD_CODE, [
      yes('caution', has(counter, 'cools-slowly')),
      { what: 'min under 57 °C', value: counter.hold!.coolMin, low: 120, high: 720, digits: 0 },
    ]),
    row('P-linger', 'injected meat over 4 h between 5 and 60 °C is told of', 'common practice', [
      yes('caution', has(slow, 'lingers-opened')),
      { what: 'min', value: slow.lingering.centreMin, low: 240, high: 960, digits: 0 },
    ]),
  ];
}

/** Rows on properties, the wet face, and what is safe. */
export function foodRows(): Row[] {
  psychrolib.SetUnitSystem(psychrolib.SI);
  return [...propertyRows(), wetBulbRow(), ...safetyRows()];
}
