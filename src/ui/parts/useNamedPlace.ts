import { useEffect } from 'react';

/** Scrolls to what the address names, since the page is drawn after the browser has looked for it. */
export function useNamedPlace(): void {
  useEffect(() => document.getElementById(window.location.hash.slice(1))?.scrollIntoView({ block: 'start' }), []);
}
