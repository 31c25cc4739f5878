/** What a cook keeps between cooks: wishes worth planning again, and the fuel on the shelf. */
import 'reflect-metadata';
import type { Request } from '@ostrin/core';
import { IsBoolean } from 'class-validator';
import type { FieldProblem } from './problems';
import { Name } from './names';
import { validate, type Checked } from './validate';
import { requestProblems } from './readRequest';
import { FUEL_KINDS, PriceDto, RequestDto, StockDto, toRequest } from './request';
import { Nested, NestedList } from './rules';
import type { SavedPlan, Shelf } from './types';

/** The body that keeps a plan; its id stands in the path. What is kept is the wish: it is planned anew each time. */
export class SavedPlanDto {
  @Name(60) name!: string;
  @IsBoolean() favourite!: boolean;
  @Nested(() => RequestDto) request!: RequestDto;
}

/** Fuel on the shelf, and what it costs where it is bought. */
export class ShelfDto {
  @NestedList(() => StockDto, FUEL_KINDS.length) fuelOnHand!: StockDto[];
  @NestedList(() => PriceDto, FUEL_KINDS.length) prices!: PriceDto[];
}

/** A plan to keep. */
export function readSavedPlan(plain: unknown): Checked<Omit<SavedPlan, 'id' | 'changedAt'>> {
  const checked = validate(SavedPlanDto, plain);
  if (!checked.ok) return checked;
  const { name, favourite } = checked.value;
  const request: Request = toRequest(checked.value.request);
  const problems = requestProblems(request).map((p) => ({ ...p, field: `request.${p.field}` }));
  return problems.length > 0
    ? { ok: false, problems }
    : { ok: true, value: { name: name.trim(), favourite, request } };
}

/** The shelf; every fuel at most once in each list. */
export function readShelf(plain: unknown): Checked<Shelf> {
  const checked = validate(ShelfDto, plain);
  if (!checked.ok) return checked;
  const shelf = JSON.parse(JSON.stringify(checked.value)) as Shelf;
  const problems: FieldProblem[] = [];
  for (const list of ['fuelOnHand', 'prices'] as const) {
    const fuels = shelf[list].map((x) => x.fuel);
    fuels.forEach((fuel, i) => {
      if (fuels.indexOf(fuel) !== i) {
        problems.push({ field: `${list}[${i}].fuel`, message: `${fuel} is used twice` });
      }
    });
  }
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: shelf };
}
