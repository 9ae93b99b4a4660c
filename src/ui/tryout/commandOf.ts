'use client';

import type { Command } from '@/core/program/program';
import type { Outcome } from '@/core/tryout/pressKeys';

/** The command whose keys somebody may want to change after a press; null where it was nobody's. */
export function commandOf(outcome: Outcome): Command | null {
  if (outcome.kind === 'fired') return outcome.command;
  if (outcome.kind === 'clash') return outcome.commands[0] ?? null;
  return outcome.kind === 'not here' ? (outcome.holders[0]?.command ?? null) : null;
}
