// `npm start`: a real collection, empty at first, with its data in ./data.
import { build, install, serve } from './program.js';

install();
if (build()) serve();
else process.exitCode = 1;
