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

/** An edit of something that was changed in another window first. @param what was changed, at the beginning of a sentence. */
export const changedElsewhere = (what: string, details: Problem['details']): Problem =>
  new Problem(
    'changed elsewhere',
    `${what} changed in another window, so what you just did was not stored. It is shown as it is now; do it again if you still want it.`,
    details,
  );

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
