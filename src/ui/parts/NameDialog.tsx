'use client';

import dynamic from 'next/dynamic';

/** Asks for a name, and whose it is; loaded when something is to be named. */
export const NameDialog = dynamic(() => import('./NameForm').then((one) => one.NameForm));
