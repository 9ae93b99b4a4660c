import { execFileSync } from 'node:child_process';

/** Debian's Chromium, wherever its command is. */
export function chromiumPath(): string {
  return process.env.CHROMIUM ?? execFileSync('sh', ['-c', 'command -v chromium'], { encoding: 'utf8' }).trim();
}

export const launchArgs = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
