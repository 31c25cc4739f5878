/** Requests from outside, checked whole. */
import type { MeatSpec, Request, RequestMeat } from '@ostrin/core';
import { cutOf, doneByFeel, presetOf, SHUT_IN } from '@ostrin/core/catalogue';
import type { FieldProblem } from './problems';
import { validate, invalid, type Checked } from './validate';
import { RequestDto, toRequest } from './request';

/** A `request/1` document. */
export function readRequest(plain: unknown): Checked<Request> {
  const checked = validate(RequestDto, plain);
  if (!checked.ok) return checked;
  const request = toRequest(checked.value);
  const problems = requestProblems(request);
  return problems.length > 0 ? invalid(problems) : { ok: true, value: request };
}

/** What spans several fields of a request: ids, which pit, which fire in which pit, which times. */
export function requestProblems(request: Request): FieldProblem[] {
  const problems: FieldProblem[] = [];
  for (const list of ['pits', 'meats'] as const) {
    const ids = request[list].map((x) => x.id);
    if (ids.length === 0) problems.push({ field: list, message: 'must have at least one entry' });
    ids.forEach((id, i) => {
      if (ids.indexOf(id) !== i) {
        problems.push({ field: `${list}[${i}].id`, message: `${id} is used twice` });
      }
    });
  }
  request.pits.forEach((p, i) => {
    const preset = presetOf(p.cooker.preset);
    const { fuel, arrangement, everyMin } = p.fire;
    if (arrangement && !preset.arrangements.includes(arrangement)) {
      problems.push({
        field: `pits[${i}].fire.arrangement`,
        message: `${arrangement} does not fit a ${preset.name}; it takes ${preset.arrangements.join(', ')}`,
      });
    }
    if (fuel === 'splits' && !preset.traits.sideFirebox) {
      problems.push({
        field: `pits[${i}].fire.fuel`,
        message: `splits burn in an offset's firebox, not in a ${preset.name}`,
      });
    }
    if (everyMin !== undefined && fuel !== 'splits') {
      problems.push({
        field: `pits[${i}].fire.everyMin`,
        message: 'is how often splits are fed: leave it out with charcoal',
      });
    }
    if (fuel === 'splits' && arrangement && arrangement !== 'coal-bed') {
      problems.push({
        field: `pits[${i}].fire.arrangement`,
        message: 'splits lie on a coal-bed',
      });
    }
  });
  if (Array.isArray(request.weather)) {
    request.weather.forEach(({ at }, i) => {
      if (at === undefined) {
        problems.push({ field: `weather[${i}].at`, message: 'is needed where weather is a list' });
      }
    });
  }
  request.meats.forEach((m, i) => {
    const field = `meats[${i}]`;
    problems.push(...meatProblems(m, field));
    if (m.pit !== undefined && !request.pits.some((p) => p.id === m.pit)) {
      problems.push({ field: `${field}.pit`, message: `no pit has the id ${m.pit}` });
    }
    if (m.serveAt !== undefined && m.serveAt > request.serveAt) {
      problems.push({
        field: `${field}.serveAt`,
        message: 'must not be after serveAt of the whole: that is the last course',
      });
    }
    if (m.notBefore !== undefined && m.notBefore >= (m.serveAt ?? request.serveAt)) {
      problems.push({ field: `${field}.notBefore`, message: 'must be before it is eaten' });
    }
  });
  return problems;
}

/** What a piece cannot be: done by feel when it has none, or in an oven of no temperature. */
export function meatProblems(
  m: Pick<MeatSpec, 'cut' | 'rest'> & { done?: RequestMeat['done'] },
  field: string,
): FieldProblem[] {
  const problems: FieldProblem[] = [];
  if (m.done && 'tender' in m.done && m.done.tender && !doneByFeel(cutOf(m.cut))) {
    problems.push({
      field: `${field}.done`,
      message: `${cutOf(m.cut).name} is done by temperature: give coreC or plateC`,
    });
  }
  if (
    m.rest &&
    (m.rest.where === 'warmer' || m.rest.where === 'oven') &&
    m.rest.atC === undefined
  ) {
    problems.push({ field: `${field}.rest.atC`, message: 'is needed for a warmer or an oven' });
  }
  if (m.rest?.first && !SHUT_IN.includes(m.rest.where)) {
    problems.push({
      field: `${field}.rest.first`,
      message: `goes before a place that shuts it in: ${SHUT_IN.join(', ')}`,
    });
  }
  return problems;
}
