'use client';

import { useEffect, useState } from 'react';
import { ask, messageOf } from '../shell/api';

/** What the server answers at an address, asked for when there is one; the answer to another address is none to this. */
export function useAsked<Answer>(address: string | null): {
  readonly answer: Answer | null;
  readonly problem: string;
} {
  const [found, setFound] = useState<{
    readonly at: string;
    readonly answer: Answer | null;
    readonly problem: string;
  }>();
  useEffect(() => {
    if (address === null) return;
    let gone = false;
    ask<Answer>('GET', address).then(
      (answer) => !gone && setFound({ at: address, answer, problem: '' }),
      (error) => !gone && setFound({ at: address, answer: null, problem: messageOf(error) }),
    );
    return () => {
      gone = true;
    };
  }, [address]);
  return found && found.at === address ? found : { answer: null, problem: '' };
}
