'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { LampMenu } from './LampMenu';

const SCREENS = [
  { name: 'Shelf', address: '/shelf', icon: 'M3 6h16M3 11h16M3 16h16M7 4v4M14 9v4M9 14v4' },
  { name: 'Board', address: '/board', icon: 'M3 6.5h16v9.5H3zM6 9.5h.5M9 9.5h.5M12 9.5h.5M15 9.5h.5M7 13h8' },
  { name: 'Match', address: '/match', icon: 'M4 7.5h12M13 4.5l3 3-3 3M18 14.5H6M9 11.5l-3 3 3 3' },
  { name: 'Workspaces', address: '/workspaces', icon: 'M3 4.5h16v13H3zM7.5 4.5v13M14.5 4.5v13M14.5 10.5H19' },
  { name: 'Tryout', address: '/tryout', icon: 'M7 5l10 6-10 6z' },
  { name: 'Sheets', address: '/sheets', icon: 'M5.5 3h8l3.5 3.5V19h-11.5zM8.5 10.5h5.5M8.5 13.5h5.5' },
] as const;

/** The narrow rail that switches screens. */
export function Rail() {
  const path = usePathname();
  // The wish list is part of the Board.
  const at = path.replace(/^\/wishes\b/, '/board');
  return (
    <nav className="rail no-print" aria-label="Screens">
      <svg className="mark" width="22" height="34" viewBox="0 0 22 34" aria-hidden="true">
        <path d="M11 16v17" stroke="#fff" strokeWidth="2.4" strokeLinecap="round" />
        <circle cx="11" cy="9" r="8.4" fill="#9a9a9a" />
        <path d="M2.6 9a8.4 8.4 0 0 1 8.4-8.4v8.4z" fill="#c6c6c6" />
      </svg>
      {SCREENS.map(({ name, address, icon }) => (
        <Link key={name} href={address} prefetch={false} aria-current={at.startsWith(address) ? 'page' : undefined}>
          <svg
            width="22"
            height="22"
            viewBox="0 0 22 22"
            fill="none"
            stroke="currentColor"
            strokeWidth="1.5"
            strokeLinecap="round"
            aria-hidden="true"
          >
            <path d={icon} />
          </svg>
          {name}
        </Link>
      ))}
      <span className="push" />
      <LampMenu />
    </nav>
  );
}
