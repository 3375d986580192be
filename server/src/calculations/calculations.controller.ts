import { contradictions, fitRequestProblems, testProblems } from '@acorn-tally/core';
import { Body, Controller, HttpCode, Post, UseInterceptors } from '@nestjs/common';
import { ApiBody, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ClientSignal, DisconnectInterceptor } from '../http/disconnect';
import { ProblemResponses } from '../http/openApi';
import { OutcomeInterceptor } from '../http/outcomeInterceptor';
import { validated } from '../http/validated';
import { Calculator } from './calculator';
import { CalibrationRequestDto } from './dto/calibration.dto';
import { EstimateAnswerDto, EstimateRequestDto } from './dto/estimate.dto';
import { FitDto } from './dto/fit.dto';
import { ProjectionRequestDto, ProjectionsAnswerDto } from './dto/projection.dto';
import { ReachesAnswerDto, ReturnAnswerDto, ReturnRequestDto } from './dto/return.dto';
import { SwapPlanRequestDto } from './dto/swapPlan.dto';
import { SwapPlanAnswerDto } from './dto/swapPlanAnswer.dto';

@ApiTags('calculations')
@Controller()
@UseInterceptors(DisconnectInterceptor, OutcomeInterceptor)
export class CalculationsController {
  constructor(private readonly calculator: Calculator) {}

  @Post('estimates')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'Minutes to plan on of one battery with their band, the charge to turn back at, events, curve, ledger and what would gain minutes; nothing is stored',
  })
  @ApiBody({ type: EstimateRequestDto })
  @ApiOkResponse({ type: EstimateAnswerDto })
  @ProblemResponses(400, 422)
  estimate(
    @Body(validated(EstimateRequestDto)) request: EstimateRequestDto,
    @ClientSignal() signal: AbortSignal,
  ) {
    return this.calculator.run('estimates', plain(request), signal);
  }

  @Post('returns')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'The way home from a position: legs, charge at touch-down with its band, turn back, the aircraft’s own call, and ways out',
  })
  @ApiBody({ type: ReturnRequestDto })
  @ApiOkResponse({ type: ReturnAnswerDto })
  @ProblemResponses(400, 422)
  return(@Body(validated(ReturnRequestDto)) request: ReturnRequestDto, @ClientSignal() signal: AbortSignal) {
    return this.calculator.run('returns', plain(request), signal);
  }

  @Post('reaches')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'How far it may be in 72 directions, from the charge it has and out and back from take-off; with the wind, and in still air',
  })
  @ApiBody({ type: ReturnRequestDto })
  @ApiOkResponse({ type: ReachesAnswerDto })
  @ProblemResponses(400, 422)
  reach(@Body(validated(ReturnRequestDto)) request: ReturnRequestDto, @ClientSignal() signal: AbortSignal) {
    return this.calculator.run('reaches', plain(request), signal);
  }

  @Post('projections')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'How long a whole charge would have lasted by a test that stopped before, by each school of projection',
  })
  @ApiBody({ type: ProjectionRequestDto })
  @ApiOkResponse({ type: ProjectionsAnswerDto })
  @ProblemResponses(400, 422)
  project(
    @Body(validated(ProjectionRequestDto, testProblems)) request: ProjectionRequestDto,
    @ClientSignal() signal: AbortSignal,
  ) {
    return this.calculator.run('projections', plain(request), signal);
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
    @Body(validated(CalibrationRequestDto, fitRequestProblems)) request: CalibrationRequestDto,
    @ClientSignal() signal: AbortSignal,
  ) {
    return this.calculator.run('calibrations', plain(request), signal);
  }

  @Post('swap-plans')
  @HttpCode(200)
  @ApiOperation({
    summary:
      'Which takes on which battery, when, and what charges meanwhile: fewest take-offs at the confidence, with what each battery does and what would be left of it if things were otherwise',
  })
  @ApiBody({ type: SwapPlanRequestDto })
  @ApiOkResponse({ type: SwapPlanAnswerDto })
  @ProblemResponses(400, 422)
  plan(
    @Body(validated(SwapPlanRequestDto, contradictions)) request: SwapPlanRequestDto,
    @ClientSignal() signal: AbortSignal,
  ) {
    return this.calculator.run('swapPlans', plain(request), signal);
  }
}

/** As it was sent, without the classes that checked it: threads pass values, not classes. */
function plain<Request extends object>(request: Request): Request {
  return JSON.parse(JSON.stringify(request));
}
