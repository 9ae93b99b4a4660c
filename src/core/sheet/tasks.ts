import type { Command } from '../program/program';
import { type Meaning, meaningsIn } from '../words/meanings';

/** What people are at when they use a command, and what it speaks of then; the first that applies. Our own list. */
const TASKS: readonly (readonly [task: string, about: readonly Meaning[]])[] = [
  ['Steps back and forth', ['undo', 'redo', 'history', 'revert']],
  ['Masking', ['mask', 'quickmask']],
  [
    'Mending',
    [
      'heal',
      'spot heal',
      'clone',
      'patch',
      'stain',
      'dust',
      'descreen',
      'noise',
      'red eye',
      '~lift',
      '~mend',
      '~pinhol',
    ],
  ],
  ['Selecting', ['selection', 'lasso', 'wand', 'all=all', 'all=none']],
  [
    'Tone and color',
    [
      'levels',
      'curves',
      'exposure',
      'brightness',
      'contrast',
      'hue',
      'saturation',
      'tone',
      'balance',
      'white balance',
      'warmth',
      'shadow',
      'highlight',
      'gray',
      'color',
      'swatch',
      'gradient',
      'fill',
    ],
  ],
  [
    'Brushes and drawing',
    [
      'brush',
      'brushlib',
      'paint',
      'pencil',
      'inkpen',
      'airbrush',
      'chalk',
      'erase',
      'opacity',
      'hardness',
      'flow',
      'water',
      'smudge',
      'line.stroke',
      'line.path',
      'node',
    ],
  ],
  ['Layers', ['layer', 'merge', 'flatten', 'group=on', 'group=off', 'join=merge']],
  ['Words', ['text', 'text.font', 'bold', 'italic', 'underline', 'spacing tracking', 'leading', 'spell']],
  [
    'Shape and place',
    [
      'transform',
      'distort',
      'rotate',
      'flip',
      'skew',
      'warp',
      'crop',
      'trim',
      'straighten',
      'resolution',
      'size',
      'align',
      'distribute',
      'object',
      'object.shape',
      'move',
      'nudge',
    ],
  ],
  ['Sharpness', ['sharpen', 'blur', 'clarity']],
  [
    'Looking',
    ['view', 'zoom', 'pan', 'grid', 'guide', 'ruler', 'snap', 'proof', 'fullscreen', 'panel', 'histogram', 'navigator'],
  ],
  [
    'Files',
    [
      'open',
      'store=save',
      'port=out',
      'port=in',
      'print',
      'close',
      'quit',
      'picture.file',
      'batch',
      'contact sheet',
      'make=new',
    ],
  ],
];
export const OTHER_TASK = 'Everything else';
const KNOWN = new Map<string, string>();

/** The task that a command belongs to, by what its name says, else by what its menu says. */
export function taskOf({ name, path }: Pick<Command, 'name' | 'path'>): string {
  const key = `${path.join('/')}/${name}`;
  let task = KNOWN.get(key);
  if (task === undefined) {
    if (KNOWN.size > 20_000) KNOWN.clear();
    const of = (words: string): string | undefined => {
      const about = new Set(meaningsIn(words));
      return TASKS.find(([, one]) => one.some((meaning) => about.has(meaning)))?.[0];
    };
    task = of(name) ?? of(path.join(' ')) ?? OTHER_TASK;
    KNOWN.set(key, task);
  }
  return task;
}

/** The tasks in the order they stand on a sheet. */
export const TASK_ORDER: readonly string[] = [...TASKS.map(([task]) => task), OTHER_TASK];
