'use client';

import { useState } from 'react';
import { groupTitles } from '@/core/sheet/makeSheet';
import { compares } from '@/core/sheet/sheetSpec';
import { ChosenOptions } from './ChosenOptions';
import { ContentOptions } from './ContentOptions';
import { GroupNames } from './GroupNames';
import { LineOptions } from './LineOptions';
import type { OptionProps } from './optionProps';
import { PaperOptions } from './PaperOptions';
import { PickCommands } from './PickCommands';

/** All that can be chosen of a sheet; what does not apply to its form is not shown. */
export function SheetOptions(props: OptionProps) {
  const { given, request, spec, onChoose } = props;
  const { keymap } = request;
  const [dialog, setDialog] = useState<'pick' | 'names' | null>(null);
  return (
    <>
      <ContentOptions {...props} />
      {!compares(spec) && spec.form !== 'programs' && (
        <ChosenOptions {...{ given, spec, onChoose }} onPick={() => setDialog('pick')} />
      )}
      <LineOptions {...{ spec, onChoose }} onNames={() => setDialog('names')} />
      <PaperOptions {...{ spec, onChoose }} />
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
