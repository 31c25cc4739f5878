/** Documents from outside, checked whole: class rules first, then what spans several fields. */
import { createCook } from '@ostrin/core/engine';
import { presetOf, type FireSpec, type Place, type VentScales } from '@ostrin/core/catalogue';
import type { Action, Scenario } from '@ostrin/core';
import { plainOf } from './plain';
import type { FieldProblem } from './problems';
import { validate, invalid, type Checked } from './validate';
import { meatProblems } from './readRequest';
import { ScenarioDto, toScenario } from './scenario';
import { PitDto } from './pit';
import type { PitRecord, PitVersion } from './types';

/** A `scenario/1` document. */
export function readScenario(plain: unknown): Checked<Scenario> {
  const checked = validate(ScenarioDto, plain);
  if (!checked.ok) return checked;
  const scenario = toScenario(checked.value);
  const problems = scenarioProblems(scenario);
  return problems.length > 0 ? invalid(problems) : { ok: true, value: plainOf(scenario) };
}

/** What is wrong with a scenario beyond its single fields. */
export function scenarioProblems(s: Scenario): FieldProblem[] {
  const problems: FieldProblem[] = [];
  if (s.control.mode === 'held') {
    const schedule = s.control.schedule ?? [];
    if (schedule.length === 0) {
      problems.push({ field: 'control.schedule', message: 'a held pit needs at least one entry' });
    }
    if (schedule.some((p, i) => i > 0 && p.atMin <= schedule[i - 1]!.atMin)) {
      problems.push({ field: 'control.schedule', message: 'must be in order of atMin' });
    }
  } else if (!s.fire) problems.push({ field: 'fire', message: 'is needed unless the pit is held' });
  if (s.fire && s.control.mode !== 'held') problems.push(...fireProblems(s.fire, s.cooker.preset));
  if ((s.control.mode === 'fan' || s.control.mode === 'tended') && !(s.control.targetC > 0)) {
    problems.push({ field: 'control.targetC', message: 'is needed in this mode' });
  }
  const ids = s.meats.map((m) => m.id);
  s.meats.forEach((m, i) => {
    if (ids.indexOf(m.id) !== i) {
      problems.push({ field: `meats[${i}].id`, message: `${m.id} is used twice` });
    }
    if (m.wrap && m.wrap.with !== 'none' && !m.wrap.when) {
      problems.push({ field: `meats[${i}].wrap.when`, message: 'is needed with this wrap' });
    }
    problems.push(...meatProblems(m, `meats[${i}]`));
    if (m.at) problems.push(...placeProblems(s, m.at, `meats[${i}].at`));
  });
  s.actions.forEach((a, i) => {
    problems.push(...actionProblems(a, i, ids));
    if (a.do === 'move') problems.push(...placeProblems(s, a.to, `actions[${i}].to`));
  });
  return problems.length > 0 ? problems : engineProblems(s);
}

/** What the engine itself finds wrong with a scenario: a document that is let in can be run. */
function engineProblems(s: Scenario): FieldProblem[] {
  try {
    createCook(s);
    return [];
  } catch (error) {
    const [, field, message] = /^scenario\.?([^:]*): (.*)$/.exec((error as Error).message) ?? [];
    return [{ field: field ?? '', message: message ?? 'cannot be computed' }];
  }
}

/** A place that this pit's grate does not have; a held pit is the same all over. */
function placeProblems(s: Scenario, at: Place, field: string): FieldProblem[] {
  if (s.control.mode === 'held') return [];
  const preset = presetOf(s.cooker.preset);
  const places = preset.layout(preset.parameters).positions.map((p) => p.at);
  return places.includes(at)
    ? []
    : [{ field, message: `a ${preset.name} has no ${at}; it has ${places.join(', ')}` }];
}

function fireProblems(fire: FireSpec, presetId: string): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const lit = fire.arrangement === 'snake' ? fire.litPieces : fire.litMassKg;
  if (!(lit > 0)) {
    problems.push({ field: 'fire.litPieces', message: 'give litPieces or litMassKg above 0' });
  }
  const { arrangements, name } = presetOf(presetId);
  if (!arrangements.includes(fire.arrangement)) {
    problems.push({
      field: 'fire.arrangement',
      message: `${fire.arrangement} does not fit a ${name}; it takes ${arrangements.join(', ')}`,
    });
  }
  return problems;
}

function actionProblems(a: Action, i: number, ids: string[]): FieldProblem[] {
  if ('meat' in a && !ids.includes(a.meat)) {
    return [{ field: `actions[${i}].meat`, message: `no meat has the id ${a.meat}` }];
  }
  if (a.do === 'add-fuel' && !amountGiven(a)) {
    return [{ field: `actions[${i}].pieces`, message: 'give pieces or massKg above 0' }];
  }
  return [];
}

/** Whether fuel put on comes with how much. */
export const amountGiven = (a: { pieces: number; massKg?: number }): boolean =>
  a.pieces > 0 && (a.massKg === undefined || a.massKg > 0);

/** A pit to make or change; how its vents are given is the preset's way when left out. */
export function readPit(plain: unknown): Checked<Omit<PitRecord, 'id'>> {
  const checked = validate(PitDto, plain);
  if (!checked.ok) return checked;
  const { name, preset, overrides, ventWay, ventScales, learned, kind, putAwayAt } = checked.value;
  return {
    ok: true,
    value: {
      name: name.trim(),
      preset,
      overrides: plainOf(overrides),
      ventWay: ventWay ?? presetOf(preset).ventNotation,
      ...(learned?.length ? { learned: plainOf<PitVersion[]>(learned) } : {}),
      ...(kind ? { kind: kind.trim() } : {}),
      ...(putAwayAt ? { putAwayAt } : {}),
      ...(ventScales ? { ventScales: plainOf<VentScales>(ventScales) } : {}),
    },
  };
}
