import Stack from '@mui/material/Stack';
import type { Preview } from '@/core/reading/preview';
import { counted } from '@/core/text/sentence';
import styles from './bringIn.module.css';

/** What one of our own files holds. */
export function FileHolds({ preview }: { readonly preview: Extract<Preview, { kind: 'program file' }> }) {
  return (
    <Stack
      component="section"
      className={`card ${styles.source}`}
      spacing={3}
      sx={{ p: 5, alignItems: 'flex-start' }}
      aria-label="What the file holds"
    >
      <p>
        This is a Gray Pin file: <strong>{preview.name}</strong>, version {preview.version}, with{' '}
        {counted(preview.commands, 'command')} and its factory keys.
      </p>
      {preview.keymaps.length > 0 ? (
        <>
          <p>{counted(preview.keymaps.length, 'keymap')} come with it:</p>
          <ul>
            {preview.keymaps.map((one) => (
              <li key={one.name}>
                {one.name}
                {one.owner && <span className="soft"> · {one.owner}</span>}
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p>No keymaps but the factory's come with it.</p>
      )}
    </Stack>
  );
}
