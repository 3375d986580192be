import { Module } from '@nestjs/common';
import { EstimatesController } from './estimates.controller';
import { ReturnsController } from './returns.controller';

@Module({ controllers: [EstimatesController, ReturnsController] })
export class CalculationsModule {}
