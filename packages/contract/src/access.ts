/** Who may come in, and what they may do. */
import 'reflect-metadata';
import { IsIn, IsString, Length } from 'class-validator';
import { Name } from './names';

/** What a device may do: everything, log but not delete or plan, or read. */
export const ROLES = ['cook', 'helper', 'looker'] as const;

/** What a device signs in with: the passcode of the house or an invitation, who uses it and what it is. */
export class SignInDto {
  @IsString() @Length(1, 100) code!: string;
  @Name(40) name!: string;
  @Name(40) device!: string;
}

/** The role that a device gets, or that an invitation gives. */
export class RoleDto {
  @IsIn(ROLES) role!: (typeof ROLES)[number];
}
