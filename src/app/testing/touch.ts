import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect } from 'vitest';

/** A machine that is busy otherwise is no reason to fail. */
const timeout = Number(process.env.WAIT_MS ?? 60_000);
/** Looks now and then, not at every change of a page, of which there are hundreds. */
export const WAIT = {
  timeout,
  interval: 40,
  get container() {
    return document.createElement('div');
  },
};

type Name = string | RegExp;
export const button = (name: Name): Promise<HTMLElement> => screen.findByRole('button', { name }, WAIT);
export const field = (name: Name): Promise<HTMLElement> => screen.findByRole('textbox', { name }, WAIT);
export const region = (name: Name): Promise<HTMLElement> => screen.findByRole('region', { name }, WAIT);
export const dialog = (name?: Name): Promise<HTMLElement> =>
  screen.findByRole('dialog', name === undefined ? {} : { name }, WAIT);

export async function click(name: Name): Promise<void> {
  fireEvent.click(await button(name));
}
export async function clickIn(where: HTMLElement, name: Name): Promise<void> {
  fireEvent.click(await within(where).findByRole('button', { name }, WAIT));
}
/** Opens a menu and takes a line of it. */
export async function choose(menu: Name, line: Name): Promise<void> {
  await click(menu);
  fireEvent.click(await screen.findByRole('menuitem', { name: line }, WAIT));
}
/** Opens a list of one's choice and takes a line of it. */
export async function pick(list: Name, line: Name): Promise<void> {
  fireEvent.mouseDown(await screen.findByRole('combobox', { name: list }, WAIT));
  fireEvent.click(await screen.findByRole('option', { name: line }, WAIT));
}
export async function tick(name: Name): Promise<void> {
  fireEvent.click(await screen.findByRole('checkbox', { name }, WAIT));
}
/** Takes one of several of which one is chosen. */
export async function take(name: Name): Promise<void> {
  fireEvent.click(await screen.findByRole('radio', { name }, WAIT));
}
export async function type(name: Name, value: string): Promise<HTMLElement> {
  const one = await field(name);
  fireEvent.change(one, { target: { value } });
  return one;
}
export async function submit(name: Name, value: string): Promise<void> {
  const one = await type(name, value);
  fireEvent.submit(one.closest('form') as HTMLFormElement);
}
export const press = (on: Element, key: string, code = key, held: object = {}): boolean =>
  fireEvent.keyDown(on, { key, code, ...held });

/** Waits until something is so. */
export const until = (so: () => unknown): Promise<void> =>
  waitFor(async () => expect(await so(), String(so)).toBeTruthy(), WAIT);
/** Waits until something is what is given. */
export const untilIs = <T>(read: () => T | Promise<T>, wanted: T): Promise<void> =>
  waitFor(async () => expect(await read(), String(read)).toEqual(wanted), WAIT);
export const said = (words: Name): Promise<HTMLElement> => screen.findByText(words, {}, WAIT);
