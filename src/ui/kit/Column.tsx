import type { ComponentProps } from 'react';
import { Row } from './Row';

/** Parts below each other. */
export function Column({ className = '', align = 'stretch', ...rest }: ComponentProps<typeof Row>) {
  return <Row className={`column ${className}`} align={align} {...rest} />;
}
