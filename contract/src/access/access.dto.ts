import { Type } from 'class-transformer';
import { IsArray, IsBoolean, IsIn, IsObject, IsOptional, IsString, IsUUID, Length, Matches, ValidateNested } from 'class-validator';
import { type PersonRole, personRoles } from './capabilities.ts';

const LOGIN = /^[a-z0-9][a-z0-9._-]{1,38}[a-z0-9]$/i;
export const PASSWORD_MIN = 10;
export const PASSWORD_MAX = 200;
const passwordWords = {
  message: `The password must have ${PASSWORD_MIN} to ${PASSWORD_MAX} characters; a short sentence is easy to keep.`,
};

export class SignIn {
  @IsString() @Length(1, 60, { message: 'Give the sign-in name.' }) login!: string;
  @IsString() @Length(1, PASSWORD_MAX, { message: 'Give the password.' }) password!: string;
}

/** Signs in as one of the demo's people; only where the demo is loaded. */
export class DemoSignIn {
  @IsUUID() personId!: string;
}

export class PasswordChange {
  @IsString() @Length(1, PASSWORD_MAX, { message: 'Give the password you use now.' }) current!: string;
  @IsString() @Length(PASSWORD_MIN, PASSWORD_MAX, passwordWords) next!: string;
}

export class SessionPerson {
  @IsUUID() personId!: string;
  @IsString() name!: string;
  @IsIn(personRoles) role!: PersonRole;
}

export class SessionTeam {
  @IsUUID() teamId!: string;
  @IsString() name!: string;
}

/** Who is signed in here, and what the sign-in page needs where nobody is. */
export class SessionView {
  @IsBoolean() signedIn!: boolean;
  /** No team yet: the set-up link that the start command printed makes one. */
  @IsBoolean() needsSetUp!: boolean;
  @IsOptional() @ValidateNested() @Type(() => SessionPerson) person?: SessionPerson;
  @IsOptional() @ValidateNested() @Type(() => SessionTeam) team?: SessionTeam;
  /** What the demo says of itself; its people may be signed in as. */
  @IsOptional() @IsString() demo?: string;
  @IsArray() @ValidateNested({ each: true }) @Type(() => SessionPerson) demoPeople!: readonly SessionPerson[];
}

export class InvitationLook {
  @IsString() @Length(20, 100) token!: string;
}

/** What an invitation leads to. Without a team, it founds one. */
export class InvitationView {
  @IsBoolean() foundsTeam!: boolean;
  @IsOptional() @IsString() teamName?: string;
  @IsOptional() @IsString() personName?: string;
  @IsOptional() @IsIn(personRoles) role?: PersonRole;
  /** The account exists: only its password is set anew. */
  @IsOptional() @IsString() login?: string;
  @IsString() expiresAt!: string;
}

/** A one-time link taken up: the account that it opens. */
class AccountOpened {
  @IsString() @Length(20, 100) token!: string;
  @IsString()
  @Matches(LOGIN, { message: 'The sign-in name must have 3 to 40 letters, digits, dots, dashes or underscores.' })
  login!: string;
  @IsString() @Length(PASSWORD_MIN, PASSWORD_MAX, passwordWords) password!: string;
}

export class InvitationAccept extends AccountOpened {
  /** For founding a team. */
  @IsOptional() @IsString() @Length(1, 80, { message: 'The team’s name must have 1 to 80 characters.' }) teamName?: string;
  @IsOptional() @IsString() @Length(1, 80, { message: 'Your name must have 1 to 80 characters.' }) personName?: string;
}

/** Brings a whole team into a server that has none yet, and opens the account of one of its coordinators. */
export class BundleAccept extends AccountOpened {
  @IsUUID(undefined, { message: 'Choose which person of the team you are.' }) personId!: string;
  /** The file as it was taken out. */
  @IsObject({ message: 'Choose the file of the team.' }) bundle!: object;
}

/** A one-time link to copy; it is shown once and kept only as a hash. */
export class InvitationLink {
  /** To be put after the server’s address. The token stands behind #, so that no server log ever holds it. */
  @IsString() path!: string;
  @IsString() expiresAt!: string;
}
