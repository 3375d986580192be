import { Injectable } from '@nestjs/common';

/** The time of day, which a test may set. */
@Injectable()
export class Clock {
  now(): Date {
    return new Date();
  }
}
