/** A test burn finds leaks and walls of a pit, and where it settles elsewhere, from six readings. */
import {
  advance,
  BURN,
  burnSettings,
  burnTimes,
  celsius,
  createCook,
  keptPit,
  learnPit,
  loggedBurn,
  MILD_DAY,
  presetOf,
  PRESETS,
  rms,
  settledC,
  simulate,
  steadyScenario,
  takesTestBurn,
  usedReadings,
  ventCard,
  type Scenario,
  type VentCard,
} from '@ostrin/core/internals';

/** The card of a new pit. */
function cardOf(preset: string): VentCard {
  const steps = ventCard({ preset, overrides: {}, weather: MILD_DAY });
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}

/** What a pit that is really so reads in a burn. */
function burnOn(preset: string, overrides: Scenario['cooker']['overrides']) {
  const settings = burnSettings(cardOf(preset)).map((r) => ({ ...r, readC: [null, null] }));
  const blank = loggedBurn({ preset }, settings, MILD_DAY);
  const truth = createCook({
    ...blank.scenario,
    cooker: { preset, overrides },
    actions: blank.done,
  });
  const read = blank.readings.map(({ atMin }) => {
    advance(truth, atMin);
    return Math.round(celsius(truth.pit!.probeK));
  });
  const told = settings.map((s, i) => ({ ...s, readC: read.slice(2 * i, 2 * i + 2) }));
  return loggedBurn({ preset }, told, MILD_DAY);
}

it('is offered where vents alone hold a fire that burns by itself', () => {
  const taking = Object.keys(PRESETS).filter(takesTestBurn);
  expect(taking).toEqual(expect.arrayContaining(['kettle-57', 'kamado-46']));
  for (const preset of taking) {
    const [a, b, c] = burnSettings(cardOf(preset));
    expect(a!.settlesC[0]!).toBeLessThan(b!.settlesC[0]!);
    expect(b!.settlesC[0]!).toBeLessThan(c!.settlesC[0]!);
    expect(burnTimes(preset)[2]! + BURN.settingMin).toBeLessThan(300);
  }
}, 60_000);

// A kettle that leaks twice as much; a kamado that lost its gasket.
it.each([
  ['kettle-57', 2],
  ['kamado-46', 6],
])(
  'tells a leaky %s from a new one',
  (preset, times) => {
    const { leakCm2 } = presetOf(preset).parameters;
    const truth = { leakCm2: times * leakCm2, wallLossFactor: 1.15 };
    const burn = burnOn(preset, truth);
    expect(usedReadings(burn)).toHaveLength(6);
    const learned = learnPit({ preset, overrides: {} }, [burn]);
    const { values } = keptPit({ preset, overrides: {} }, learned);
    // Every setting of its card that cooks are held at, on another day than that of the burn.
    const asked = cardOf(preset).rows.filter((r) => r.settlesC[0]! > 95 && r.settlesC[0]! < 180);
    const weather = { ...MILD_DAY, airC: 5, windMps: 3 };
    const off = (overrides: Scenario['cooker']['overrides']): number =>
      rms(
        asked.map((r) => {
          const settles = (own: typeof overrides): number => {
            const of = { preset, overrides: own, weather };
            const run = steadyScenario(of, r.intakeFraction, r.exhaustFraction, 300);
            return settledC(simulate(run).pitC, run.everyMin);
          };
          return settles(overrides) - settles(truth);
        }),
      );
    expect(off(values)).toBeLessThan(0.5 * off({}));
    expect(learned.figures.leakCm2.times).toBeGreaterThan(1.2);
  },
  60_000,
);
