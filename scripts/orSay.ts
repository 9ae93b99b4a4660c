import { Problem } from '../src/server/problem';
import { troubleOf } from '../src/server/stored/troubleOf';

/** Does a script's work; where there is a problem, says it in its sentence and ends the script. */
export async function orSay(work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (error) {
    const problem = error instanceof Problem ? error : troubleOf(error);
    console.error(problem ? problem.message : error);
    process.exit(1);
  }
}
