// `npm run schema`: writes the JSON Schema of checklist files to docs/, as the server publishes it.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createServer } from 'vite';
import { root } from './program.js';

const vite = await createServer({ server: { middlewareMode: true }, logLevel: 'warn' });
const { ChecklistSchema } = await vite.ssrLoadModule('/src/lib/schemas/checklist.ts');
await vite.close();
writeFileSync(
	join(root, 'docs', 'checklist.schema.json'),
	`${JSON.stringify(ChecklistSchema, null, '\t')}\n`
);
