import type { Plan } from '@/core/advice/wishList';
import { counted } from '@/core/text/sentence';

/** How a plan stands, in a sentence or two. */
export function planWords(plan: Plan, changed: number, wishes: number, settled: number): string {
  if (settled === wishes) return `${counted(wishes, 'wish', 'wishes')}: this plan is on the tape.`;
  const what =
    changed === 0
      ? `${counted(wishes, 'wish', 'wishes')}: every one is on the best keys it can have.`
      : `${counted(wishes, 'wish', 'wishes')}: ${changed} ${changed === 1 ? 'gets' : 'get'} new keys${
          changed < wishes
            ? `, ${wishes - changed} ${wishes - changed === 1 ? 'stays' : 'stay'} as ${wishes - changed === 1 ? 'it is' : 'they are'}`
            : ''
        }.`;
  const rest = Math.max(0.1, 100 * (1 - plan.share));
  return `${what} ${
    plan.proven
      ? 'Proven: no other plan is better.'
      : `A good answer, not a proof: the best there can be brings at most ${rest < 1 ? rest.toFixed(1) : Math.ceil(rest)} % more.`
  }`;
}

/** What is so of wishes that a plan on the tape has settled. */
export const settledWords = (settled: number): string =>
  settled === 1
    ? 'One is as the plan on the tape has it; what else is wished for is planned around it.'
    : `${settled} are as the plan on the tape has them; what else is wished for is planned around them.`;
