import { Module } from '@nestjs/common';
import { type ServerConfig, serverConfig } from '../config';
import { CalculationsController } from './calculations.controller';
import { Calculator } from './calculator';
import { ThreadPool } from './pool';

@Module({
  controllers: [CalculationsController],
  providers: [
    {
      provide: Calculator,
      useFactory: ({ workerFile }: ServerConfig) => new ThreadPool(workerFile),
      inject: [serverConfig.KEY],
    },
  ],
  exports: [Calculator],
})
export class CalculationsModule {}
