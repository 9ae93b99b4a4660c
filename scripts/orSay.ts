import { problemOf } from '../src/server/stored/troubleOf';

/** Does a script's work; where there is a problem, says it in its sentence and ends the script. */
export async function orSay(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const problem = problemOf(error);
    console.error(problem ? problem.message : error);
    process.exit(1);
  }
}
