import { type Kind } from '@acorn-tally/core';
import { type Type } from '@nestjs/common';
import {
  AircraftDto,
  BatteryDto,
  ChargerDto,
  DayDto,
  FitRecordDto,
  KeptPlanDto,
  LiftOffDto,
  PlaceDto,
  ShootDto,
  TestFlightDto,
  TimedChargeDto,
} from './contents.dto';

/** What is written of each kind of record. */
export const contentDtos: Readonly<Record<Kind, Type<object>>> = {
  places: PlaceDto,
  days: DayDto,
  aircraft: AircraftDto,
  batteries: BatteryDto,
  chargers: ChargerDto,
  testFlights: TestFlightDto,
  timedCharges: TimedChargeDto,
  fits: FitRecordDto,
  shoots: ShootDto,
  plans: KeptPlanDto,
  liftOffs: LiftOffDto,
};
