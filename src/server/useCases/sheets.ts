import Joi from 'joi';
import { NOTATIONS, type Notation } from '../../core/chord/writeChord';
import { draftOf } from '../../core/keymap/draft';
import { layOutSheet } from '../../core/sheet/layOutSheet';
import { PAPERS, type Paper, WAYS, type Way } from '../../core/sheet/sheet';
import { CONTENTS, type Contents, sheetContents } from '../../core/sheet/sheetContents';
import { marksOf } from '../../core/workspace/dressing';
import { check } from '../schemas/schemas';
import { writeSheetPdf } from '../sheets/writeSheetPdf';
import { loadKeymapView } from './screens';
import { loadRoom } from './workspaces';

type Options = { contents: Contents; notation: Notation; paper: Paper; way: Way; marks: 'yes' | 'no' };
type Wish = Options & { program: string; keymap: string; date: string };

const options = {
  contents: Joi.string()
    .valid(...CONTENTS)
    .default('all'),
  notation: Joi.string()
    .valid(...NOTATIONS)
    .default('windows'),
  paper: Joi.string()
    .valid(...Object.keys(PAPERS))
    .default('A4'),
  way: Joi.string()
    .valid(...WAYS)
    .default('across'),
  marks: Joi.string().valid('yes', 'no').default('yes'),
};
const wish = Joi.object({
  ...options,
  program: Joi.string().required(),
  keymap: Joi.string().required(),
  date: Joi.string().max(40).allow('').default(''),
});

/** The choices of a sheet from an address; what is unknown there falls back to the usual. */
export function sheetOptions(query: unknown): Options {
  const schema = Joi.object(
    Object.fromEntries(
      Object.entries(options).map(([name, one]) => [name, one.failover(one.validate(undefined).value)]),
    ),
  );
  return schema.validate(query, { stripUnknown: true }).value as Options;
}

/** The PDF of a sheet, laid out as its preview is. @throws Problem when the keymap does not exist or a choice is unknown. */
export async function sheetPdf(query: unknown): Promise<{ name: string; bytes: Buffer }> {
  const given = check<Wish>(wish, query, 'This sheet');
  const view = await loadKeymapView(given.program, given.keymap);
  const { keymap, factory } = draftOf(view);
  const contents = sheetContents({
    program: view.program,
    keymapName: view.draft.name,
    keymap,
    factory,
    contents: given.contents,
    notation: given.notation,
    footer: view.draft.owner,
    ...(given.marks === 'yes' ? { marks: marksOf((await loadRoom(given.program)).state.room.menus) } : {}),
  });
  const layout = layOutSheet(contents, given.paper, given.way, given.date);
  return { name: contents.title, bytes: await writeSheetPdf(layout, contents.title, new Date()) };
}
