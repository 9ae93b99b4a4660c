/** What is compared: the meanings of a name and of its menu, by number, and how much the name's weigh together. */
export type Said = { readonly meanings: Int32Array; readonly around: Int32Array; readonly weight: number };
/** Of every meaning the number of what it is in general, and how much it weighs. */
export type Weighed = { readonly root: Int32Array; readonly weight: Float64Array };

/** A meaning that is the same only in general counts for so much; one that only the menu says, for so much. */
export const IN_GENERAL = 0.75;
export const BY_MENU = 0.8;

/**
 * Compares one name with many: how much of both means the same, from 0 to 1, by weight. What each says counts where the
 * other says it too, in its name, or less so in its menu alone. The meanings of the one are laid out once, so that each
 * other costs as many steps as it has meanings.
 */
export function comparer({ root, weight }: Weighed): (one: Said) => (other: Said) => number {
  let round = 0;
  // In which round a meaning, and a root, was last in the name, and in the menu; in which places of the name, as bits.
  const named = new Int32Array(root.length);
  const place = new Int32Array(root.length);
  const around = new Int32Array(root.length);
  const rootNamed = new Int32Array(root.length);
  const rootPlaces = new Int32Array(root.length);
  const rootAround = new Int32Array(root.length);
  const found = new Float64Array(MOST);
  return (one) => {
    const now = ++round;
    const own = one.meanings;
    const many = Math.min(MOST, own.length);
    for (let i = 0; i < many; i++) {
      const meaning = own[i] as number;
      const at = root[meaning] as number;
      named[meaning] = now;
      place[meaning] = i;
      if (rootNamed[at] !== now) rootPlaces[at] = 0;
      rootNamed[at] = now;
      rootPlaces[at] = (rootPlaces[at] as number) | (1 << i);
    }
    for (let i = 0; i < one.around.length; i++) {
      const meaning = one.around[i] as number;
      around[meaning] = now;
      rootAround[root[meaning] as number] = now;
    }
    return (other) => {
      const all = one.weight + other.weight;
      if (all === 0) return 0;
      for (let i = 0; i < many; i++) found[i] = 0;
      let sum = 0;
      let byName = 0;
      for (let k = 0; k < other.meanings.length; k++) {
        const meaning = other.meanings[k] as number;
        const at = root[meaning] as number;
        let best = 0;
        if (rootNamed[at] === now) {
          best = IN_GENERAL;
          const places = rootPlaces[at] as number;
          byName |= places;
          for (let i = 0; i < many; i++)
            if (places & (1 << i) && (found[i] as number) < IN_GENERAL) found[i] = IN_GENERAL;
          if (named[meaning] === now) {
            best = 1;
            found[place[meaning] as number] = 1;
          }
        } else if (around[meaning] === now) best = BY_MENU;
        else if (rootAround[at] === now) best = BY_MENU * IN_GENERAL;
        sum += best * (weight[meaning] as number);
      }
      // What only the other's menu says counts where its name does not say it.
      const left = ~byName;
      for (let k = 0; k < other.around.length; k++) {
        const meaning = other.around[k] as number;
        const at = root[meaning] as number;
        if (rootNamed[at] !== now) continue;
        const places = (rootPlaces[at] as number) & left;
        if (places === 0) continue;
        for (let i = 0; i < many; i++) {
          if (!(places & (1 << i))) continue;
          const share = own[i] === meaning ? BY_MENU : BY_MENU * IN_GENERAL;
          if ((found[i] as number) < share) found[i] = share;
        }
      }
      for (let i = 0; i < many; i++) sum += (found[i] as number) * (weight[own[i] as number] as number);
      return sum / all;
    };
  };
}

/** More meanings than any name has. */
const MOST = 30;
