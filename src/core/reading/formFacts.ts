import type { FormRead } from './tables';

/** What is so of lists in one form. */
export type FormFacts = {
  /** Which part of a column has to read as keys for a table to hold any; null where each table is taken as a list. */
  readonly least: number | null;
  /** Whether names may be written with the path before them, `Repair › Lift stain`. */
  readonly steps: boolean;
  /** Whether sentences may stand between the rows. */
  readonly prose: boolean;
  /** Whether its lines bind keys by their form, so that what stands where keys do is meant as keys. */
  readonly binds: boolean;
};

const LIST: FormFacts = { least: null, steps: true, prose: false, binds: false };
const PAGE: FormFacts = { ...LIST, least: 0.34 };
const FILE: FormFacts = { ...PAGE, steps: false };
const LINES: FormFacts = { ...LIST, steps: false, binds: true };

export const FORM_FACTS: Readonly<Record<FormRead, FormFacts>> = {
  table: LIST,
  workbook: LIST,
  shown: { ...LIST, steps: false },
  'web page': PAGE,
  Markdown: PAGE,
  'text in columns': { ...PAGE, least: 0.5, prose: true },
  lines: { ...PAGE, least: 0.5, prose: true },
  'manual source': { ...PAGE, least: 0.5, steps: false, prose: false },
  settings: { ...FILE, least: 0.25 },
  JSON: FILE,
  XML: FILE,
  'property list': FILE,
  'program text': FILE,
  YAML: FILE,
  TOML: FILE,
  bindings: LINES,
  'accelerator map': { ...LINES, binds: false },
};
