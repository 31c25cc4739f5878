/** Who may come in, and what they may do. */
import 'reflect-metadata';
import { IsIn, IsString, Length, Matches } from 'class-validator';

/** What a device may do: everything, log but not delete or plan, or read. */
export const ROLES = ['cook', 'helper', 'looker'] as const;

/** What a device signs in with: the passcode of the house or an invitation, who uses it and what it is. */
export class SignInDto {
  @IsString() @Length(1, 100) code!: string;
  @IsString() @Length(1, 40) @Matches(/\S/, { message: 'must not be blank' }) name!: string;
  @IsString() @Length(1, 40) @Matches(/\S/, { message: 'must not be blank' }) device!: string;
}

/** The role that a device gets, or that an invitation gives. */
export class RoleDto {
  @IsIn(ROLES) role!: (typeof ROLES)[number];
}
