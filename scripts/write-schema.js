// `npm run schema`: writes the JSON Schemas of the product's own files to docs/, as the server publishes them.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createServer } from 'vite';
import { root } from './program.js';

const vite = await createServer({ server: { middlewareMode: true }, logLevel: 'warn' });
const { ChecklistSchema } = await vite.ssrLoadModule('/src/lib/schemas/checklist.ts');
const { KnowledgeSchema } = await vite.ssrLoadModule('/src/lib/schemas/knowledge.ts');
await vite.close();
for (const [name, schema] of [
	['checklist', ChecklistSchema],
	['knowledge', KnowledgeSchema]
]) {
	writeFileSync(
		join(root, 'docs', `${name}.schema.json`),
		`${JSON.stringify(schema, null, '\t')}\n`
	);
}
