'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import type { Sentence } from '@/core/text/sentence';
import { DialogFrame } from '../kit/DialogFrame';
import { SentenceView } from './SentenceView';

export type Question = {
  readonly title: string;
  readonly sentences: readonly Sentence[];
  readonly action: string;
  readonly run: () => void;
};

/** Asks before something dear is given up. The focus stands on leaving it. */
export function ConfirmDialog({ question, onClose }: { question: Question; onClose: () => void }) {
  return (
    <DialogFrame
      title={question.title}
      onClose={onClose}
      actions={
        <>
          <Button variant="outlined" autoFocus onClick={onClose}>
            Leave it
          </Button>
          <Button
            variant="contained"
            onClick={() => {
              onClose();
              question.run();
            }}
          >
            {question.action}
          </Button>
        </>
      }
    >
      <Stack spacing={3}>
        {question.sentences.map((sentence, i) => (
          <p key={`${i}`}>
            <SentenceView sentence={sentence} />
          </p>
        ))}
      </Stack>
    </DialogFrame>
  );
}
