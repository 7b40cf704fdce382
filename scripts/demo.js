// `npm run demo`: the demo world in a data folder of its own.
import { join } from 'node:path';
import process from 'node:process';
import { build, install, root, serve } from './program.js';

install();
if (build()) serve({ JADE_DEMO: '1', JADE_DATA: process.env.JADE_DATA ?? join(root, 'demo-data') });
else process.exitCode = 1;
