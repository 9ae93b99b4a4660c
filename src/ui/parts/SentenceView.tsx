import type { Sentence } from '@/core/text/sentence';
import { KeyCaps } from './KeyCaps';

/** A sentence of the core with its emphasis and its keys set as caps. */
export function SentenceView({ sentence }: { sentence: Sentence }) {
  return sentence.map((span, i) => {
    // Spans have no identity but their place in the sentence.
    const key = `${i}`;
    if ('keys' in span) return <KeyCaps key={key} chord={span.keys} />;
    if ('strong' in span) return <strong key={key}>{span.strong}</strong>;
    if ('soft' in span)
      return (
        <span key={key} className="soft">
          {span.soft}
        </span>
      );
    return <span key={key}>{span.text}</span>;
  });
}
