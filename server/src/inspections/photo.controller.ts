import { Body, Controller, Get, Header, Param, ParseUUIDPipe, Post, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiProduces } from '@nestjs/swagger';
import { PhotoCreate, PhotoView } from '@wainrope/contract';
import { type Actor, CurrentActor } from '../actor/actor.ts';
import { Needs } from '../actor/route-access.ts';
import { PieceCareService } from './piece-care.service.ts';

/** A photo never changes; a browser may keep it for the one who asked. */
const KEPT = 'private, max-age=31536000, immutable';

@Controller('photos')
export class PhotoController {
  constructor(private readonly service: PieceCareService) {}

  @Post()
  @Needs('inspection.use-check')
  @ApiCreatedResponse({ type: PhotoView })
  addPhoto(@CurrentActor() actor: Actor, @Body() input: PhotoCreate): Promise<PhotoView> {
    return this.service.addPhoto(actor, input);
  }

  @Get(':photoId')
  @Needs('register.read')
  @Header('Cache-Control', KEPT)
  @ApiProduces('image/jpeg')
  async getPhoto(@CurrentActor() actor: Actor, @Param('photoId', ParseUUIDPipe) photoId: string): Promise<StreamableFile> {
    return new StreamableFile(await this.service.photo(actor, photoId, 'content'), { type: 'image/jpeg' });
  }

  @Get(':photoId/thumbnail')
  @Needs('register.read')
  @Header('Cache-Control', KEPT)
  @ApiProduces('image/jpeg')
  async getThumbnail(@CurrentActor() actor: Actor, @Param('photoId', ParseUUIDPipe) photoId: string): Promise<StreamableFile> {
    return new StreamableFile(await this.service.photo(actor, photoId, 'thumbnail'), { type: 'image/jpeg' });
  }
}
