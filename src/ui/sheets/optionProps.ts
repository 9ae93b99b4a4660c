import type { SheetRequest } from '@/core/sheet/sheetRequest';
import type { SheetSpec } from '@/core/sheet/sheetSpec';
import type { SheetsView } from '@/core/sheet/sheetsView';
import type { KeymapLink } from '@/core/view/shelf';

export type OptionProps = {
  readonly given: SheetsView;
  readonly links: readonly KeymapLink[];
  readonly request: SheetRequest;
  readonly spec: SheetSpec;
  /** As it was when last painted: how many lines other choices would have follows the page. */
  readonly painted: SheetSpec;
  readonly onChoose: (values: Partial<SheetSpec>) => void;
};
