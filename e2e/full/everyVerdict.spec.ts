import { VERDICT_STEPS } from '../../src/core/testing/verdictSteps';
import { test } from '../support/test';
import { walkVerdict } from '../support/walkVerdict';

for (const step of VERDICT_STEPS)
  test(`${step.keys} for ${step.command}${step.rules ? `, ${step.rules} rules` : ''}: every verdict says so, and each choice can be made and undone`, async ({
    page,
    request,
  }) => walkVerdict(page, request, step));
