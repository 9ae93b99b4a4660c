import type { APIRequestContext } from '@playwright/test';
import { walkFile } from '../../src/core/testing/walkProgram';

/** Brings the program in under a name of its own. @returns its address. */
export async function bringInWalk(request: APIRequestContext, name: string, rules: object = {}): Promise<string> {
  const file = { ...walkFile, program: { ...walkFile.program, name, rules: { ...walkFile.program.rules, ...rules } } };
  const answer = await request.post('/api/programs', {
    multipart: { file: { name: 'walk.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) } },
  });
  return ((await answer.json()) as { slug: string }).slug;
}

/** What keys are judged for, as the keyboard dialog stores it. */
export const US = { layout: 'us', shape: 'ansi', size: 'full', desktop: 'windows' };
