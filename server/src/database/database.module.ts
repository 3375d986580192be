import { type DynamicModule, Module } from '@nestjs/common';
import { Database } from './database';
import { Stores } from './stores';

/** Makes an open database and its stores known to every module. */
@Module({})
class DatabaseModule {}

export function databaseModule(database: Database): DynamicModule {
  return {
    module: DatabaseModule,
    global: true,
    providers: [{ provide: Database, useValue: database }, Stores],
    exports: [Database, Stores],
  };
}
