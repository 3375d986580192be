import { estimateInFull, inSi } from '@acorn-tally/core';
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
      'Minutes to spend of one battery with their band, events, curve, ledger and what would narrow the band; nothing is stored',
  })
  @ApiBody({ type: EstimateRequestDto })
  estimate(@Body(validated(EstimateRequestDto)) { draws, seed, ...request }: EstimateRequestDto) {
    const answer = answered(estimateInFull(request, { draws: draws ?? undefined, seed: seed ?? undefined }));
    return { ...answer, cautions: answer.cautions.map(inSi) };
  }
}
