import Joi from 'joi';
import { MOST_USES } from '../core/effort/uses';
import { LONGEST_WORDS } from '../core/finder/chosen';
import type {
  WholeChosen,
  WholeContents,
  WholeForm,
  WholeKeymap,
  WholeProgram,
  WholeRoom,
  WholeSaid,
  WholeSource,
  WholeUse,
  WholeWorkspace,
} from '../core/whole/whole';
import { FACTORY_APPEARANCE } from '../core/workspace/appearance';
import { draft, list, moment, place, sheets, ticked } from './fileKeymap';
import { computerName } from './forms';
import { openedAs } from './openedAs';
import { ownForm } from './ownForms';
import { choices, corrections } from './reading';
import { derivation, matchPlan, rows, wishList } from './requests';
import { check, commandId, keymapName, name, owner, programFacts } from './schemas';
import { shape } from './shape';
import { answers, saidLink } from './successions';
import { workspaceParts } from './workspaces';
import { said } from './writeBack';

/** What a file with everything in it holds, program by program: written by another Gray Pin, or by anybody. */
const uid = Joi.string().min(1).max(120);
const told = {
  uid: uid.required(),
  kin: uid.required(),
  name: keymapName.required(),
  putAwayAt: moment.allow(null).required(),
  createdAt: moment.required(),
};
const spares = Joi.array().items(commandId).max(20_000).required();
const keymap = shape<WholeKeymap>({
  ...told,
  owner: owner.required(),
  factory: Joi.boolean().required(),
  unnamed: Joi.boolean().required(),
  locked: Joi.boolean().required(),
  lastUsedAt: moment.allow(null).required(),
  rows: rows.required(),
  spares,
  ...draft,
  wishes: wishList.allow(null).required(),
  sheets: sheets({ base: uid.allow('').required(), programs: list(uid) }),
  ticks: list(Joi.object({ from: uid.required(), ticks: ticked })),
  plans: list(Joi.object({ source: uid.required(), contents: matchPlan.required(), changedAt: moment.required() })),
  derivation: Joi.object({ source: uid.required(), contents: derivation.required() }).allow(null).required(),
  moves: list(Joi.object({ to: uid.required(), answers: answers.required(), made: uid.allow(null).required() })),
});
const contents = shape<WholeContents>({ ...workspaceParts, keymap: uid.allow(null) }).required();
const workspace = shape<WholeWorkspace>({
  ...told,
  owner: owner.required(),
  lastUsedAt: moment.allow(null).required(),
  versions: list(Joi.object({ contents, keptAt: moment.required() })).min(1),
});
/** What a workspace has as an older version wrote it: what may no longer be is as usual. */
export function openedContents<Contents extends WholeContents>(stored: Contents): Contents {
  const { appearance: looks, ...rest } = stored;
  const fits = ([part, value]: [string, unknown]): boolean =>
    !(part in workspaceParts) || !workspaceParts[part as keyof typeof workspaceParts].validate(value).error;
  const opened = Object.fromEntries(Object.entries(rest).filter(fits));
  return { ...opened, ...(looks ? { appearance: openedAppearance(looks) } : {}) } as Contents;
}
const openedAppearance = openedAs(workspaceParts.appearance, FACTORY_APPEARANCE);
const step = {
  title: Joi.string().min(1).max(200).required(),
  createdAt: moment.required(),
};
const room = shape<WholeRoom>({
  person: owner.required(),
  contents,
  workspace: uid.allow(null).required(),
  cursor: place.required(),
  steps: list(
    Joi.object({
      ...step,
      before: contents,
      after: contents,
      workspaces: Joi.array().ordered(uid.allow(null).required(), uid.allow(null).required()).length(2).required(),
    }),
  ),
});
/** What a file that a program was brought in from held is not text, and any bytes may be. */
const source = Joi.object<Omit<WholeSource, 'bytes'>, true>({
  name: Joi.string().max(120).allow('').required(),
  choices: choices.required(),
  corrections: corrections.required(),
  given: Joi.boolean().required(),
  said,
  madeAt: moment.required(),
});
const sources = list(source) as Joi.ArraySchema<Omit<WholeSource, 'bytes'>[]>;
const program = shape<Omit<WholeProgram, 'sources'>>({
  ...told,
  name: name.required(),
  version: Joi.string().trim().min(1).max(40).required(),
  facts: programFacts.required(),
  steps: list(
    Joi.object({
      title: step.title,
      before: programFacts.required(),
      after: programFacts.required(),
      undone: Joi.boolean().required(),
      madeAt: moment.required(),
    }),
  ),
  keymaps: list(keymap).min(1),
  workspaces: list(workspace),
  rooms: list(room),
  uses: list(
    shape<WholeUse>({
      owner: owner.required(),
      command: commandId.required(),
      perDay: Joi.number().min(0).max(MOST_USES).required(),
    }),
  ),
  chosen: list(
    shape<WholeChosen>({
      person: owner.required(),
      words: Joi.string().min(1).max(LONGEST_WORDS).required(),
      command: commandId.required(),
      chosenAt: moment.required(),
    }),
  ),
  counterparts: list(
    shape<WholeSaid>({
      command: commandId.required(),
      other: uid.required(),
      counterpart: commandId.allow(null).required(),
      saidAt: moment.required(),
    }),
  ),
  forms: list(
    shape<WholeForm>({
      form: ownForm.required(),
      putAwayAt: moment.allow(null).required(),
      createdAt: moment.required(),
    }),
  ),
  succession: Joi.object({ from: uid.required(), said: list(saidLink), createdAt: moment.required() })
    .allow(null)
    .required(),
});

/** A program with all that belongs to it, as a file gives it. @throws Problem saying what is wrong with it. */
export function wholeProgram({ sources: files, ...given }: WholeProgram): WholeProgram {
  const what = `“${given.name}” in this file`;
  const told = check(
    sources,
    files.map(({ bytes: _, ...one }) => one),
    what,
  );
  const checked = check(program, given, what);
  return { ...checked, sources: told.map((one, i) => ({ ...one, bytes: files[i]?.bytes ?? new Uint8Array() })) };
}

/** What a person wishes of taking a file in. */
export type TakingWishes = {
  /** What things of the file are called after where one of the name is here. */
  readonly label: string;
  readonly goOn: readonly string[];
  readonly apart: readonly string[];
};
const uids = Joi.array().items(uid).max(20_000).default([]);

/** What is wished, as it stands in a header; and what was shown before. */
export const takingWishes = (given: unknown) =>
  check(
    shape<TakingWishes & { shown: string }>({
      label: computerName.default('other computer'),
      goOn: uids,
      apart: uids,
      shown: Joi.string().max(64).allow('').default(''),
    }),
    given,
    'This wish',
  );
