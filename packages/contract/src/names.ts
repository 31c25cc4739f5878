/** What people call their things. */
import { lettersIn } from '@ostrin/core/quantity';
import { IsString, MaxLength } from 'class-validator';
import { applyAll } from './compose';
import { rule } from './rules';

/** One letter, with all that is written on and under it, has at most so many signs. */
const MOST_SIGNS = 12;

/** A name that is not blank, of so many letters at most, as people count them. */
export const Name = (most: number): PropertyDecorator =>
  applyAll(
    IsString(),
    MaxLength(MOST_SIGNS * most, { message: 'has too many signs' }),
    rule(
      'letters',
      (v) => typeof v === 'string' && v.trim() !== '' && lettersIn(v) <= most,
      `must not be blank, and have at most ${most} letters`,
    ),
  );
