import { Controller, Get, Res } from '@nestjs/common';
import {
  ApiOkResponse,
  ApiOperation,
  ApiProperty,
  ApiServiceUnavailableResponse,
  ApiTags,
} from '@nestjs/swagger';
import type { Response } from 'express';
import { version } from '../package.json';
import { Stores } from './database/stores';

class Health {
  @ApiProperty({ enum: ['ok', 'failing'] }) status: string;
  @ApiProperty() version: string;
  @ApiProperty({ description: 'ok, or what is wrong with it, in words' }) database: string;
}

@ApiTags('service')
@Controller('health')
export class HealthController {
  constructor(private readonly stores: Stores) {}

  @Get()
  @ApiOperation({ summary: 'Whether records can be read and kept' })
  @ApiOkResponse({ type: Health })
  @ApiServiceUnavailableResponse({ type: Health })
  async health(@Res({ passthrough: true }) response: Response): Promise<Health> {
    const ailment = await this.stores.database.healthProblem();
    if (ailment !== null) response.status(503);
    return { status: ailment === null ? 'ok' : 'failing', version, database: ailment ?? 'ok' };
  }
}
