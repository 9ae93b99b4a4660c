import { useMemo } from 'react';
import { chosenCommands } from '@/core/sheet/sheetContents';
import {
  CONTENTS,
  type Contents,
  compares,
  FORMS,
  type Form,
  MOST_PROGRAMS,
  type SheetSpec,
  withForm,
} from '@/core/sheet/sheetSpec';
import { Choice } from '../kit/Choice';
import { Pick } from '../kit/Pick';
import { Tick } from '../kit/Tick';
import { Ticks } from '../kit/Ticks';
import { toggled } from '../kit/toggled';
import type { OptionProps } from './optionProps';

const FORM_WORDS: Readonly<Record<Form, string>> = {
  desk: 'Desk sheet',
  card: 'Pocket cards',
  note: 'Sticky notes',
  poster: 'Key poster',
  difference: 'What changed',
  steps: 'Change list',
  programs: 'Several programs',
  reference: 'Whole reference',
};
const CONTENT_WORDS: Readonly<Record<Contents, string>> = {
  yours: 'Yours with keys',
  all: 'All with keys',
  picked: 'Picked by hand',
  used: 'Most used',
  places: 'By menu, kind or place',
};

/** Which form a sheet has, and what is put on it. */
export function ContentOptions({ given, links, request, spec, painted, onChoose }: OptionProps) {
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
  // The first keymap of each other program that is somebody's own.
  const others = [...new Set(links.map((one) => one.program))]
    .filter((one) => one !== given.view.programSlug)
    .slice(0, MOST_PROGRAMS)
    .flatMap((program) => {
      const own = links.filter((one) => one.program === program);
      const best = own.find((one) => !one.factory) ?? own[0];
      return best ? [`${best.program}/${best.keymap}`] : [];
    });
  return (
    <>
      <Choice
        label="Form"
        value={spec.form}
        options={FORMS.map((one) => [one, FORM_WORDS[one]] as const)}
        onChange={(form) =>
          onChoose({
            ...withForm(spec, form),
            ...(form === 'programs' && spec.programs.length === 0 ? { programs: others } : {}),
          })
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
      ) : compares(spec) ? (
        <Pick
          label={spec.form === 'steps' ? 'In the program now' : 'Against'}
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
          options={CONTENTS.map((one) => {
            const words = CONTENT_WORDS[one];
            return [one, `${spec.keyless ? words.replace(' with keys', '') : words} ${counts.get(one) ?? 0}`] as const;
          })}
          onChange={(contents) => onChoose({ contents })}
        />
      )}
    </>
  );
}
