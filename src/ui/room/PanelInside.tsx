import type { Command, Program } from '@/core/program/program';
import { freshDesk } from '@/core/tryout/desk';
import { type Happened, panelContents } from '@/core/tryout/panelContents';
import { PAPER, SAMPLE_SIZE, samplePicture } from '@/core/tryout/samplePicture';
import styles from './room.module.css';

type Props = {
  readonly panel: Command;
  readonly program: Program;
  /** What happened at the stand-in; left out where the window is only a picture. */
  readonly happened?: Happened;
};
const SHAPES = samplePicture();
const { width, height } = SAMPLE_SIZE;

/** What a panel shows: read off the sample picture, and changed by what was done. */
export function PanelInside({ panel, program, happened }: Props) {
  const contents = panelContents(
    panel,
    program,
    happened ?? { desk: freshDesk(program), called: [], pointer: null, typed: '' },
  );
  switch (contents.kind) {
    case 'layers':
      return (
        <ul>
          {contents.layers.map((one, i) => (
            <li key={one.number} data-chosen={i === contents.at || undefined} data-hidden={!one.shown || undefined}>
              {one.name}
              {!one.shown && <small> hidden</small>}
              {one.locked && <small> locked</small>}
            </li>
          ))}
        </ul>
      );
    case 'tones':
      return (
        <svg
          viewBox={`0 0 ${contents.tones.length} 10`}
          preserveAspectRatio="none"
          className={styles.hill}
          aria-hidden="true"
        >
          {contents.tones.map((one, i) => (
            <rect key={i} x={i + 0.1} y={10 - 10 * one} width="0.8" height={10 * one} fill="currentColor" />
          ))}
        </svg>
      );
    case 'colors':
      return (
        <span className={styles.chips} aria-hidden="true">
          {contents.colors.map((one) => (
            <span key={one} style={{ background: one }} data-in-hand={one === contents.inHand || undefined} />
          ))}
        </span>
      );
    case 'brush':
      return (
        <>
          <svg className={styles.dab} viewBox="0 0 40 40" aria-hidden="true">
            <circle cx="20" cy="20" r={Math.min(19, Math.max(1, contents.size / 6))} fill="currentColor" />
          </svg>
          <Facts facts={contents.facts} />
        </>
      );
    case 'small picture': {
      const [seenWidth, seenHeight] = [width, height].map((one) => one / Math.max(1, contents.zoom));
      return (
        <svg className={styles.small} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
          <rect width={width} height={height} fill={PAPER} />
          {SHAPES.filter((one) => contents.shown.has(one.part)).map((one) => (
            <path key={one.path} d={one.path} fill={one.fill} />
          ))}
          <rect
            x={(width - (seenWidth ?? width)) / 2 + 4}
            y={(height - (seenHeight ?? height)) / 2 + 4}
            width={(seenWidth ?? width) - 8}
            height={(seenHeight ?? height) - 8}
            fill="none"
            stroke="#0b4a5c"
            strokeWidth="8"
          />
        </svg>
      );
    }
    case 'facts':
      return <Facts facts={contents.facts} />;
    default:
      return (
        <ul>
          {contents.lines.map((one, i) => (
            <li key={`${i} ${one}`}>{one}</li>
          ))}
        </ul>
      );
  }
}

function Facts({ facts }: { facts: readonly (readonly [what: string, value: string])[] }) {
  return (
    <dl className={styles.facts}>
      {facts.map(([what, value]) => (
        <div key={what}>
          <dt>{what}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  );
}
