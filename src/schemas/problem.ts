/** Something a person can be told: what happened and what to do. `code` is for the interface to tell cases apart. */
export class Problem extends Error {
  override name = 'Problem';
  /** Next shows no message of a failing page; this it hands on, and `app/error.tsx` shows it. */
  readonly digest: string;
  constructor(
    readonly code:
      | 'not found'
      | 'not valid'
      | 'changed elsewhere'
      | 'not allowed'
      | 'unreadable'
      | 'too large'
      | 'busy'
      | 'no room',
    message: string,
    readonly details: Readonly<Record<string, unknown>> = {},
  ) {
    super(message);
    this.digest = `said: ${message}`;
  }
}

/** The HTTP status of each kind of problem. */
export const PROBLEM_STATUS: Readonly<Record<Problem['code'], number>> = {
  'not found': 404,
  'not valid': 400,
  'changed elsewhere': 409,
  'not allowed': 403,
  unreadable: 422,
  'too large': 413,
  busy: 503,
  'no room': 507,
};
