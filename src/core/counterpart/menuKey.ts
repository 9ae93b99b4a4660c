import type { Command } from '../program/program';

/** The menu a command stands in, all steps of its path in one. */
export const menuKey = ({ path }: Pick<Command, 'path'>): string => path.join('\n');
