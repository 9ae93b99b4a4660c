import { keepDaily } from './backup/keepDaily';
import { database } from './database';
import { problemOf } from './stored/troubleOf';

/** What the start script knows a server by that has said itself why it does not start. */
const SAID = 3;

/** Opens the database and keeps a copy a day of it; where the file can't be used, says why and ends the process. */
export async function openOrSay(): Promise<void> {
  try {
    await database();
  } catch (error) {
    const problem = problemOf(error);
    if (!problem) throw error;
    console.error(problem.message);
    process.exit(SAID);
  }
  keepDaily();
}
