import { CONCEPTS } from '../glossary/glossary';
import type { Sentence } from '../text/sentence';
import type { Candidate, Counterpart } from './counterpart';

/** Why a command may be the counterpart of another, as one phrase without a full stop. */
export function describeCandidate({ likeness, keys, figure }: Candidate): Sentence {
  const { same, concept, conceptPart, name, opposed } = likeness;
  const more = keys === null ? [] : [{ text: ', and the same factory keys' }];
  if (same) return [{ text: 'same name' }, ...more];
  if (opposed) return [{ text: 'much the same words, but of the opposite' }];
  if (keys === 'convention' && figure > Math.max(name, conceptPart)) return [{ text: 'the same factory keys' }];
  const said = CONCEPTS[concept]?.words[0];
  if (said !== undefined && conceptPart >= 0.9) return [{ text: `both mean “${said}”` }, ...more];
  if (name >= 0.9) return [{ text: 'the same in other words' }, ...more];
  if (said !== undefined && conceptPart > name) return [{ text: `both speak of “${said}”` }, ...more];
  return [{ text: `name ${Math.round(100 * name)} % alike` }, ...more];
}

/** What is known of a counterpart, as one phrase: what was said of it, or why it was found. */
export function describeCounterpart({ known, candidates, counterpart }: Counterpart): Sentence {
  if (known?.through != null) return [{ text: `as you said by way of ${known.through}` }];
  if (known) return [{ text: counterpart === null ? 'you said it has none' : 'you said so' }];
  const [first] = candidates;
  return counterpart !== null && first ? describeCandidate(first) : [{ text: 'none found' }];
}
