import { MOST_ROWS } from '../tables';

/** What is said of a list with more rows than we take. */
export const tooMany = `The list has more than ${MOST_ROWS.toLocaleString('en-US')} rows. Split it into parts and bring those in one by one.`;
