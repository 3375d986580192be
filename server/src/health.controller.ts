import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { version } from '../package.json';
import { Database } from './database/database';

@ApiTags('service')
@Controller('health')
export class HealthController {
  constructor(private readonly database: Database) {}

  @Get()
  async health() {
    const database = await this.database.pragma('quick_check');
    return { status: database === 'ok' ? 'ok' : 'failing', version, database };
  }
}
