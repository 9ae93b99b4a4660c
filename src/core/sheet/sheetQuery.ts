import { DEFAULT_SHEET, type SheetSpec, usualSheet } from './sheetSpec';

type Values = Readonly<Record<string, string>>;

/** The choices of a sheet as an address tells them: what goes on it, and whatever differs from the usual. */
export function sheetQuery(spec: SheetSpec): Values {
  const usually = usualSheet(spec.form);
  return Object.fromEntries(
    Object.entries(spec).flatMap(([name, value]) => {
      const usual = (name === 'form' ? DEFAULT_SHEET : usually)[name as keyof SheetSpec];
      if (name !== 'contents' && JSON.stringify(value) === JSON.stringify(usual)) return [];
      return [[name, typeof value === 'object' ? JSON.stringify(value) : String(value)]];
    }),
  );
}

/** The choices an address tells, not yet checked; what it does not name is left out. */
export function sheetFromQuery(values: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> {
  return Object.fromEntries(
    Object.entries(DEFAULT_SHEET).flatMap(([name, usual]) => {
      const text = values[name];
      if (typeof text !== 'string') return [];
      if (typeof usual === 'boolean') return [[name, text === 'true']];
      if (typeof usual === 'number') return [[name, Number(text)]];
      if (typeof usual === 'string') return [[name, text]];
      try {
        return [[name, JSON.parse(text) as unknown]];
      } catch {
        return [];
      }
    }),
  );
}
