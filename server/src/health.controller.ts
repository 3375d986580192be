import { Controller, Get, Res } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiServiceUnavailableResponse, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { version } from '../package.json';
import { Stores } from './database/stores';
import { OneOf, Text } from './http/fields';

class Health {
  @OneOf(['ok', 'failing']) status: string;
  @Text() version: string;
  /** ok, or what is wrong with it, in words. */
  @Text() database: string;
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
    const problem = await this.stores.database.healthProblem();
    if (problem !== null) response.status(503);
    return { status: problem === null ? 'ok' : 'failing', version, database: problem ?? 'ok' };
  }
}
