/** Something kept, and how often it was changed. */
export type Versioned<Value> = { readonly revision: number; readonly value: Value };

/** What an edit was made on, and what tells it from all others; a request without them is done as it comes. */
export type EditMark = { readonly revision?: number; readonly key?: string };
