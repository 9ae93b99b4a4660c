'use client';

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { KIND_PLURALS, KINDS } from '@/core/program/program';
import { groupTitles } from '@/core/sheet/makeSheet';
import { chosenCommands } from '@/core/sheet/sheetContents';
import type { SheetRequest } from '@/core/sheet/sheetRequest';
import {
  CARDS,
  type CardSize,
  CONTENTS,
  type Contents,
  EXTRAS,
  type Extra,
  FORMS,
  type Form,
  GROUPINGS,
  type Grouping,
  MOST_PROGRAMS,
  NOTES,
  type NoteSize,
  ORDERS,
  type Order,
  PAPERS,
  type Paper,
  SHEET_NOTATIONS,
  type SheetNotation,
  type SheetSpec,
  WAYS,
  type Way,
} from '@/core/sheet/sheetSpec';
import type { SheetsView } from '@/core/sheet/sheetsView';
import type { KeymapLink } from '@/core/view/shelf';
import { Choice } from '../kit/Choice';
import { Pick } from '../kit/Pick';
import { Segments } from '../kit/Segments';
import { Tick } from '../kit/Tick';
import { Ticks } from '../kit/Ticks';
import { toggled } from '../kit/toggled';
import { GroupNames } from './GroupNames';
import { PickCommands } from './PickCommands';

type Props = {
  readonly given: SheetsView;
  readonly links: readonly KeymapLink[];
  readonly request: SheetRequest;
  readonly spec: SheetSpec;
  /** As it was when last painted: how many lines other choices would have follows the page. */
  readonly painted: SheetSpec;
  readonly onChoose: (values: Partial<SheetSpec>) => void;
};

const FORM_WORDS: Readonly<Record<Form, string>> = {
  desk: 'Desk sheet',
  card: 'Pocket cards',
  note: 'Sticky notes',
  poster: 'Key poster',
  difference: 'What changed',
  programs: 'Several programs',
  reference: 'Whole reference',
};
const CONTENT_WORDS: Readonly<Record<Contents, string>> = {
  yours: 'Yours',
  all: 'All with keys',
  picked: 'Picked by hand',
  used: 'Most used',
  places: 'By menu, kind or place',
};
const NOTATION_WORDS: Readonly<Record<SheetNotation, string>> = {
  windows: 'Windows',
  mac: 'Mac',
  symbols: '⌘ ⌥',
  both: 'Both',
};
const GROUP_WORDS: Readonly<Record<Grouping, string>> = { menu: 'Menu', task: 'Task', modifier: 'Modifier' };
const ORDER_WORDS: Readonly<Record<Order, string>> = { menu: 'Menu', name: 'Name', key: 'Key' };
const EXTRA_WORDS: Readonly<Record<Extra, string>> = {
  changed: 'A dot where it changed',
  marks: 'Marks of menu lines',
  hooks: 'Memory hooks',
  path: 'Where it lives',
  was: 'What it was before',
};
const WAY_WORDS: Readonly<Record<Way, string>> = { across: 'Across', upright: 'Upright' };
const PAGE_CHOICES = [0, 1, 2, 3, 4] as const;

/** All that can be chosen of a sheet; what does not apply to its form is not shown. */
export function SheetOptions({ given, links, request, spec, painted, onChoose }: Props) {
  const [dialog, setDialog] = useState<'pick' | 'names' | null>(null);
  const { program } = given.view;
  const { keymap, factory, uses } = request;
  const counts = useMemo(
    () =>
      new Map(
        CONTENTS.map((contents) => {
          const own: SheetSpec = { ...painted, form: 'desk', contents };
          return [contents, chosenCommands({ program, keymap, factory, spec: own, ...(uses ? { uses } : {}) }).length];
        }),
      ),
    [program, keymap, factory, uses, painted],
  );
  const menus = useMemo(() => [...new Set(program.commands.map((one) => one.path[0] ?? program.name))], [program]);
  // The first keymap of each other program that is somebody's own.
  const others = [...new Set(links.map((one) => one.program))]
    .filter((one) => one !== given.view.programSlug)
    .slice(0, MOST_PROGRAMS)
    .flatMap((program) => {
      const own = links.filter((one) => one.program === program);
      const best = own.find((one) => !one.factory) ?? own[0];
      return best ? [`${best.program}/${best.keymap}`] : [];
    });
  const small = spec.form === 'card' || spec.form === 'note';
  const several = spec.form === 'programs';
  const fromKeymap = spec.form !== 'difference' && spec.form !== 'programs';
  return (
    <>
      <Choice
        label="Form"
        value={spec.form}
        options={FORMS.map((one) => [one, FORM_WORDS[one]] as const)}
        onChange={(form) =>
          onChoose({ form, ...(form === 'programs' && spec.programs.length === 0 ? { programs: others } : {}) })
        }
      />
      {spec.form === 'programs' && (
        <Ticks
          label="Beside this one"
          all={links
            .filter((one) => one.program !== given.view.programSlug || one.keymap !== given.view.draft.slug)
            .map((one) => [`${one.program}/${one.keymap}`, `${one.programName} · ${one.name}`])}
          chosen={spec.programs}
          onToggle={(one) => {
            const programs = toggled(spec.programs, one);
            if (programs.length <= MOST_PROGRAMS) onChoose({ programs });
          }}
        />
      )}
      {spec.form === 'programs' ? (
        <Tick checked={spec.differ} onChange={(differ) => onChoose({ differ })}>
          Only where keys differ
        </Tick>
      ) : spec.form === 'difference' ? (
        <Pick
          label="Against"
          full
          value={spec.base}
          onChange={(base) => onChoose({ base })}
          options={[
            ...(given.view.draft.factory ? [['', 'Choose a keymap'] as const] : []),
            ...given.bases.map((one, i) => [i === 0 && !given.view.draft.factory ? '' : one.slug, one.name] as const),
          ]}
        />
      ) : (
        <Choice
          label="Put on it"
          value={spec.contents}
          options={CONTENTS.map((one) => [one, `${CONTENT_WORDS[one]} ${counts.get(one) ?? 0}`] as const)}
          onChange={(contents) => onChoose({ contents })}
        />
      )}
      {fromKeymap && spec.contents === 'picked' && (
        <Button variant="text" onClick={() => setDialog('pick')}>
          Pick commands…
        </Button>
      )}
      {fromKeymap && spec.contents === 'used' && (
        <TextField
          label="How many"
          type="number"
          value={spec.most}
          slotProps={{ htmlInput: { min: 1, max: 200 } }}
          onChange={(event) => {
            const most = Math.round(Number(event.target.value));
            if (most >= 1 && most <= 1000) onChoose({ most });
          }}
        />
      )}
      {fromKeymap && spec.contents === 'places' && (
        <>
          <Ticks
            label="Menus"
            all={menus.map((one) => [one, one])}
            chosen={spec.menus}
            onToggle={(one) => onChoose({ menus: toggled(spec.menus, one) })}
          />
          <Ticks
            label="Kinds"
            all={KINDS.map((one) => [one, KIND_PLURALS[one]])}
            chosen={spec.kinds}
            onToggle={(one) => onChoose({ kinds: toggled(spec.kinds, one) })}
          />
          <Ticks
            label="Where keys are pressed"
            all={program.contexts.map((one) => [one.id, one.name])}
            chosen={spec.contexts}
            onToggle={(one) => onChoose({ contexts: toggled(spec.contexts, one) })}
          />
        </>
      )}
      <Segments
        label="Keys written for"
        value={spec.notation}
        onChange={(notation) => onChoose({ notation })}
        options={SHEET_NOTATIONS.filter((one) => !several || one !== 'both').map(
          (one) => [one, NOTATION_WORDS[one]] as const,
        )}
      />
      <Segments
        label="Grouped by"
        value={spec.group}
        onChange={(group) => onChoose({ group })}
        options={GROUPINGS.filter((one) => !several || one !== 'modifier').map(
          (one) => [one, GROUP_WORDS[one]] as const,
        )}
      />
      <Button variant="text" onClick={() => setDialog('names')}>
        Name the groups…
      </Button>
      <Segments
        label="Ordered by"
        value={spec.order}
        onChange={(order) => onChoose({ order })}
        options={ORDERS.filter((one) => !several || one !== 'key').map((one) => [one, ORDER_WORDS[one]] as const)}
      />
      {!several && (
        <Ticks
          label="Also on it"
          all={[...EXTRAS.map((one) => [one, EXTRA_WORDS[one]] as const), ['keyless', 'Commands without keys']]}
          chosen={[...spec.extras, ...(spec.keyless ? ['keyless' as const] : [])]}
          onToggle={(one) =>
            onChoose(one === 'keyless' ? { keyless: !spec.keyless } : { extras: toggled(spec.extras, one) })
          }
        />
      )}
      {spec.form === 'card' && (
        <Segments
          label="Card"
          value={spec.card}
          onChange={(card) => onChoose({ card })}
          options={(Object.keys(CARDS) as CardSize[]).map((one) => [one, one] as const)}
        />
      )}
      {spec.form === 'card' && (
        <Tick checked={spec.fold} onChange={(fold) => onChoose({ fold })}>
          Folded in the middle
        </Tick>
      )}
      {spec.form === 'note' && (
        <Segments
          label="Note"
          value={spec.note}
          onChange={(note) => onChoose({ note })}
          options={(Object.keys(NOTES) as NoteSize[]).map((one) => [one, one] as const)}
        />
      )}
      <Segments
        label={small ? 'Printed on' : 'Paper'}
        value={spec.paper}
        onChange={(paper) => onChoose({ paper })}
        options={(Object.keys(PAPERS) as Paper[]).map((one) => [one, one] as const)}
      />
      <Segments
        label="Lay the page"
        value={spec.way}
        onChange={(way) => onChoose({ way })}
        options={WAYS.map((one) => [one, WAY_WORDS[one]] as const)}
      />
      <Segments
        label={small ? (spec.form === 'card' ? 'Cards' : 'Notes') : 'Pages'}
        value={String(spec.pages)}
        onChange={(pages) => onChoose({ pages: Number(pages) })}
        options={PAGE_CHOICES.map((one) => [String(one), one === 0 ? 'As it fits' : String(one)] as const)}
      />
      {dialog === 'pick' && (
        <PickCommands
          view={given.view}
          keymap={keymap}
          picked={spec.picked}
          onPick={(picked) => onChoose({ picked })}
          onClose={() => setDialog(null)}
        />
      )}
      {dialog === 'names' && (
        <GroupNames
          titles={groupTitles(request)}
          names={spec.groupNames}
          onName={(groupNames) => onChoose({ groupNames })}
          onClose={() => setDialog(null)}
        />
      )}
    </>
  );
}
