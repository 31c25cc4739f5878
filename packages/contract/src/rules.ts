/** Rules of our own, beside class-validator's. Messages say what to do, not only what is wrong. */
import { knownZone } from '@ostrin/core/quantity';
import {
  ArrayMaxSize,
  IsArray,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  registerDecorator,
  ValidateIf,
  ValidateNested,
  type ValidationArguments,
} from 'class-validator';
import { Type, type ClassConstructor } from 'class-transformer';
import { applyAll } from './compose';
import { isObject } from './plain';

/** A rule by a function of the value, or of each of a list; `name` is what the schema knows it by. */
export function rule(
  name: string,
  holds: (value: unknown, args: ValidationArguments) => boolean,
  message: string | ((args: ValidationArguments) => string),
  constraints: unknown[] = [],
  each = false,
): PropertyDecorator {
  return (target, property) =>
    registerDecorator({
      name,
      target: target.constructor,
      propertyName: String(property),
      constraints,
      options: { message, each },
      validator: { validate: (value, args) => holds(value, args!) },
    });
}

/** May be left out; what is given, null too, has to keep the other rules. */
export const Optional = (): PropertyDecorator => ValidateIf((_, value) => value !== undefined);

/** Fields that may be null, by the class that declares them. */
const nullFields = new Map<object, string[]>();

/** May be null, or left out. */
export const OrNull = (): PropertyDecorator =>
  applyAll(IsOptional(), (target, property) => {
    nullFields.set(target, [...(nullFields.get(target) ?? []), String(property)]);
  });

/** The fields that may be null, with the name of the class that declares them. */
export const fieldsOrNull = (): { cls: string; fields: readonly string[] }[] =>
  [...nullFields].map(([target, fields]) => ({ cls: target.constructor.name, fields }));

/** A finite number between two bounds, both allowed. */
export const InRange = (low: number, high: number): PropertyDecorator =>
  applyAll(
    IsNumber(
      { allowNaN: false, allowInfinity: false },
      { message: `must be a number from ${low} to ${high}` },
    ),
    Min(low, { message: `must be at least ${low}` }),
    Max(high, { message: `must be at most ${high}` }),
  );

/** A name from a catalogue; names we know but cannot compute yet say so. */
export const Known = (
  known: readonly string[],
  notYet: readonly string[] = [],
): PropertyDecorator =>
  rule(
    'known',
    (v) => typeof v === 'string' && known.includes(v),
    (args) =>
      notYet.includes(String(args.value))
        ? `not yet: ${String(args.value)} cannot be computed by this version (it can do ${known.join(', ')})`
        : `must be one of ${known.join(', ')}`,
    [known],
  );

const oneOfKeys = (name: string, keys: readonly string[]): PropertyDecorator =>
  rule(
    name,
    (v) => isObject(v) && keys.filter((k) => v[k] !== undefined).length === 1,
    `must have exactly one of ${keys.join(', ')}`,
  );

/** An object of exactly one of these keys, and of nothing else. */
export const ExactlyOne = (...keys: string[]): PropertyDecorator => oneOfKeys('exactlyOne', keys);

/** An object with exactly one of these keys beside its others. */
export const OneBeside = (...keys: string[]): PropertyDecorator => oneOfKeys('oneBeside', keys);

/** The place of one in a list of the same document, counted from 0. */
export const PlaceIn = <T extends object>(list: (document: T) => unknown): PropertyDecorator =>
  rule(
    'placeIn',
    (v, { object }) => {
      // The document whose class carries the rule.
      const of = list(object as T);
      return (
        typeof v === 'number' && Number.isInteger(v) && Array.isArray(of) && v >= 0 && v < of.length
      );
    },
    'must be the place of one in its list, counted from 0',
  );

/** Numbers of an object at most, where nothing else is said. */
const MOST_NUMBERS = 32;

/**
 * An object of numbers between two bounds, under names of up to `longest` letters; at most `most` of them. With `orNull`
 * some may be null.
 */
export const Numbers = (
  low: number,
  high: number,
  longest: number,
  { orNull = false, most = MOST_NUMBERS } = {},
): PropertyDecorator =>
  rule(
    'numbers',
    (v) =>
      isObject(v) &&
      Object.keys(v).length <= most &&
      Object.entries(v).every(
        ([key, n]) =>
          key.length > 0 &&
          key.length <= longest &&
          ((orNull && n === null) || (typeof n === 'number' && n >= low && n <= high)),
      ),
    `must have numbers from ${low} to ${high} under names of up to ${longest} letters, ${most} at most`,
  );

/** What is known of a field that holds other documents: their class, and how many a list may have. */
interface NestedField {
  /** The class; null where the entries of a list are of several. */
  type: (() => ClassConstructor<object>) | null;
  /** Most entries of a list; null for a single document. */
  most: number | null;
}

const nestedFields = new Map<object, Map<string, NestedField>>();

const remember =
  (field: NestedField): PropertyDecorator =>
  (target, property) => {
    const known = nestedFields.get(target) ?? new Map<string, NestedField>();
    known.set(String(property), field);
    nestedFields.set(target, known);
  };

const knownFields = new Map<ClassConstructor<object>, ReadonlyMap<string, NestedField>>();

/** The fields of a class that hold other documents, by name; those of its base classes too. */
export function nestedFieldsOf(cls: ClassConstructor<object>): ReadonlyMap<string, NestedField> {
  const known = knownFields.get(cls);
  if (known) return known;
  const found = new Map<string, NestedField>();
  knownFields.set(cls, found);
  let prototype: object | null = cls.prototype as object;
  for (; prototype; prototype = Object.getPrototypeOf(prototype) as object | null) {
    for (const [name, field] of nestedFields.get(prototype) ?? []) {
      if (!found.has(name)) found.set(name, field);
    }
  }
  return found;
}

/** A nested document of one class. */
export const Nested = (type: () => ClassConstructor<object>): PropertyDecorator =>
  applyAll(
    remember({ type, most: null }),
    rule('nestedObject', isObject, 'must be an object'),
    ValidateNested(),
    Type(type),
  );

/** A list of nested documents, at most `most`. */
export const NestedList = (type: () => ClassConstructor<object>, most: number): PropertyDecorator =>
  applyAll(listOfObjects(type, most), ValidateNested({ each: true }), Type(type));

/** Classes of nested documents, told apart by a field of the one that they share. */
export interface Kinds {
  base: ClassConstructor<object>;
  property: string;
  /** Each with the value of that field by which it is known. */
  subTypes: { name: string; value: ClassConstructor<object> }[];
}

/** Classes told apart by a field of `base`, which may be none but their names. */
export function kindsOf(
  base: ClassConstructor<object>,
  property: string,
  classes: Readonly<Record<string, ClassConstructor<object>>>,
  oneOf: (names: string[]) => PropertyDecorator = Known,
): Kinds {
  oneOf(Object.keys(classes))(base.prototype as object, property);
  const subTypes = Object.entries(classes).map(([name, value]) => ({ name, value }));
  return { base, property, subTypes };
}

/** Nested documents of several classes. */
const ofKinds = ({ base, property, subTypes }: Kinds): PropertyDecorator =>
  Type(() => base, { discriminator: { property, subTypes }, keepDiscriminatorProperty: true });

/** A list, at most `most`, of nested documents of several classes. */
export const KindList = (kinds: Kinds, most: number): PropertyDecorator =>
  applyAll(listOfObjects(null, most), ValidateNested({ each: true }), ofKinds(kinds));

/** A nested document of several classes. */
export const KindOf = (kinds: Kinds): PropertyDecorator =>
  applyAll(
    remember({ type: null, most: null }),
    rule('nestedObject', isObject, 'must be an object'),
    ValidateNested(),
    ofKinds(kinds),
  );

/** A list of objects, at most `most`. */
const listOfObjects = (type: NestedField['type'], most: number): PropertyDecorator =>
  applyAll(
    remember({ type, most }),
    IsArray({ message: 'must be a list' }),
    rule(
      'notTooMany',
      (v) => !Array.isArray(v) || v.length <= most,
      `must have at most ${most} entries`,
    ),
    rule('objects', (v) => !Array.isArray(v) || v.every(isObject), 'every entry must be an object'),
  );

/** One object, or a list of 1 to 100 of them. Goes with ValidateNested. */
export const ObjectOrList = (): PropertyDecorator =>
  rule(
    'objectOrList',
    (v) => {
      const list = Array.isArray(v) ? v : [v];
      return list.length > 0 && list.length <= 100 && list.every(isObject);
    },
    'must be an object or a list of 1 to 100 of them',
  );

/** A list of finite numbers or nulls, at most `most`. */
export const Series = (most: number): PropertyDecorator =>
  rule(
    'series',
    (v) => Array.isArray(v) && v.length <= most && v.every((x) => x === null || Number.isFinite(x)),
    `must be a list of at most ${most} numbers or nulls`,
  );

/** A wall-clock time, `YYYY-MM-DDTHH:mm`, of a day that exists in the years 2000 to 2199. */
export const LocalTime = (): PropertyDecorator =>
  rule(
    'localTime',
    (v) => {
      if (typeof v !== 'string' || !/^2[01]\d\d-\d\d-\d\dT\d\d:\d\d$/.test(v)) return false;
      const d = new Date(`${v}:00Z`);
      return !Number.isNaN(d.getTime()) && d.toISOString().slice(0, 16) === v;
    },
    'must be a time such as 2027-05-15T18:30, in the years 2000 to 2199',
  );

/** An IANA time zone known here. */
export const Zone = (): PropertyDecorator =>
  rule(
    'zone',
    (v) => typeof v === 'string' && v.length < 64 && knownZone(v),
    'must be a time zone such as Europe/Ljubljana',
  );

/** Fewest and most steps of a dial between shut and open: fewer cannot tell two needed settings apart. */
const DIAL_STEPS = { fewest: 4, most: 1000 };

/** How one vent is given: a dial exactly where it is given by one, with steps enough between its two ends. */
export const DialFits = (): PropertyDecorator =>
  rule(
    'dialFits',
    (v) => {
      if (!isObject(v)) return true;
      if (v.way !== 'dial') return v.dial === undefined;
      if (!isObject(v.dial)) return false;
      const { shut, open, step } = v.dial as Record<string, number>;
      const steps = Math.abs(open! - shut!) / step!;
      return steps >= DIAL_STEPS.fewest && steps <= DIAL_STEPS.most;
    },
    `must have a dial exactly where its way is dial, with ${DIAL_STEPS.fewest} to ${DIAL_STEPS.most} steps between shut and open`,
  );

const MOST_TEXTS = 200;

/** A list of texts of at most `most` letters each, 200 at most. */
export const ShortTexts = (most: number): PropertyDecorator =>
  applyAll(
    IsArray({ message: 'must be a list' }),
    ArrayMaxSize(MOST_TEXTS),
    IsString({ each: true }),
    MaxLength(most, { each: true }),
  );
