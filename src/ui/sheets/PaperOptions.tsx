import { CARDS, type CardSize, NOTES, type NoteSize, PAPERS, type Paper, WAYS, type Way } from '@/core/sheet/sheetSpec';
import type { Pick } from '../kit/Pick';
import { Segments } from '../kit/Segments';
import { Tick } from '../kit/Tick';
import type { OptionProps } from './optionProps';

const WAY_WORDS: Readonly<Record<Way, string>> = { across: 'Across', upright: 'Upright' };
const PAGE_CHOICES = [0, 1, 2, 3, 4] as const;

/** What a sheet is printed on, and on how many pages. */
export function PaperOptions({ spec, onChoose }: Pick<OptionProps, 'spec' | 'onChoose'>) {
  const small = spec.form === 'card' || spec.form === 'note';
  return (
    <>
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
      {spec.form === 'poster' && (
        <Segments
          label="Layers"
          value={spec.layers}
          onChange={(layers) => onChoose({ layers })}
          options={[
            ['each', 'Each a picture'],
            ['together', 'All on one'],
          ]}
        />
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
    </>
  );
}
