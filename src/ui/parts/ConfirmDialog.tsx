'use client';

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { Sentence } from '@/core/text/sentence';
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
    <Dialog open onClose={onClose} aria-labelledby="confirm-title">
      <DialogTitle id="confirm-title">{question.title}</DialogTitle>
      <DialogContent>
        <div className="fields">
          {question.sentences.map((sentence, i) => (
            <p key={`${i}`}>
              <SentenceView sentence={sentence} />
            </p>
          ))}
        </div>
      </DialogContent>
      <DialogActions>
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
      </DialogActions>
    </Dialog>
  );
}
