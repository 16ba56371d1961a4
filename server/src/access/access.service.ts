import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import type {
  BundleAccept,
  InvitationAccept,
  InvitationView,
  PasswordChange,
  SessionPerson,
  SessionView,
  SignIn,
} from '@wainrope/contract';
import type { Actor } from '../actor/actor.ts';
import { AuditTrail } from '../audit/audit-trail.ts';
import { BundleService } from '../bundle/bundle.service.ts';
import { TeamDatabase, type TeamTransaction } from '../database/team-database.ts';
import { type FieldFault, invalid, ProblemException } from '../http/problem.ts';
import { TeamRepository } from '../team/team.repository.ts';
import { TeamService } from '../team/team.service.ts';
import { AccessRepository, type Membership } from './access.repository.ts';
import { demoIsReachable } from './demo-reach.ts';
import { newToken, tokenHash } from './invitation-token.ts';
import { hashPassword, passwordOpens } from './passwords.ts';
import { mayTry, WINDOW_MINUTES } from './sign-in-limits.ts';

/** What a session remembers. */
export interface SignedIn {
  readonly accountId: string;
  readonly teamId: string;
}

const INVITATION_DAYS = 7;
const DAY_MS = 86_400_000;

const noInvitation = () =>
  new ProblemException({
    status: 404,
    title: 'This link no longer works',
    detail: 'It was used or withdrawn, or it is too old. Ask your coordinator for a new one.',
  });

@Injectable()
export class AccessService {
  constructor(
    private readonly database: TeamDatabase,
    private readonly repository: AccessRepository,
    private readonly teams: TeamRepository,
    private readonly founding: TeamService,
    private readonly audit: AuditTrail,
    private readonly bundles: BundleService,
  ) {}

  /** Who is signed in, and what the sign-in page offers where nobody is. */
  async view(signedIn: SignedIn | undefined): Promise<SessionView> {
    const person = signedIn && (await this.person(signedIn));
    if (signedIn && person) {
      const { name } = await this.database.inTeam(signedIn.teamId, (trx) => this.teams.team(trx));
      return { signedIn: true, needsSetUp: false, demoPeople: [], person, team: { teamId: signedIn.teamId, name } };
    }
    const needsSetUp = !(await this.database.outsideTeams((db) => this.repository.anyAccount(db)));
    return { signedIn: false, needsSetUp, demoPeople: [], ...(await this.demo()) };
  }

  private async person({ accountId, teamId }: SignedIn): Promise<SessionPerson | undefined> {
    const row = await this.database.inTeam(teamId, (trx) => this.repository.memberOf(trx, { teamId, accountId }));
    return row && row.left_on === null ? { personId: row.person_id, name: row.name, role: row.role } : undefined;
  }

  /** The demo’s team, where one is loaded and nobody but this machine reaches it. */
  private async demoTeam(): Promise<string | undefined> {
    if (!demoIsReachable()) return undefined;
    const ids = await this.database.outsideTeams((db) => this.repository.teamIds(db));
    for (const teamId of ids) {
      const team = await this.database.inTeam(teamId, (trx) => this.teams.team(trx));
      if (team.demo !== null) return teamId;
    }
    return undefined;
  }

  private async demo(): Promise<Pick<SessionView, 'demo' | 'demoPeople'> | undefined> {
    const teamId = await this.demoTeam();
    if (teamId === undefined) return undefined;
    return this.database.inTeam(teamId, async (trx) => {
      const { demo } = await this.teams.team(trx);
      const people = (await this.teams.people(trx)).filter(({ left_on }) => left_on === null);
      return {
        demo: demo ?? '',
        demoPeople: people.map(({ person_id, name, role }) => ({ personId: person_id, name, role })),
      };
    });
  }

  async signIn({ login, password }: SignIn, address: string): Promise<SignedIn> {
    const name = login.trim().toLowerCase();
    await this.countAttempt(name, address);
    const account = await this.database.outsideTeams((db) => this.repository.accountOfLogin(db, name));
    const opens = await passwordOpens(account?.password_hash, password);
    const signedIn = opens && account ? await this.teamOf(account.account_id) : undefined;
    if (!signedIn)
      throw new ProblemException({
        status: 401,
        title: 'Not signed in',
        detail: 'This name and password do not match. Try again, or ask your coordinator for a new link.',
      });
    await this.countSuccess(name, address);
    await this.noteSignIn(signedIn, 'signed in');
    return signedIn;
  }

  private async countSuccess(login: string, address: string): Promise<void> {
    await this.database.outsideTeams(async (db) => {
      await this.repository.forgiveFailures(db, login, address);
      await this.repository.noteAttempt(db, { login, address, succeeded: true });
    });
  }

  private async noteSignIn({ accountId, teamId }: SignedIn, action: string): Promise<void> {
    await this.database.inTeam(teamId, async (trx) => {
      const person = await this.repository.memberOf(trx, { teamId, accountId });
      if (!person) return;
      const actor: Actor = { teamId, personId: person.person_id, name: person.name, role: person.role };
      await this.audit.note(trx, actor, { action, kind: 'account', id: actor.personId, name: actor.name });
    });
  }

  /** Ends one session, and what goes on under it. */
  async signedOut(signedIn: SignedIn, sid: string): Promise<void> {
    await this.noteSignIn(signedIn, 'signed out');
    await this.database.outsideTeams((db) => this.repository.tellEnded(db, { sid }));
  }

  /** Counts an attempt as failed before the password is looked at: success forgives it, a lost connection does not. */
  private async countAttempt(login: string, address: string): Promise<void> {
    const allowed = await this.database.outsideTeams((db) =>
      db.transaction().execute(async (trx) => {
        if (!mayTry(await this.repository.recentFailures(trx, login, address))) return false;
        await this.repository.noteAttempt(trx, { login, address, succeeded: false });
        return true;
      }),
    );
    if (!allowed)
      throw new ProblemException({
        status: 429,
        title: 'Too many attempts',
        detail: `Wait ${WINDOW_MINUTES} minutes and try again, or ask your coordinator for a new link.`,
      });
  }

  /** The team of an account whose person has not left it. */
  private async teamOf(accountId: string): Promise<SignedIn | undefined> {
    const memberships = await this.database.outsideTeams((db) => this.repository.memberships(db, accountId));
    for (const { teamId } of memberships) if (await this.person({ accountId, teamId })) return { accountId, teamId };
    return undefined;
  }

  async signInToDemo(personId: string): Promise<SignedIn> {
    const teamId = await this.demoTeam();
    const account = teamId && (await this.database.outsideTeams((db) => this.repository.accountOfPerson(db, { teamId, personId })));
    if (!teamId || !account)
      throw new ProblemException({ status: 404, title: 'No demo', detail: 'The demo with this person is not loaded here.' });
    const signedIn = { accountId: account.account_id, teamId };
    await this.noteSignIn(signedIn, 'signed in');
    return signedIn;
  }

  /** Sets a new password and ends every other session of the account. Guesses are counted as they are at signing in. */
  async changePassword(
    actor: Actor,
    { current, next }: PasswordChange,
    session: { readonly accountId: string; readonly sid: string; readonly address: string },
  ): Promise<void> {
    const account = await this.database.outsideTeams((db) => this.repository.account(db, session.accountId));
    const login = account?.login.toLowerCase() ?? '';
    await this.countAttempt(login, session.address);
    if (!(await passwordOpens(account?.password_hash, current)))
      throw invalid([{ path: 'current', message: 'This is not the password you use now.' }]);
    await this.countSuccess(login, session.address);
    await this.database.inTeam(actor.teamId, async (trx) => {
      await this.repository.setPassword(trx, session.accountId, await hashPassword(next));
      await this.repository.endSessions(trx, session.accountId, session.sid);
      await this.audit.note(trx, actor, { action: 'changed the password', kind: 'person', id: actor.personId, name: actor.name });
    });
  }

  async endSessions(signedIn: SignedIn): Promise<void> {
    await this.noteSignIn(signedIn, 'signed out everywhere');
    await this.database.outsideTeams((db) => this.repository.endSessions(db, signedIn.accountId));
  }

  /** A one-time link for a person of the team; earlier ones open nothing any more. */
  async invite(trx: TeamTransaction, actor: Actor, personId: string) {
    const membership: Membership = { teamId: actor.teamId, personId };
    return this.link(trx, { membership, madeBy: actor.personId });
  }

  /** The link with which a server without accounts is set up. */
  async setUpLink() {
    return this.database.outsideTeams((db) => this.link(db, {}));
  }

  private async link(
    db: Parameters<AccessRepository['addInvitation']>[0],
    { membership, madeBy }: { membership?: Membership; madeBy?: string },
  ) {
    const token = newToken();
    const expiresAt = new Date(Date.now() + INVITATION_DAYS * DAY_MS);
    await this.repository.withdrawInvitations(db, membership);
    await this.repository.addInvitation(db, {
      tokenHash: tokenHash(token),
      expiresAt,
      ...(membership && { membership }),
      ...(madeBy !== undefined && { madeBy }),
    });
    return { path: `/join#${token}`, expiresAt: expiresAt.toISOString() };
  }

  async look(token: string): Promise<InvitationView> {
    const row = await this.database.outsideTeams((db) =>
      db.transaction().execute((trx) => this.repository.openInvitation(trx, tokenHash(token))),
    );
    if (!row) throw noInvitation();
    const expiresAt = row.expires_at.toISOString();
    const { team_id: teamId, person_id: personId } = row;
    if (teamId === null || personId === null) return { foundsTeam: true, expiresAt };
    return this.database.inTeam(teamId, async (trx) => {
      const { name, role } = await this.joining(trx, { teamId, personId }, row.made_by);
      const team = await this.teams.team(trx);
      const account = await this.repository.accountOfPerson(trx, { teamId, personId });
      return {
        foundsTeam: false,
        expiresAt,
        teamName: team.name,
        personName: name,
        role,
        ...(account && { login: account.login }),
      };
    });
  }

  /** Uses a link: founds a team, joins one, or sets a new password. All that it does stands or falls with the link, in one transaction. */
  async accept(input: InvitationAccept): Promise<SignedIn> {
    const passwordHash = await hashPassword(input.password);
    const hash = tokenHash(input.token);
    const row = await this.database.outsideTeams((db) => db.transaction().execute((trx) => this.repository.openInvitation(trx, hash)));
    if (!row) throw noInvitation();
    const joins = row.team_id !== null && row.person_id !== null ? { teamId: row.team_id, personId: row.person_id } : undefined;
    const teamId = joins?.teamId ?? randomUUID();
    return this.database.inTeam(teamId, async (trx) => {
      const open = await this.repository.openInvitation(trx, hash);
      if (!open) throw noInvitation();
      const actor = joins ? await this.joining(trx, joins, open.made_by) : await this.founder(trx, teamId, input);
      const accountId = await this.openAccount(trx, { input, membership: actor, passwordHash });
      await this.repository.useInvitation(trx, hash);
      await this.audit.note(trx, actor, { action: 'joined by invitation', kind: 'person', id: actor.personId, name: actor.name });
      return { accountId, teamId };
    });
  }

  /** The person whom an invitation lets in, if neither they nor whoever made it has left. */
  private async joining(trx: TeamTransaction, { teamId, personId }: Membership, madeBy: string | null): Promise<Actor> {
    const both = [personId, ...(madeBy === null ? [] : [madeBy])];
    for (const id of both) if (!(await this.repository.isHere(trx, id))) throw noInvitation();
    const person = await this.teams.person(trx, personId);
    if (!person) throw noInvitation();
    return { teamId, personId, name: person.name, role: person.role };
  }

  private async founder(trx: TeamTransaction, teamId: string, { teamName, personName, login }: InvitationAccept): Promise<Actor> {
    const taken = await this.repository.accountOfLogin(trx, login);
    const faults: FieldFault[] = [
      ...(teamName ? [] : [{ path: 'teamName', message: 'Give the team a name.' }]),
      ...(personName ? [] : [{ path: 'personName', message: 'Give your name.' }]),
      ...(taken ? [loginTaken(login)] : []),
    ];
    if (!teamName || !personName || faults.length > 0) throw invalid(faults);
    return this.founding.foundIn(trx, teamId, { name: teamName, decimalMark: '.', people: [{ name: personName, role: 'coordinator' }] });
  }

  /** Brings a whole team into an empty server. The team’s records stay as they were; that it was brought in is noted after them. */
  async acceptBundle({ token, login, password, personId, bundle: file }: BundleAccept, gone: AbortSignal): Promise<SignedIn> {
    const hash = tokenHash(token);
    const row = await this.database.outsideTeams((db) => db.transaction().execute((trx) => this.repository.openInvitation(trx, hash)));
    if (!row || row.team_id !== null) throw noInvitation();
    const bundle = await this.bundles.read(file, gone);
    const passwordHash = await hashPassword(password);
    const teamId = (bundle.team as { readonly team_id: string }).team_id;
    return this.database.inTeam(teamId, async (trx) => {
      if (!(await this.repository.openInvitation(trx, hash))) throw noInvitation();
      // Who brings a demo’s file in founds a team of their own: nobody is let in without a password.
      await this.bundles.bring(trx, { ...bundle, team: { ...bundle.team, demo: undefined } }, gone);
      const person = await this.teams.person(trx, personId);
      if (person?.role !== 'coordinator' || person.left_on !== null)
        throw invalid([{ path: 'personId', message: 'Choose one of the team’s coordinators: the others are invited by them.' }]);
      const input = { token, login, password };
      const accountId = await this.openAccount(trx, { input, membership: { teamId, personId }, passwordHash });
      await this.repository.useInvitation(trx, hash);
      const { name } = await this.teams.team(trx);
      const actor: Actor = { teamId, personId, name: person.name, role: person.role };
      await this.audit.note(trx, actor, { action: 'imported the team from its file', kind: 'team', id: teamId, name });
      return { accountId, teamId };
    });
  }

  /** The person’s account with its new password; made where there is none yet. */
  private async openAccount(
    trx: TeamTransaction,
    {
      input,
      membership,
      passwordHash,
    }: { readonly input: InvitationAccept; readonly membership: Membership; readonly passwordHash: string },
  ): Promise<string> {
    const own = await this.repository.accountOfPerson(trx, membership);
    if (own) {
      await this.repository.setPassword(trx, own.account_id, passwordHash);
      await this.repository.endSessions(trx, own.account_id);
      return own.account_id;
    }
    if (await this.repository.accountOfLogin(trx, input.login)) throw invalid([loginTaken(input.login)]);
    const accountId = randomUUID();
    await this.repository.addAccount(trx, { accountId, login: input.login, passwordHash });
    await this.repository.addMembership(trx, accountId, membership);
    return accountId;
  }
}

const loginTaken = (login: string): FieldFault => ({ path: 'login', message: `The sign-in name ${login} is taken; choose another.` });
