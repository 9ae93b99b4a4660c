import type { Modifier } from '@/core/chord/chord';
import { modifierLabel } from '@/core/chord/writeChord';
import { Row } from '../kit/Row';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';
import type { KeyboardProps } from './keyboardProps';

/** The modifiers that choose which layer is shown. */
export function LayerButtons({ modifiers, onToggle }: Pick<KeyboardProps, 'modifiers' | 'onToggle'>) {
  const { settings, platform } = useSettings();
  const layers: readonly Modifier[] =
    platform === 'mac' || settings.desktop === 'mac' || settings.notation !== 'windows'
      ? ['Mod', 'Ctrl', 'Alt', 'Shift']
      : ['Mod', 'Alt', 'Shift'];
  return (
    <>
      <span id="layer">Layer shown:</span>
      <Row role="group" aria-labelledby="layer">
        {layers.map((modifier) => (
          <button
            key={modifier}
            type="button"
            className={`cap ${styles.layer}`}
            aria-pressed={modifiers.includes(modifier)}
            onClick={() => onToggle(modifier)}
          >
            {modifierLabel(modifier, settings.notation)}
          </button>
        ))}
      </Row>
    </>
  );
}
