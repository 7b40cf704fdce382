// `npm run licences`: writes docs/licences.md.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { formatLicences, readLicences } from './licences.js';
import { root } from './program.js';

writeFileSync(join(root, 'docs', 'licences.md'), formatLicences(readLicences()));
