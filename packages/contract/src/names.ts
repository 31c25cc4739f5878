/** What people call their things and themselves, counted in letters as people count them. */
import { lettersIn } from '@ostrin/core/quantity';
import { IsString, Matches, MaxLength } from 'class-validator';
import { applyAll } from './compose';
import { rule } from './rules';

/** One letter, with all that is written on and under it, has at most so many signs. */
const MOST_SIGNS = 12;

/** A text of 1 to so many letters, or a list of such. */
export const Letters = (most: number, { each = false } = {}): PropertyDecorator =>
  applyAll(
    IsString({ each }),
    MaxLength(MOST_SIGNS * most, { message: 'has too many signs', each }),
    rule(
      'letters',
      (v) => typeof v === 'string' && v !== '' && lettersIn(v) <= most,
      `must have at least 1 and at most ${most} letters`,
      [],
      each,
    ),
  );

/** A name of 1 to so many letters, and not of spaces alone. */
export const Name = (most: number): PropertyDecorator =>
  applyAll(Letters(most), Matches(/\S/, { message: 'must not be blank' }));
