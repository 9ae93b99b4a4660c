import type { Holder } from '../clash/clashIndex';
import type { ContextId } from '../program/program';
import { listed, type Sentence } from '../text/sentence';
import type { Did } from './desk';
import type { Outcome } from './pressKeys';

/** What a press did, as one sentence: what fired, where it was heard, or why nothing did and what is nearest. */
export function describeOutcome(
  outcome: Outcome,
  did: Did | null,
  nameOf: (context: ContextId) => string,
  nearest: readonly Holder[],
): Sentence {
  const near: Sentence =
    nearest.length === 0
      ? []
      : [
          { text: ' Nearest: ' },
          ...listed(nearest.map((one) => [{ keys: one.chord }, { text: ' ' }, { strong: one.command.name }])),
          { text: '.' },
        ];
  switch (outcome.kind) {
    case 'fired': {
      const others = [
        ...(outcome.turns.length === 0
          ? []
          : [{ text: `, in turn with ${outcome.turns.map((one) => one.name).join(' and ')}` }]),
        ...(outcome.shadowed.length === 0
          ? []
          : [{ text: `, before ${outcome.shadowed.map((one) => one.name).join(' and ')}` }]),
      ];
      return [
        { strong: outcome.command.name },
        { text: did ? didWords(did) : '' },
        { soft: ` heard ${nameOf(outcome.context)}` },
        ...others,
        { text: '.' },
      ];
    }
    case 'begun':
      return [
        { text: 'Begins a sequence. Then ' },
        ...listed(
          outcome.ends.map((one) => [
            { keys: one.chord.slice(one.chord.indexOf(' ') + 1) },
            { text: ' ' },
            { strong: one.command.name },
          ]),
        ),
        { text: '.' },
      ];
    case 'typed':
      return [{ text: 'Typed into the text.' }];
    case 'taken by the desktop':
      return [
        { text: `The desktop ${outcome.does}, before any program hears it.` },
        ...(outcome.from ? [{ text: ' ' }, { strong: outcome.from.name }, { text: ' would have heard it.' }] : []),
      ];
    case 'kept by the program':
      return [{ text: `The program keeps these keys: ${outcome.why}.` }];
    case 'clash':
      return [
        { text: 'Nothing: ' },
        ...listed(outcome.commands.map((one) => [{ strong: one.name }])),
        { text: ' clash on these keys, and nobody knows which would answer.' },
      ];
    case 'not here': {
      const [first] = outcome.holders;
      return [
        { text: 'Nothing here: ' },
        { strong: first?.command.name ?? '' },
        { text: ` is heard only ${nameOf(first?.command.context ?? '')}.` },
        ...near,
      ];
    }
    case 'nobody':
      return [{ text: 'Nothing: nobody has these keys.' }, ...near];
  }
}

function didWords(did: Did): string {
  switch (did.kind) {
    case 'took':
      return ' is in hand,';
    case 'showed':
      return did.shown ? ' is shown,' : ' is put away,';
    case 'set':
      return `: ${did.what} ${did.to},`;
    case 'switched':
      return did.on ? ' is on,' : ' is off,';
    case 'opened':
      return ' opened,';
    case 'holds':
      return ' while held,';
    case 'looked':
      return ' changed the view,';
    case 'did':
      return ',';
  }
}
