import { seedDemo } from '../demo/seedDemo';
import { onOwnData } from './onOwnData';

/** Gives the tests of a file a database of their own with the demo data, on disk, gone when they are done. */
export function onDemoDatabase(): void {
  onOwnData(() => seedDemo('demo'));
}
