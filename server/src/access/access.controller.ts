import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req } from '@nestjs/common';
import { ApiCreatedResponse, ApiNoContentResponse, ApiOkResponse } from '@nestjs/swagger';
import {
  BundleAccept,
  DemoSignIn,
  InvitationAccept,
  InvitationLook,
  InvitationView,
  PasswordChange,
  SessionView,
  SignIn,
} from '@wainrope/contract';
import type { Request } from 'express';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs, Open } from '../actor/route-access.ts';
import { Gone } from '../threads/gone.ts';
import { AccessService, type SignedIn } from './access.service.ts';

@Controller()
export class AccessController {
  constructor(private readonly service: AccessService) {}

  @Get('session')
  @Open()
  @ApiOkResponse({ type: SessionView })
  getSession(@Req() request: Request): Promise<SessionView> {
    return this.service.view(request.session.signedIn);
  }

  @Post('session')
  @Open()
  @ApiCreatedResponse({ type: SessionView })
  async signIn(@Req() request: Request, @Body() input: SignIn): Promise<SessionView> {
    return this.begin(request, await this.service.signIn(input, request.ip ?? 'unknown'));
  }

  @Post('session/demo')
  @Open()
  @ApiCreatedResponse({ type: SessionView })
  async signInToDemo(@Req() request: Request, @Body() { personId }: DemoSignIn): Promise<SessionView> {
    return this.begin(request, await this.service.signInToDemo(personId));
  }

  @Delete('session')
  @Open()
  @HttpCode(204)
  @ApiNoContentResponse()
  async signOut(@Req() request: Request): Promise<void> {
    const { session, sessionID } = request;
    const { signedIn } = session;
    await destroyed(request);
    if (signedIn) await this.service.signedOut(signedIn, sessionID);
  }

  /** Signs the account out on every device, this one included. */
  @Delete('session/everywhere')
  @Needs('own.account')
  @HttpCode(204)
  @ApiNoContentResponse()
  async signOutEverywhere(@Req() request: Request): Promise<void> {
    const signedIn = signedInOf(request);
    await destroyed(request);
    await this.service.endSessions(signedIn);
  }

  @Put('session/password')
  @Needs('own.account')
  @HttpCode(204)
  @ApiNoContentResponse()
  async changePassword(@CurrentActor() actor: Actor, @Req() request: Request, @Body() input: PasswordChange): Promise<void> {
    await this.service.changePassword(actor, input, {
      accountId: signedInOf(request).accountId,
      sid: request.sessionID,
      address: request.ip ?? 'unknown',
    });
  }

  @Post('invitations/look')
  @Open()
  @HttpCode(200)
  @ApiOkResponse({ type: InvitationView })
  lookAtInvitation(@Body() { token }: InvitationLook): Promise<InvitationView> {
    return this.service.look(token);
  }

  @Post('invitations/accept')
  @Open()
  @ApiCreatedResponse({ type: SessionView })
  async acceptInvitation(@Req() request: Request, @Body() input: InvitationAccept): Promise<SessionView> {
    return this.begin(request, await this.service.accept(input));
  }

  @Post('invitations/bundle')
  @Open()
  @ApiCreatedResponse({ type: SessionView })
  async acceptBundle(@Req() request: Request, @Body() input: BundleAccept, @Gone() gone: AbortSignal): Promise<SessionView> {
    return this.begin(request, await this.service.acceptBundle(input, gone));
  }

  /** A fresh session: the name that was in the cookie before is worth nothing. */
  private async begin(request: Request, signedIn: SignedIn): Promise<SessionView> {
    await new Promise<void>((done, fail) => request.session.regenerate((error) => (error ? fail(error) : done())));
    request.session.signedIn = signedIn;
    await new Promise<void>((done, fail) => request.session.save((error) => (error ? fail(error) : done())));
    return this.service.view(signedIn);
  }
}

function signedInOf(request: Request): SignedIn {
  const { signedIn } = request.session;
  if (!signedIn) throw new Error('Broken invariant: the guard let a request without a session through');
  return signedIn;
}

const destroyed = (request: Request) =>
  new Promise<void>((done, fail) => request.session.destroy((error) => (error ? fail(error) : done())));
