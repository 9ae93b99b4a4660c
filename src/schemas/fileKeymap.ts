import Joi from 'joi';
import type { FileBelongings, FileDraft } from '../core/file/belongings';
import type { FileKeymap } from '../core/file/keymapFile';
import type { KeptState, WholeSheet } from '../core/whole/whole';
import { rows, wishList } from './requests';
import { commandId, fileBindings, keymapName, name, owner, ticket } from './schemas';
import { shape } from './shape';
import { sheetSpec } from './sheets';

const MOST = 100_000;
/** A list of as many as a file may hold. */
export const list = (item: Joi.Schema) => Joi.array().items(item).max(MOST).required();
export const moment = Joi.string().isoDate().max(40);
export const place = Joi.number().integer().min(0).max(MOST);
const spares = Joi.array().items(commandId).max(20_000).required();
const tickets = Joi.array().items(ticket).max(MOST).required();

/** How a keymap became what it is. */
export const draft = {
  tape: list((ticket as Joi.ObjectSchema).keys({ createdAt: moment.required() })),
  cursor: place.required().description('How many tickets of the tape are applied.'),
  kept: list(
    shape<KeptState>({
      bindings: rows.required(),
      spares,
      cursor: place.allow(null).required(),
      keptAt: moment.required(),
    }),
  )
    .min(1)
    .description('What was kept of it, the first first.'),
  leftAside: list(Joi.object({ tickets, leftAt: moment.required() })),
};
/** Sheets under a name. @param keymaps how their choices name other keymaps. */
export const sheets = (keymaps: Record<'base' | 'programs', Joi.Schema>) =>
  list(
    shape<WholeSheet>({
      name: keymapName.required(),
      contents: sheetSpec.keys(keymaps).required(),
      putAwayAt: moment.allow(null).required(),
      createdAt: moment.required(),
    }),
  );
export const ticked = list(Joi.string().min(1).max(4000));

const keymapNamed = Joi.string().max(120);
/** What belongs to a keymap of a file besides its keys. */
export const belongings = {
  wishes: wishList.description('What is wished for, in the order of wishing, and how it is to be planned.'),
  sheets: sheets({
    base: keymapNamed.allow('').required(),
    programs: Joi.array().items(Joi.string().max(250)).max(20).required(),
  })
    .optional()
    .description("The sheets kept with it. base is the name of a keymap of this file; empty for the factory's."),
  ticks: list(Joi.object({ from: keymapNamed.allow(null).required(), ticks: ticked }))
    .optional()
    .description("Ticked steps of change lists, by the keymap they lead from; null for the factory's."),
};
const history = shape<FileDraft>(draft).description('How it became what it is: its tape, and what was kept.');
export const fileBelongings = shape<FileBelongings>({ ...belongings, draft: history });

/** A keymap as files carry it: what it changes of the factory's. */
export const fileKeymap = shape<FileKeymap>({
  name: name.required(),
  owner: owner.required(),
  bindings: Joi.object()
    .pattern(commandId, fileBindings)
    .required()
    .description("Only the commands whose keys or marks differ from the factory's, by id; an empty list means no key."),
  spares: Joi.array().items(commandId).max(20_000).unique().description('The commands whose keys may be spent, by id.'),
  ...belongings,
  draft: history,
});
