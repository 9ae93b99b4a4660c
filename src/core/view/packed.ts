/** Plain data as one text: read and written many times faster than the thousands of values in it one by one. */
export type Packed<Value> = string & { readonly holds?: Value };

export const pack = <Value>(value: Value): Packed<Value> => JSON.stringify(value);
export const unpack = <Value>(packed: Packed<Value>): Value => JSON.parse(packed) as Value;
