/** Plain data as one text: read and written many times faster than the thousands of values in it one by one. */
export type Packed<Value> = {
  readonly text: string;
  /** Addresses of what was set apart, to be asked for there. */
  readonly apart: readonly string[];
  readonly holds?: Value;
};

/** What stands where a list was set apart. */
type Apart = { readonly apart: string };
/** Lists with more in them hold nothing that is set apart. */
const FEW = 8;

/** @param addressOf says at which address a list is to be had; null where it stays. */
export function pack<Value>(
  value: Value,
  addressOf: (list: readonly unknown[]) => string | null = () => null,
): Packed<Value> {
  const apart = new Set<string>();
  const left = replaced(value, (one) => {
    const address = Array.isArray(one) ? addressOf(one) : null;
    if (address !== null) apart.add(address);
    return address === null ? null : { apart: address };
  });
  return { text: JSON.stringify(left), apart: [...apart] };
}

/** @param lists what was set apart, by its address. */
export function unpack<Value>(packed: Packed<Value>, lists: ReadonlyMap<string, unknown> = new Map()): Value {
  const value: unknown = JSON.parse(packed.text);
  if (packed.apart.length === 0) return value as Value;
  return replaced(value, (one) =>
    isApart(one) && lists.has(one.apart) ? { instead: lists.get(one.apart) } : null,
  ) as Value;
}

const isApart = (one: object): one is Apart => 'apart' in one && typeof one.apart === 'string';

/** A value with some of the objects in it replaced. */
function replaced(value: unknown, by: (one: object) => object | null): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const other = by(value);
  if (other) return 'instead' in other ? other.instead : other;
  if (Array.isArray(value)) return value.length > FEW ? value : value.map((one) => replaced(one, by));
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, replaced(one, by)]));
}
