import Joi from 'joi';
import type { WishList } from '../core/advice/wishList';
import { MODIFIERS } from '../core/chord/chord';
import { DESKTOPS } from '../core/desktop/desktopKeys';
import { MOST_USES } from '../core/effort/uses';
import { type ChosenEdit, LONGEST_WORDS } from '../core/finder/chosen';
import { SHAPES, SIZES } from '../core/keyboard/keyboard';
import { LAYOUTS } from '../core/keyboard/layouts';
import { MOVES } from '../core/keyboard/moveKeyboard';
import type { Ticket } from '../core/keymap/ticket';
import { KINDS, type Program } from '../core/program/program';
import { HANDS } from '../core/reach/hand';
import { LAMPS, SCREEN_NOTATIONS, type Settings, TEXT_SIZES } from '../core/settings/settings';
import type { Derivation, MatchPlan } from '../core/transfer/matchPlan';
import { Problem } from './problem';
import { check, chord, commandId, keymapName, onKeyboard, owner, programFacts, revision, ticket } from './schemas';
import { shape } from './shape';

/** The bodies our routes take. */
type Body = unknown;

export const editBody = (body: Body) =>
  check(
    shape<{ revision: number; ticket: Ticket }>({ revision: revision.required(), ticket: ticket.required() }),
    body,
    'This step',
  );

export const tapeBody = (body: Body) =>
  check(
    shape<{ revision: number; cursor: number }>({
      revision: revision.required(),
      cursor: Joi.number().integer().min(0).required(),
    }),
    body,
    'This step',
  );

export const revisionBody = (body: Body) =>
  check(shape<{ revision: number }>({ revision: revision.required() }), body, 'This step');

export const keepAsNewBody = (body: Body) =>
  check(
    shape<{ revision: number; name: string; owner: string }>({
      revision: revision.required(),
      name: keymapName.required(),
      owner: owner.default(''),
    }),
    body,
    'This name',
  );

export const duplicateBody = (body: Body) =>
  check(
    shape<{ name: string; owner: string }>({ name: keymapName.required(), owner: owner.default('') }),
    body,
    'This name',
  );

export const changeBody = (body: Body) =>
  check(
    shape<{ name?: string; owner?: string; putAway?: boolean; locked?: boolean }>({
      name: keymapName,
      owner,
      putAway: Joi.boolean(),
      locked: Joi.boolean(),
    }).min(1),
    body,
    'This change',
  );

export const factsBody = (body: Body) =>
  check(
    shape<{ revision: number; title: string; facts: Pick<Program, 'contexts' | 'rules' | 'commands'> }>({
      revision: revision.required(),
      title: Joi.string().trim().min(1).max(200).required(),
      facts: programFacts.required(),
    }),
    body,
    'This change',
  );

export const settingsBody = (body: Body) =>
  check(
    shape<Partial<Settings>>({
      lamp: Joi.string().valid(...LAMPS),
      textSize: Joi.string().valid(...TEXT_SIZES),
      notation: Joi.string().valid(...SCREEN_NOTATIONS),
      desktop: Joi.string().valid(...DESKTOPS),
      hand: Joi.string().valid(...HANDS),
      person: owner,
      shape: Joi.string().valid(...SHAPES),
      size: Joi.string().valid(...SIZES),
      layout: Joi.string().valid(...LAYOUTS.map((one) => one.id)),
    }).min(1),
    body,
    'This setting',
  );

const commandChords = Joi.array().items(Joi.array().ordered(commandId.required(), chord.required())).max(20_000);
const commandIds = Joi.array().items(commandId).max(20_000).unique();
export const wishList = shape<WishList>({
  wishes: commandIds.required(),
  layers: Joi.array()
    .items(
      Joi.array()
        .items(Joi.string().valid(...MODIFIERS))
        .unique(),
    )
    .max(32)
    .required(),
  functionKeys: Joi.boolean().required(),
  spendSpares: Joi.boolean().required(),
  spendBelow: Joi.number().min(0).max(MOST_USES).allow(null).required(),
  pins: commandChords.required(),
  forbids: commandChords.required(),
  stays: commandIds.required(),
  settled: Joi.array()
    .items(Joi.array().ordered(commandId.required(), chord.allow(null).required()))
    .max(20_000)
    .required(),
});
export const wishListBody = (body: Body) => check(wishList, body, 'This wish list');

/** Uses a day by command; null forgets what was told. `all` says that these are all there are. */
export const usesBody = (body: Body) =>
  check(
    shape<{ uses: Record<string, number | null>; all: boolean }>({
      uses: Joi.object().pattern(commandId, Joi.number().min(0).max(MOST_USES).allow(null)).max(20_000).required(),
      all: Joi.boolean().default(false),
    }),
    body,
    'These counts',
  );

/** Which command was chosen for words typed into the finder. */
export const chosenBody = (body: Body) =>
  check(
    shape<ChosenEdit>({
      words: Joi.string().min(1).max(LONGEST_WORDS).required(),
      command: commandId.required(),
    }),
    body,
    'What was chosen',
  );

const keymapNumber = Joi.number().integer().min(1);
const choice = Joi.alternatives(
  Joi.object({ kind: Joi.string().valid('take', 'keep').required() }),
  Joi.object({ kind: Joi.string().valid('other').required(), chords: Joi.array().items(chord).max(20).required() }),
);
export const matchPlan = shape<MatchPlan>({
  rules: Joi.object({
    kinds: Joi.array()
      .items(Joi.string().valid(...KINDS))
      .unique()
      .required(),
    onlyEmpty: Joi.boolean().required(),
    preferEasier: Joi.boolean().required(),
    besides: Joi.boolean().required(),
  }).required(),
  choices: Joi.array().items(Joi.array().ordered(commandId.required(), choice.required())).max(20_000).required(),
  instead: Joi.array()
    .items(Joi.array().ordered(commandId.required(), chord.allow(null).required()))
    .max(20_000)
    .required(),
  madeOn: Joi.object({
    ...onKeyboard,
    desktop: Joi.string()
      .valid(...DESKTOPS)
      .required(),
    move: Joi.string()
      .valid(...MOVES)
      .required(),
  })
    .allow(null)
    .required(),
});
export const rows = Joi.array()
  .items(Joi.array().ordered(commandId.required(), chord.required(), Joi.boolean(), Joi.string().max(120)))
  .max(100_000);

export const matchBody = (body: Body) =>
  check(
    shape<{ source: number; plan: MatchPlan }>({ source: keymapNumber.required(), plan: matchPlan.required() }),
    body,
    'This match',
  );

/** What is said of a command's counterpart; null that it has none; left out, that what was said is to be forgotten. */
export const counterpartBody = (body: Body) =>
  check(
    shape<{ program: string; command: string; other: string; counterpart?: string | null }>({
      program: commandId.required(),
      command: commandId.required(),
      other: commandId.required(),
      counterpart: commandId.allow(null),
    }),
    body,
    'This counterpart',
  );

export const deriveBody = (body: Body) =>
  check(
    shape<{ name: string; owner: string; source: number; ticket: Ticket | null; plan: MatchPlan }>({
      name: keymapName.required(),
      owner: owner.default(''),
      source: keymapNumber.required(),
      ticket: ticket.allow(null).required(),
      plan: matchPlan.required(),
    }),
    body,
    'This keymap',
  );

export const derivation = shape<Derivation>({
  plan: matchPlan.required(),
  derived: rows.required(),
  theirs: rows.required(),
});
export const derivationBody = (body: Body) => check(derivation, body, 'This derivation');

export const ticksBody = (body: Body) =>
  check(
    shape<{ from: number; ticks: string[] }>({
      from: keymapNumber.required(),
      ticks: Joi.array().items(Joi.string().min(1).max(4000)).max(20_000).unique().required(),
    }),
    body,
    'These ticks',
  );

/** Which list of commands is asked for, by the mark of what they are. */
export const listQuery = (query: unknown) =>
  check(shape<{ mark: string }>({ mark: Joi.string().max(64).required() }), query, 'This address');

/** A keymap's number from an address. */
export function idOf(text: string): number {
  const id = Number(text);
  if (!Number.isInteger(id) || id < 1) throw new Problem('not found', 'There is no keymap at this address.');
  return id;
}
