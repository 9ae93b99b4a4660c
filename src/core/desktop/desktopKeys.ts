import { type ChordText, canonicalText } from '../chord/chord';
import { parseChord } from '../chord/parseChord';

/** The desktops a keymap can be judged for. */
export const DESKTOPS = ['windows', 'mac', 'linux'] as const;
export type Desktop = (typeof DESKTOPS)[number];
export const DESKTOP_NAMES: Readonly<Record<Desktop, string>> = { windows: 'Windows', mac: 'a Mac', linux: 'Linux' };

/**
 * Keys that each desktop takes before any program hears them, as it comes; people can change most of them there.
 * Sources: Windows: "Keyboard shortcuts in Windows" (support.microsoft.com). Mac: "Mac keyboard shortcuts"
 * (support.apple.com/102650), screenshots, Dock and Mission Control. Linux: the schemas org.gnome.desktop.wm.keybindings,
 * org.gnome.mutter.keybindings, org.gnome.shell.keybindings and org.gnome.settings-daemon.plugins.media-keys of
 * Debian's gsettings-desktop-schemas, mutter-common, gnome-shell-common and gnome-settings-daemon-common.
 */
const LISTS: Readonly<Record<Desktop, readonly (readonly [chords: string, does: string])[]>> = {
  windows: [
    ['Alt+Tab Alt+Shift+Tab Mod+Alt+Tab', 'switches between windows'],
    ['Alt+F4', 'closes the window'],
    ['Alt+Escape', 'goes to the next window'],
    ['Alt+Space', 'opens the menu of the window'],
    ['Alt+Shift+Escape', 'goes to the window before'],
    ['Mod+Escape', 'opens the Start menu'],
    ['Mod+Shift+Escape', 'opens the Task Manager'],
    ['Mod+Alt+Delete', 'opens the security screen'],
    ['F10', 'goes to the menu bar'],
    ['PrintScreen Alt+PrintScreen Meta+PrintScreen', 'takes a picture of the screen'],
    ['Meta+Shift+S', 'takes a picture of part of the screen'],
    ['Meta+D Meta+M Meta+Shift+M', 'shows the desktop or brings the windows back'],
    ['Meta+L', 'locks the machine'],
    ['Meta+E', 'opens the file window'],
    ['Meta+R', 'asks for a program to run'],
    ['Meta+S Meta+Q', 'opens the search'],
    ['Meta+I', 'opens the settings'],
    ['Meta+A Meta+N', 'opens quick settings and notifications'],
    ['Meta+X', 'opens the menu of the Start button'],
    ['Meta+V', 'opens what was copied before'],
    ['Meta+. Meta+;', 'opens the picture characters'],
    ['Meta+Tab', 'shows all windows'],
    ['Meta+P', 'chooses a screen'],
    ['Meta+K', 'connects a screen'],
    ['Meta+U', 'opens the accessibility settings'],
    ['Meta+H', 'starts dictation'],
    ['Meta+G Meta+Alt+R', 'opens the recorder'],
    ['Meta+Z', 'arranges the window'],
    ['Meta+ArrowLeft Meta+ArrowRight Meta+ArrowUp Meta+ArrowDown', 'moves the window to a side'],
    ['Meta+Home', 'hides the other windows'],
    ['Meta+Plus Meta+- Meta+=', 'turns on the magnifier'],
    ['Meta+B Meta+T', 'goes to the task bar'],
    ['Meta+, ', 'looks past the windows'],
    ['Meta+Space', 'switches the keyboard layout'],
    ['Alt+Shift+PrintScreen', 'switches high contrast'],
    ['Mod+Meta+D Mod+Meta+ArrowLeft Mod+Meta+ArrowRight Mod+Meta+F4', 'switches desktops'],
    ['Meta+1 Meta+2 Meta+3 Meta+4 Meta+5 Meta+6 Meta+7 Meta+8 Meta+9 Meta+0', 'starts a program of the task bar'],
  ],
  mac: [
    ['Mod+Tab Mod+Shift+Tab', 'switches between programs'],
    ['Mod+`', 'switches between the windows of a program'],
    ['Mod+Q', 'quits the program'],
    ['Mod+H Mod+Alt+H', 'hides windows'],
    ['Mod+M Mod+Alt+M', 'puts the window in the Dock'],
    ['Mod+Space', 'opens the search'],
    ['Mod+Alt+Space', 'opens a search in the files'],
    ['Mod+Alt+Escape', 'asks which program to force to quit'],
    ['Mod+Shift+3 Mod+Shift+4 Mod+Shift+5 Mod+Shift+6', 'takes a picture of the screen'],
    ['Mod+Ctrl+Shift+3 Mod+Ctrl+Shift+4', 'copies a picture of the screen'],
    ['Mod+Ctrl+Q', 'locks the machine'],
    ['Mod+Shift+Q Mod+Alt+Shift+Q', 'logs you out'],
    ['Mod+Ctrl+F', 'makes the window fill the screen'],
    ['Mod+Ctrl+Space', 'opens the picture characters'],
    ['Mod+Ctrl+D', 'looks a word up'],
    ['Mod+Alt+D', 'hides or shows the Dock'],
    ['Mod+, ', 'opens the settings of the program'],
    ['Mod+Shift+/', 'opens the help menu'],
    ['Ctrl+ArrowUp Ctrl+ArrowDown', 'shows all windows'],
    ['Ctrl+ArrowLeft Ctrl+ArrowRight', 'switches desktops'],
    ['Ctrl+Space Ctrl+Alt+Space', 'switches the keyboard layout'],
    ['Ctrl+F2', 'goes to the menu bar'],
    ['Ctrl+F3', 'goes to the Dock'],
    ['Ctrl+F4 Ctrl+F5 Ctrl+F6 Ctrl+F8', 'moves between parts of the screen'],
    ['Mod+F5 Mod+Alt+F5', 'turns on VoiceOver'],
    ['Mod+Alt+8 Mod+Alt+= Mod+Alt+-', 'magnifies the screen'],
    ['Mod+Ctrl+Alt+8', 'inverts the colors of the screen'],
    ['F11', 'shows the desktop'],
  ],
  linux: [
    ['Alt+Tab Alt+Shift+Tab Meta+Tab Meta+Shift+Tab', 'switches between windows'],
    ['Alt+` Meta+`', 'switches between the windows of a program'],
    ['Alt+Escape Alt+Shift+Escape', 'goes to another window'],
    ['Alt+F4', 'closes the window'],
    ['Alt+F2', 'asks for a program to run'],
    ['Alt+F1', 'opens the overview'],
    ['Alt+F7', 'moves the window'],
    ['Alt+F8', 'changes the size of the window'],
    ['Alt+F10 Alt+F5', 'makes the window fill the screen or not'],
    ['Alt+Space', 'opens the menu of the window'],
    ['Mod+Alt+Tab Mod+Alt+Escape', 'moves between parts of the screen'],
    ['Mod+Alt+Delete', 'logs you out'],
    ['Mod+Alt+ArrowUp Mod+Alt+ArrowDown Mod+Alt+ArrowLeft Mod+Alt+ArrowRight', 'switches desktops'],
    [
      'Mod+Alt+Shift+ArrowUp Mod+Alt+Shift+ArrowDown Mod+Alt+Shift+ArrowLeft Mod+Alt+Shift+ArrowRight',
      'moves the window to another desktop',
    ],
    ['Mod+Alt+T', 'opens a terminal'],
    ['Mod+Alt+F1 Mod+Alt+F2 Mod+Alt+F3 Mod+Alt+F4 Mod+Alt+F5 Mod+Alt+F6 Mod+Alt+F7', 'switches to a text console'],
    ['Mod+Alt+Shift+R', 'records the screen'],
    ['PrintScreen Shift+PrintScreen Alt+PrintScreen', 'takes a picture of the screen'],
    ['Meta+L', 'locks the machine'],
    ['Meta+A', 'shows all programs'],
    ['Meta+D Mod+Alt+D', 'hides all windows'],
    ['Meta+H', 'hides the window'],
    ['Meta+S', 'opens quick settings'],
    ['Meta+V Meta+M', 'shows the notifications'],
    ['Meta+N', 'goes to the notification'],
    ['Meta+Space Meta+Shift+Space', 'switches the keyboard layout'],
    ['Meta+ArrowUp Meta+ArrowDown Meta+ArrowLeft Meta+ArrowRight', 'moves the window to a side'],
    ['Meta+PageUp Meta+PageDown Meta+Home Meta+End', 'switches desktops'],
    ['Meta+1 Meta+2 Meta+3 Meta+4 Meta+5 Meta+6 Meta+7 Meta+8 Meta+9', 'starts a program of the dash'],
  ],
};

/** What each chord does on a desktop. */
export const DESKTOP_KEYS: Readonly<Record<Desktop, ReadonlyMap<ChordText, string>>> = {
  windows: mapOf('windows'),
  mac: mapOf('mac'),
  linux: mapOf('linux'),
};

function mapOf(desktop: Desktop): ReadonlyMap<ChordText, string> {
  return new Map(
    LISTS[desktop].flatMap(([chords, does]) =>
      chords
        .trim()
        .split(' ')
        .flatMap((written) => {
          // Written in the order people say them; kept in ours.
          const read = parseChord(written, 'canonical');
          return read.ok ? [[canonicalText(read.chord), does] as const] : [];
        }),
    ),
  );
}

/** The keys that nearly every program has for the same thing on every desktop: they start as keepers. */
const CONVENTIONS: ReadonlyMap<ChordText, RegExp> = new Map([
  ['Mod+N', /^new\b/],
  ['Mod+O', /^open\b/],
  ['Mod+S', /^save\b/],
  ['Mod+Shift+S', /^save (?:as|a copy)\b/],
  ['Mod+P', /^print\b/],
  ['Mod+Z', /^(?:undo|step back)\b/],
  ['Mod+Y', /^redo\b/],
  ['Mod+Shift+Z', /^redo\b/],
  ['Mod+X', /^cut\b/],
  ['Mod+C', /^copy\b/],
  ['Mod+V', /^paste\b/],
  ['Mod+A', /^(?:select all|all)\b/],
  ['Mod+Q', /^(?:quit|exit)\b/],
]);

/** Whether a chord on a command of this name is one of the desktop-wide conventions. */
export function isConvention(chord: ChordText, commandName: string): boolean {
  return CONVENTIONS.get(chord)?.test(commandName.toLowerCase()) ?? false;
}
