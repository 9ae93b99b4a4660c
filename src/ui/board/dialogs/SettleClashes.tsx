'use client';

import Button from '@mui/material/Button';
import { useMemo } from 'react';
import type { Advisor } from '@/core/advice/advisor';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Ticket } from '@/core/keymap/ticket';
import type { Command } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import { describeClashLine, settleClashes } from '@/core/transfer/settleClashes';
import { Disclosure } from '../../kit/Disclosure';
import { Row } from '../../kit/Row';
import { SentenceView } from '../../parts/SentenceView';

type Props = {
  readonly index: ClashIndex;
  readonly advisor: () => Advisor;
  readonly uses: (command: Command) => number;
  readonly busy: boolean;
  readonly onFix: (ticket: Ticket) => void;
};

/** All clashes of a keymap settled at once: what becomes of whom, then one ticket. */
export function SettleClashes({ index, advisor, uses, busy, onFix }: Props) {
  const { lines, left, ticket } = useMemo(() => settleClashes(advisor(), index, uses), [advisor, index, uses]);
  // For one alone its own fixes stand below.
  if (!ticket || lines.length < 2) return null;
  const getting = lines.filter((one) => one.instead !== null).length;
  return (
    <section aria-label="All clashes at once">
      <Row wraps gap={3}>
        <p>
          <strong>All clashes at once:</strong> {counted(lines.length, 'command gives', 'commands give')} way
          {getting > 0 &&
            `, ${getting === lines.length ? 'each gets' : counted(getting, 'gets', 'get')} the closest free keys`}
          . Keepers stay, and so does whoever is used most.
          {left.length > 0 &&
            ` On ${counted(left.length, 'chord')} keepers clash with each other; say there who stays.`}
        </p>
        <span className="push" />
        <Button variant="contained" disabled={busy} onClick={() => onFix(ticket)}>
          Settle them all
        </Button>
      </Row>
      <Disclosure title="What becomes of whom">
        <ul>
          {lines.map((line) => (
            <li key={line.command.id}>
              <strong>{line.command.name}</strong>
              <SentenceView sentence={describeClashLine(line)} />
            </li>
          ))}
        </ul>
      </Disclosure>
    </section>
  );
}
