import { chargeMarksProblem } from '../battery/chargeTiming';
import { checkedKnowledge } from '../calibration/checkedKnowledge';
import { flightProblem } from '../estimate/request';
import { plannedPolicyProblem } from '../reserve/policy';
import { contradictions } from '../swapPlan/request/contradictions';
import { testFlightFault } from '../testFlights/testFlight';
import { type FieldProblem, under } from '../units/fieldProblem';
import { writeInSi } from '../units/sentence';
import type { Content, Kind } from './kinds';

/** What a record of its own cannot be, beyond the ranges of its fields. What it needs of other records is asked where those are. */
const rules: { readonly [K in Kind]?: (content: Content<K>) => readonly FieldProblem[] } = {
  aircraft: ({ flight }) => {
    const problem = flightProblem(flight);
    return problem ? [{ path: 'flight.mix', message: writeInSi(problem) }] : [];
  },
  testFlights: testProblems,
  timedCharges: ({ marks }) => {
    const message = chargeMarksProblem(marks);
    return message ? [{ path: 'marks', message }] : [];
  },
  fits: fitProblems,
  shoots: ({ policy }) => {
    const problem = plannedPolicyProblem(policy);
    return problem ? [{ path: 'policy.kind', message: writeInSi(problem), received: policy.kind }] : [];
  },
  plans: ({ request }) => under('request', contradictions(request)),
};

export function problemsOf<K extends Kind>(kind: K, content: Content<K>): readonly FieldProblem[] {
  return (rules[kind] as ((content: Content<K>) => readonly FieldProblem[]) | undefined)?.(content) ?? [];
}

/** A test as a whole, wherever it comes in: its end below its start, its readings within it and in order. */
export function testProblems({ test }: Pick<Content<'testFlights'>, 'test'>): FieldProblem[] {
  const fault = testFlightFault(test);
  return fault ? under('test', [fault]) : [];
}

/** A fit that is kept makes a belief, and its triangle is that of its covariance: the interface draws by it. */
function fitProblems({ fit }: Content<'fits'>): FieldProblem[] {
  const known = checkedKnowledge(fit);
  if (!known.ok) return [{ path: 'fit.posterior', message: writeInSi(known.refusal) }];
  const ours = known.value.learned?.factor ?? [];
  const isSame = ours.every((row, i) =>
    row.every((value, k) => Math.abs(value - (fit.posterior.factor[i]?.[k] ?? Number.NaN)) < 1e-3),
  );
  if (isSame) return [];
  return [{ path: 'fit.posterior.factor', message: 'This is not the triangle of the covariance.' }];
}
