import { Module } from '@nestjs/common';
import { EstimatesController } from './estimates.controller';

@Module({ controllers: [EstimatesController] })
export class CalculationsModule {}
