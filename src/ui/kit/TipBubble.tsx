import Tooltip from '@mui/material/Tooltip';

/** The words of a tip beside what they belong to. */
export function TipBubble({ anchor, words }: { anchor: Element; words: string }) {
  return (
    <Tooltip open describeChild title={words} slotProps={{ popper: { anchorEl: anchor } }}>
      <span className="hidden" />
    </Tooltip>
  );
}
