import { beliefFrom, drawCountOf, estimateInFull, fromTheBox, inSi } from '@acorn-tally/core';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger';
import { validated } from '../http/validated';
import { answered } from './answered';
import { EstimateRequestDto } from './requestDtos';

@ApiTags('calculations')
@Controller('estimates')
export class EstimatesController {
  @Post()
  @HttpCode(200)
  @ApiOperation({
    summary:
      'Minutes to plan on of one battery with their band, the charge to turn back at, events, curve, ledger and what would gain minutes; nothing is stored',
  })
  @ApiBody({ type: EstimateRequestDto })
  estimate(@Body(validated(EstimateRequestDto)) { draws, seed, ...request }: EstimateRequestDto) {
    const belief = beliefFrom(fromTheBox, drawCountOf({ draws, seed }));
    const answer = answered(estimateInFull(request, belief));
    return { ...answer, cautions: answer.cautions.map(inSi) };
  }
}
