import { Injectable, Logger, type OnApplicationBootstrap } from '@nestjs/common';
import { Interval } from '@nestjs/schedule';
import { Stores } from './stores';

const dayMs = 86_400_000;

/** At the start and each day, what can no longer be brought back goes for good. */
@Injectable()
export class Purge implements OnApplicationBootstrap {
  private readonly logger = new Logger('purge');

  constructor(private readonly stores: Stores) {}

  onApplicationBootstrap(): Promise<void> {
    return this.stores.purge();
  }

  /** A day on which it fails is made up for by the next. */
  @Interval(dayMs)
  async daily(): Promise<void> {
    await this.stores.purge().catch((error: unknown) => this.logger.warn(error));
  }
}
