'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRef, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { CommandId } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import type { KnockOn } from '@/core/transfer/transferTypes';
import { Column } from '../kit/Column';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';
import { useFocusKept } from '../parts/useFocusKept';
import styles from './match.module.css';
import { PressKeys } from './PressKeys';

type Props = {
  readonly knockOns: readonly KnockOn[];
  readonly lostAnswers: readonly CommandId[];
  readonly answered: ReadonlySet<CommandId>;
  readonly nameOf: (command: CommandId) => string;
  readonly onInstead: (command: CommandId, chord: ChordText | null | undefined) => void;
};
const WHY: Readonly<Record<KnockOn['reason'], string>> = {
  closest: '',
  'by hand': 'settled by you',
  spare: 'a spare',
  'has others': 'it keeps its other keys',
  'none free': 'no free keys near',
};

/** Who gives up keys, and what each gets instead; each can be settled by hand. */
export function KnockOns({ knockOns, lostAnswers, answered, nameOf, onInstead }: Props) {
  const [pressing, setPressing] = useState<CommandId | null>(null);
  const list = useRef<HTMLUListElement>(null);
  useFocusKept(list);
  const getting = knockOns.filter((one) => one.instead !== null).length;
  return (
    <section aria-label="Knock-on changes">
      <h2>Knock-on changes</h2>
      <p>
        {knockOns.length === 0
          ? 'Nobody gives up a key.'
          : `${counted(knockOns.length, 'command gives', 'commands give')} up a key. ${
              getting === 0
                ? 'None needs another.'
                : `${getting === knockOns.length ? 'Each gets' : `${getting} ${getting === 1 ? 'gets' : 'get'}`} the closest free one, unless you say otherwise.`
            }`}
      </p>
      {lostAnswers.length > 0 && (
        <p className="problem" role="status">
          The keys you gave to {lostAnswers.map(nameOf).join(', ')} are not free, so the closest free ones are proposed.
        </p>
      )}
      <Stack component="ul" ref={list} tabIndex={-1} spacing={2} sx={{ mt: 2 }}>
        {knockOns.map(({ command, lost, instead, reason, to }) => (
          <Column key={command.id} component="li" gap={1} className={styles.knockOn} data-command={command.id}>
            <strong>{command.name}</strong>
            <span className="chords">
              {lost.map((one) => (
                <KeyCaps key={one} chord={one} />
              ))}
              <span aria-hidden="true">→</span>
              <span className="hidden">to</span>
              {instead === null ? <span>no key</span> : <KeyCaps chord={instead} />}
              {WHY[reason] && <span className="soft">({WHY[reason]})</span>}
            </span>
            <Row component="span" gap={3} wraps>
              <Button
                variant="inline"
                aria-label={`Press other keys for ${command.name}`}
                onClick={() => setPressing(command.id)}
              >
                Other key
              </Button>
              {instead !== null && (
                <Button
                  variant="inline"
                  aria-label={`No key for ${command.name}`}
                  onClick={() => onInstead(command.id, null)}
                >
                  No key
                </Button>
              )}
              {answered.has(command.id) && (
                <Button
                  variant="inline"
                  aria-label={`Closest free key for ${command.name}`}
                  onClick={() => onInstead(command.id, undefined)}
                >
                  Closest free
                </Button>
              )}
              <span className="hidden">because of {to.map(nameOf).join(', ')}</span>
            </Row>
          </Column>
        ))}
      </Stack>
      {pressing !== null && (
        <PressKeys
          title={`Other keys for ${nameOf(pressing)}`}
          name={nameOf(pressing)}
          onClose={() => setPressing(null)}
          onKeys={(chord) => {
            onInstead(pressing, chord);
            setPressing(null);
          }}
        />
      )}
    </section>
  );
}
