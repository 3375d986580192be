import { beliefFrom, drawCountOf, fromTheBox, noDraws, reaches, returnInFull } from '@acorn-tally/core';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { validated } from '../http/validated';
import { answered } from './answered';
import { ReturnRequestDto } from './requestDtos';
import { returnInSi } from './returnInSi';

@ApiTags('calculations')
@Controller()
export class ReturnsController {
  @Post('returns')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'The way home from a position: legs, charge at touch-down with its band, turn back, the aircraft’s own call, and ways out',
  })
  @ApiBody({ type: ReturnRequestDto })
  return(@Body(validated(ReturnRequestDto)) { draws, seed, ...request }: ReturnRequestDto) {
    const belief = beliefFrom(fromTheBox, drawCountOf({ draws, seed }));
    return returnInSi(answered(returnInFull(request, belief)));
  }

  @Post('reaches')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'How far it may be in 72 directions, from the charge it has and out and back from take-off; with the wind, and in still air',
  })
  @ApiBody({ type: ReturnRequestDto })
  reach(@Body(validated(ReturnRequestDto)) request: ReturnRequestDto) {
    return answered(reaches(request, beliefFrom(fromTheBox, noDraws)));
  }
}
