'use client';

import Snackbar from '@mui/material/Snackbar';
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react';

type Notice = {
  readonly words: string;
  readonly action: { readonly words: string; readonly run: () => void } | null;
  readonly count: number;
};
type Tell = (words: string, action?: { words: string; run: () => void }) => void;
const Context = createContext<Tell>(() => undefined);

/** Says in passing what was done, with a way to take it back where there is one. */
export function NoticeProvider({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | null>(null);
  const [open, setOpen] = useState(false);
  const tell = useCallback<Tell>((words, action) => {
    setNotice((last) => ({ words, action: action ?? null, count: (last?.count ?? 0) + 1 }));
    setOpen(true);
  }, []);
  const action = notice?.action;
  return (
    <Context.Provider value={tell}>
      {children}
      <Snackbar
        key={notice?.count}
        open={open}
        autoHideDuration={7000}
        onClose={(_, reason) => reason !== 'clickaway' && setOpen(false)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        message={notice?.words}
        action={
          action && (
            <button
              type="button"
              className="word"
              onClick={() => {
                setOpen(false);
                action.run();
              }}
            >
              {action.words}
            </button>
          )
        }
      />
    </Context.Provider>
  );
}

export function useNotice(): Tell {
  return useContext(Context);
}
