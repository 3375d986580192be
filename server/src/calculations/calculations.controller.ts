import { contradictions, type Outcome, type PlanRequest } from '@acorn-tally/core';
import { Body, Controller, HttpCode, Post, Res } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { FitDto } from '../dtos/fit';
import { SwapPlanRequestDto } from '../dtos/swapPlan';
import { requireWholeTest } from '../dtos/wholeTest';
import { ProblemResponses } from '../http/openApi';
import { invalid, refused } from '../http/problem';
import { validated } from '../http/validated';
import {
  estimateSchema,
  projectionsSchema,
  reachesSchema,
  returnSchema,
  swapPlanSchema,
} from './answerSchemas';
import { Calculator } from './calculator';
import type { JobName } from './jobs';
import {
  CalibrationRequestDto,
  EstimateRequestDto,
  ProjectionRequestDto,
  ReturnRequestDto,
} from './requestDtos';
import { requireWholeFlights } from './wholeFlights';

@ApiTags('calculations')
@Controller()
export class CalculationsController {
  constructor(private readonly calculator: Calculator) {}

  @Post('estimates')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'Minutes to plan on of one battery with their band, the charge to turn back at, events, curve, ledger and what would gain minutes; nothing is stored',
  })
  @ApiBody({ type: EstimateRequestDto })
  @ApiOkResponse({ schema: estimateSchema })
  @ProblemResponses(400, 422)
  estimate(
    @Body(validated(EstimateRequestDto)) asked: EstimateRequestDto,
    @Res({ passthrough: true }) response: Response,
  ) {
    return this.answer('estimates', asked, response);
  }

  @Post('returns')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'The way home from a position: legs, charge at touch-down with its band, turn back, the aircraft’s own call, and ways out',
  })
  @ApiBody({ type: ReturnRequestDto })
  @ApiOkResponse({ schema: returnSchema })
  @ProblemResponses(400, 422)
  return(
    @Body(validated(ReturnRequestDto)) asked: ReturnRequestDto,
    @Res({ passthrough: true }) response: Response,
  ) {
    return this.answer('returns', asked, response);
  }

  @Post('reaches')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'How far it may be in 72 directions, from the charge it has and out and back from take-off; with the wind, and in still air',
  })
  @ApiBody({ type: ReturnRequestDto })
  @ApiOkResponse({ schema: reachesSchema })
  @ProblemResponses(400, 422)
  reach(
    @Body(validated(ReturnRequestDto)) asked: ReturnRequestDto,
    @Res({ passthrough: true }) response: Response,
  ) {
    return this.answer('reaches', asked, response);
  }

  @Post('projections')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'How long a whole charge would have lasted by a test that stopped before, by each school of projection',
  })
  @ApiBody({ type: ProjectionRequestDto })
  @ApiOkResponse({ schema: projectionsSchema })
  @ProblemResponses(400, 422)
  async project(
    @Body(validated(ProjectionRequestDto)) asked: ProjectionRequestDto,
    @Res({ passthrough: true }) response: Response,
  ) {
    requireWholeTest(asked);
    const schools = await this.answer('projections', asked, response);
    return schools && { schools };
  }

  @Post('calibrations')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'What the flights of an aircraft teach of it and its packs, with how sure that is: a fit, to be sent along to the other calculations',
  })
  @ApiBody({ type: CalibrationRequestDto })
  @ApiOkResponse({ type: FitDto })
  @ProblemResponses(400, 422)
  calibrate(
    @Body(validated(CalibrationRequestDto)) asked: CalibrationRequestDto,
    @Res({ passthrough: true }) response: Response,
  ) {
    requireWholeFlights(asked);
    return this.answer('calibrations', asked, response);
  }

  @Post('swap-plans')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'Which takes on which battery, when, and what charges meanwhile: fewest take-offs at the confidence, with what each battery does and what would be left of it if things were otherwise',
  })
  @ApiBody({ type: SwapPlanRequestDto })
  @ApiOkResponse({ schema: swapPlanSchema })
  @ProblemResponses(400, 422)
  plan(
    @Body(validated(SwapPlanRequestDto)) asked: SwapPlanRequestDto,
    @Res({ passthrough: true }) response: Response,
  ) {
    const contradicting = contradictions(plain(asked) as PlanRequest);
    if (contradicting.length > 0) throw invalid(contradicting);
    return this.answer('swapPlans', asked, response);
  }

  /** The value of an outcome; a refusal becomes a 422 with its reason and numbers. Who hangs up is reckoned for no longer. */
  private async answer(name: JobName, asked: object, response: Response): Promise<unknown> {
    const left = new AbortController();
    response.once('close', () => left.abort());
    const run = this.calculator.run(name, plain(asked) as never, left.signal) as Promise<Outcome<object>>;
    const outcome = await run.catch((error: unknown) => {
      if (left.signal.aborted) return null;
      throw error;
    });
    if (outcome === null) return undefined;
    if (outcome.ok) return outcome.value;
    throw refused(outcome.refusal);
  }
}

/** As it was sent, without the classes that checked it: threads pass values, not classes. */
function plain(asked: object): unknown {
  return JSON.parse(JSON.stringify(asked));
}
