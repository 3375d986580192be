import type { Kind } from '@acorn-tally/core';
import { type DynamicModule, Module, type OnApplicationShutdown } from '@nestjs/common';
import { type ServerConfig, serverConfig } from '../config';
import { Clock } from './clock';
import { Database } from './database';
import { Purge } from './purge';
import type { Check } from './recordStore';
import { Stores } from './stores';

/** The open database and its stores, for every module. It is closed last, when nothing writes any more. */
@Module({})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(private readonly database: Database) {}

  /** What is read is looked through by `checks`. */
  static withChecks(checks: Readonly<Record<Kind, Check>>): DynamicModule {
    return {
      module: DatabaseModule,
      global: true,
      providers: [
        Clock,
        Purge,
        {
          provide: Database,
          useFactory: ({ dataFolder, migrationsFolder }: ServerConfig) =>
            Database.open(dataFolder, migrationsFolder),
          inject: [serverConfig.KEY],
        },
        {
          provide: Stores,
          useFactory: (database: Database, clock: Clock) => new Stores(database, checks, () => clock.now()),
          inject: [Database, Clock],
        },
      ],
      exports: [Database, Stores],
    };
  }

  onApplicationShutdown(): Promise<void> {
    return this.database.close();
  }
}
