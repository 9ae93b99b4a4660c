import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import { ChevronDown } from 'lucide-react';
import type { HTMLAttributes, ReactNode } from 'react';

type Props = Omit<HTMLAttributes<HTMLDivElement>, 'title' | 'onChange' | 'children'> & {
  readonly title: ReactNode;
  readonly open?: boolean;
  readonly children: ReactNode;
};

/** What is folded away until it is asked for. */
export function Disclosure({ title, open = false, children, ...rest }: Props) {
  return (
    <Accordion
      {...rest}
      defaultExpanded={open}
      slotProps={{ heading: { component: 'div' }, transition: { unmountOnExit: true } }}
    >
      <AccordionSummary expandIcon={<ChevronDown size={16} aria-hidden />}>{title}</AccordionSummary>
      <AccordionDetails>{children}</AccordionDetails>
    </Accordion>
  );
}
