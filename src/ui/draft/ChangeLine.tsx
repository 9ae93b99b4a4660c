'use client';

import { useMemo } from 'react';
import { describeChange } from '@/core/clash/describeTicket';
import type { Sharers } from '@/core/clash/sharersOnTape';
import type { Change } from '@/core/keymap/ticket';
import { Row } from '../kit/Row';
import { SentenceView } from '../parts/SentenceView';

/** What a change does to one command, each thing by itself. */
export function ChangeLine({ name, change, sharers }: { name: string; change: Change; sharers?: Sharers | undefined }) {
  const sentence = useMemo(() => describeChange(change, sharers), [change, sharers]);
  return (
    <Row component="li" wraps>
      <strong>{name}</strong>
      <span className="chords">
        <SentenceView sentence={sentence} />
      </span>
    </Row>
  );
}
