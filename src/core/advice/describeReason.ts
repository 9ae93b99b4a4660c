import type { Sentence } from '../text/sentence';
import type { Reason } from './advisor';

/** A reason in a few words, to stand beside keys: `S for stain`. */
export function shortReason(reason: Reason): string {
  switch (reason.kind) {
    case 'hook':
      return reason.hook;
    case 'letter':
      return `${reason.letter} for ${reason.word.toLowerCase()}`;
    case 'family':
      return `like others in ${reason.menu}`;
    case 'partner':
      return reason.how === 'beside' ? `beside ${reason.partner.name}` : `${reason.partner.name} with Shift`;
    case 'as in':
      return `as in ${reason.program}`;
  }
}

/** From this part of a menu on it is worth saying that its keys are held alike. */
const MANY = 0.3;

/** Whether a reason is worth saying; a weak one counts all the same. */
export function isTold(reason: Reason): boolean {
  return reason.kind !== 'family' || reason.share >= MANY;
}

/** A reason as part of a sentence. */
export function describeReason(reason: Reason): Sentence {
  switch (reason.kind) {
    case 'hook':
      return [{ text: `its hook “${reason.hook}”` }];
    case 'letter':
      return [{ strong: reason.letter }, { text: ` for ${reason.word.toLowerCase()}` }];
    case 'family':
      return [{ text: `${Math.round(reason.share * 100)} % of the keys in ${reason.menu} are held like this` }];
    case 'partner':
      return reason.how === 'beside'
        ? [{ text: 'beside its partner ' }, { strong: reason.partner.name }]
        : [{ text: 'one key with its partner ' }, { strong: reason.partner.name }, { text: ', apart by Shift' }];
    case 'as in':
      return [{ text: `as ` }, { strong: reason.command }, { text: ` in ${reason.program}` }];
  }
}
