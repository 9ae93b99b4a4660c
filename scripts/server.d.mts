import type { ChildProcess } from 'node:child_process';

export const root: string;
export function run(command: string, args: readonly string[], extra?: Readonly<Record<string, string>>): void;
export function runScript(name: string, args?: readonly string[], extra?: Readonly<Record<string, string>>): void;
export function startServer(options: {
  port: number;
  mode?: 'start' | 'dev';
  data?: string;
  quiet?: boolean;
  nodeArgs?: readonly string[];
}): ChildProcess;
export function untilReady(port: number, server: ChildProcess, seconds?: number): Promise<void>;
export function mustBeFree(port: number): Promise<void>;
