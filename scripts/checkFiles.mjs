/** Opens every kind of file that sheets are written as in software of others. Needs Debian's packages. */
import { installDebian } from './debian.mjs';
import { run } from './server.mjs';

installDebian(['chromium', 'poppler-utils', 'qpdf', 'libxml2-utils', 'libreoffice-calc-nogui']);
run(process.execPath, ['--import', 'tsx', 'scripts/checkFiles.ts']);
